# frozen_string_literal: true

# What is bought for sureness says so, and what is left has one price.
RSpec.describe "Sureness and left-overs" do
  def wrap(on_hand: [], **more)
    work(form: foam(14, 10), materials: [ribbon(width: 1, on_hand:, **more)], layers: [layer("spiral_wrap", "tape")])
  end

  # A scrap shorter than one turn holds none of it, so it makes nobody surer.
  it "counts nothing on scraps that hold no turn" do
    scraps = [4, 4, 4, 4, 4, 4]
    turn = wrap["layers"][0]["figures"]["length_per_turn"]
    expect(turn).to be > 4
    offers = [{"length" => (wrap["materials"][0]["needed"] * 1.02).round(2), "price" => "9.00"}]
    plain = wrap(offers:)["materials"][0]
    expect(wrap(offers:, on_hand: scraps)["materials"][0].slice("chance_enough", "buy"))
      .to eq plain.slice("chance_enough", "buy")
  end

  it "has bought for as much sureness as was asked, whatever lies in the stash" do
    each_random(40, seed: 90) do |random|
      hand = Array.new(random.rand(0..6)) { random.rand(2.0..60.0).round(2) }
      [0.5, 0.9, 0.97].each do |sureness|
        worked = work(form: foam(14, 10), sureness:, materials: [ribbon(width: 1, on_hand: hand)],
          layers: [layer("spiral_wrap", "tape")])["materials"][0]
        expect(worked["chance_enough"]).to be >= sureness - 0.005, "#{hand} at #{sureness}"
      end
    end
  end

  it "leaves the same in the stash, in whatever order it lies there" do
    hand = [44, 31.5, 60, 44, 12, 90]
    left = hand.permutation.first(24).map { |order|
      wrap(on_hand: order, offers: [{"length" => 60, "price" => "2.00"}, {"length" => 108, "price" => "3.20"}])["cost"]
    }
    expect(left.uniq.size).to eq 1
  end

  it "says how many packages stay closed, in Cut and in Buy" do
    worked = work(sureness: 0.99, form: foam(14, 10), materials: [rope(offers: [{"length" => 12, "price" => "0.10"}])],
      layers: [layer("rope_coil", "rope", school: "even")])
    material = worked["materials"][0]
    opened = worked["cut_sheet"].reject { _1["from"] == "remnant" }.sum { _1["times"] }
    expect(material["closed"]).to be > 0
    expect(opened + material["closed"]).to eq material["buy"].sum { _1["count"] }
  end

  # Common practice: a left-over of cloth is worth keeping by its longer side.
  it "keeps a piece of cloth by its longer side" do
    kept = ->(smallest) {
      work(smallest_remnant: smallest, form: foam(14, 10, base: "board"), materials: [cloth],
        layers: [layer("panel", "cloth")])["cut_sheet"].map { _1["keep"] }
    }
    # 18 in by 20 5/8 in is left of the sheet.
    expect([kept.call(20), kept.call(21)]).to eq [[true], [false]]
  end
end
