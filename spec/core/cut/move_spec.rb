# frozen_string_literal: true

# Nothing is lost and nothing comes from nowhere, in whatever plan.
RSpec.describe Lantern::Cut::Move do
  it "conserves every material: what was on hand and bought is what was cut and what is left", :thorough do
    each_random(32, seed: 77) do |random|
      hand = Array.new(random.rand(0..4)) { random.rand(5.0..160.0).round(2) }
      tape = ribbon(width: 1, on_hand: hand,
        offers: [{"length" => 108, "price" => "3.20"}, {"length" => 60, "price" => "2.00"}].first(random.rand(1..2)))
      layers = [layer("spiral_wrap", "tape"), layer("knotted_strips", "tape").merge("id" => "b"),
        layer("row_of", "tape").merge("id" => "c")].sample(random.rand(1..3), random:)
      document = plan(form: foam(random.rand(10..16), 8), materials: [tape], layers:, quantity: random.rand(1..3))
      work = Lantern::Work.read(document)
      moves, worked = work.moves, Lantern::Answer::Worked.new(work).to_h
      sum = ->(kind) { moves.select { _1.kind == kind }.sum(0r) { _1.length.to_r * _1.change } }
      cut = worked["cut_sheet"].sum { |bar| bar["times"] * bar["cuts"].sum { _1["length"] * _1["count"] } }
      scraps = worked["cut_sheet"].reject { _1["keep"] }.sum { |bar| bar["times"] * bar["left"] }
      expect(-sum.call(:cut)).to be_within(0.05).of(cut + scraps + sum.call(:remnant).to_f)
      expect(sum.call(:bought)).to eq worked["materials"][0]["buy"]
        .sum { |buy| tape["offers"][buy["offer"]]["length"] * buy["count"] }
      # No piece is taken twice, and none that is not there.
      there = (hand.map { Lantern::Measure::Length.read(_1, units: "in") } + moves.select { _1.kind == :bought }
        .flat_map { [_1.length] * _1.change }).tally
      taken = moves.select { _1.kind == :cut }.group_by(&:length).transform_values { |alike| -alike.sum(&:change) }
      expect(taken).to all(satisfy { |length, count| count <= there.fetch(length, 0) })
    end
  end

  it "buys and uses up what is counted, and keeps what is left of a sheet" do
    blooms = Lantern::Work.read(plan(form: gourd, materials: [stash[5]], layers: [layer("fill", "blooms")])).moves
    expect(blooms.map(&:kind)).to eq %i[bought cut]
    sheets = Lantern::Work.read(plan(form: foam(14, 10, base: "board"), materials: [cloth],
      layers: [layer("panel", "cloth")])).moves
    # A panel 14 in across, its board 3/8 in thick and a tab of 1/2 in each side: 15 3/8 in of the 36 in; the strip
    # beside it is one more turn of a ribbon.
    expect(sheets.map { [_1.kind, _1.width, _1.length, _1.change] }).to eq [[:bought, 18, 36, 1], [:cut, 18, 36, -1],
      [:remnant, 18, 20.625, 1], [:remnant, 2.625, 15.375, 1]]
  end
end
