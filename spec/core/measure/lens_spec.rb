# frozen_string_literal: true

RSpec.describe Lantern::Measure::Lens do
  # Published: Brown's first term is an even function of the distance: a place goes out and comes back.
  it "straightens what it bends, and leaves the middle where it is" do
    lens = described_class.new(width: 2000, height: 1500, bend: -0.05, doubt: 0.01)
    [[0, 0], [1900, 40], [1000, 750]].each do |place|
      lens.straight(lens.bent(place)).zip(place) { |a, b| expect(a).to be_within(0.01).of(b) }
    end
  end

  it "takes no edge that is no line for a lens that cannot be" do
    bows = [300, 900].map { |y| (0..40).map { |i| [i * 50.0, y + 4000.0 * (i / 40.0 - 0.5)**2] } }
    [bows, bows.map { |bow| bow.map { |x, y| [x, 1500 - y] } }].each do |lines|
      lens = described_class.of(lines, 2000, 1500)
      expect(lens.bend.abs).to be <= 0.15
      expect(lens.straight([0, 0])).to all(be_finite)
    end
  end
end
