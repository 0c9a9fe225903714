# frozen_string_literal: true

RSpec.describe Lantern::Measure::Length do
  def read(value, units = "in") = described_class.read(value, units:)

  it "reads lengths as people write them" do
    {14 => 14, "31 1/2" => 63 / 2r, "2 1/2 yd" => 90, "2½ yd" => 90, "1' 6\"" => 18, "9ft" => 108,
     "3 ft 2 1/4 in" => 153 / 4r, "½ in" => 1 / 2r,
     "31-1/2 in" => 63 / 2r, "3′ 2″" => 38, "5 yd" => 180, "1.5 in" => 3 / 2r, ".5" => 1 / 2r, "5⁄16" => 5 / 16r}
      .each { |written, inches| expect(read(written)).to eq(inches), "#{written} read as #{read(written)}" }
  end

  # International yard and pound agreement, 1959: one inch is 25.4 mm exactly.
  it "converts exactly" do
    expect(read("2.54 cm")).to eq 1
    expect(read("80 cm")).to eq 80 / 2.54r
    expect(read(2.54, "cm")).to eq 1
    expect(read("1 m")).to eq 5000 / 127r
    expect(read("25.4 mm")).to eq 1
  end

  it "refuses what is no length" do
    ["", "abc", "1 2", "-3", "3 furlongs", "1/0", "5 in 2 ft", "1e5", nil, [], Float::INFINITY, Float::NAN, "1" * 60]
      .each do |written|
      expect { read(written) }.to raise_error(described_class::Unreadable), "#{written.inspect} was read"
    end
  end

  it "says lengths to the nearest sixteenth, or millimetre" do
    expect(described_class.text(31.52, units: "in")).to eq "31 1/2 in"
    expect(described_class.text(0.3125, units: "in")).to eq "5/16 in"
    expect(described_class.text(7.9999, units: "in")).to eq "8 in"
    expect(described_class.text(80, units: "cm")).to eq "203.2 cm"
    expect(described_class.long_text(726.6, units: "in")).to eq "60 ft 7 in"
    expect(described_class.long_text(200, units: "cm")).to eq "5.08 m"
    expect(described_class.exact_text(0.12r, units: "in")).to eq "0.12 in"
    expect(described_class.exact_text(120r, units: "in")).to eq "10 ft"
    expect(described_class.exact_text(121r, units: "in")).to eq "121 in"
  end

  it "rounds cut lengths up to the mark, never down, and leaves marks alone" do
    mark = 1 / 8r
    expect(described_class.up_to_mark(7.01, mark)).to eq 57 / 8r
    expect(described_class.up_to_mark(7.125, mark)).to eq 57 / 8r
    expect(described_class.up_to_mark(7.125 + 1e-12, mark)).to eq 57 / 8r
    random = Random.new(3)
    200.times do
      length = random.rand * 100
      rounded = described_class.up_to_mark(length, mark)
      expect(rounded).to be >= length - 1e-6
      expect(rounded - length).to be <= mark
      expect(rounded % mark).to eq 0
    end
  end

  it "reads back what it says" do
    (1..500).each { |sixteenths| expect(read(described_class.text(sixteenths/16r, units: "in"))).to eq sixteenths/16r }
  end
end
