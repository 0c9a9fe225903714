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

  # Student's t of four degrees: 1.533 spreads to be nine in ten sure, where many makes would want 1.282.
  it "promises less while makes are few" do
    allowance = ->(makes) {
      learned = [{"method" => "spiral_wrap", "material" => "tape", "factor" => 1, "spread" => 0.06, "makes" => makes}]
      wrapped = work(form: foam(14, 10), materials: [ribbon], layers: [layer("spiral_wrap", "tape")], learned:)
      wrapped["materials"][0]["working"].find { _1["key"] == "allowance" }["sum"]
    }
    expect([allowance.call(1), allowance.call(10_000)]).to match [/\A1\.53\d* × /, /\A1\.28\d* × /]
  end

  describe "of pieces whose number is an estimate" do
    # 18 strips of 31 in, three to a roll of 9 ft; common practice. Their number lies 5 % about that.
    def folds(sureness, **more)
      work(sureness:, form: {"base" => "wire", "outside" => 14, "inside" => 8, "rails" => 4, "sections" => 6},
        materials: [ribbon(**more)], layers: [layer("pushed_folds", "tape")])["materials"][0]
    end

    it "buys a roll more where the maker wants to be surer than the sum alone" do
      half, sure = folds(0.5), folds(0.9)
      expect([half, sure].map { [_1["buy"][0]["count"], _1["closed"], _1["chance_enough"]] })
        .to eq [[6, 0, 0.5], [7, 1, 1.0]]
      # What is cut, and from what, is the same.
      expect(sure["cutting"].map { _1["cuts"] }).to eq half["cutting"].map { _1["cuts"] }
      expect(sure["working"].find { _1["key"] == "reserve_1" }).to include("answer" => "2",
        "sum" => "1.28 × 5 % of 18, rounded up")
    end

    it "is as sure as was asked, or there is no more to buy" do
      [0.5, 0.75, 0.9, 0.99].each do |sureness|
        [{}, {on_hand: [100, 90, 31.5]}, {offers: [{"length" => 31, "price" => "1.00"}]},
          {offers: [{"length" => 108, "price" => "3.20"}, {"length" => 330, "price" => "8.40"}]}].each do |sold|
          expect(folds(sureness, **sold)["chance_enough"]).to be >= sureness - 0.0005
        end
      end
      expect(folds(0.99, offers: [], on_hand: [108] * 6)).to include("chance_enough" => 0.5, "short" => 0)
    end

    it "counts the spares in, and doubts no number that was said" do
      knots = ->(sureness, **said) {
        work(sureness:, form: foam(12, 9), materials: [ribbon(offers: [{"length" => 13.5, "price" => "0.50"}])],
          layers: [layer("knotted_strips", "tape", **said)])
      }
      # 72 strips and 4 spares; 1.2816 times 7 % of 72 are 6.5.
      expect([0.5, 0.9].map { knots.call(_1)["materials"][0]["buy"][0]["count"] }).to eq [76, 72 + 7]
      said = knots.call(0.99, strips: 40)["materials"][0]
      expect([said["chance_enough"], said["closed"]]).to eq [1.0, 0]
    end

    it "says what the roll costs that is bought only for it" do
      document = plan(sureness: 0.9, form: {"base" => "wire", "outside" => 14, "inside" => 8, "rails" => 4,
                                            "sections" => 6},
        materials: [ribbon], layers: [layer("pushed_folds", "tape")])
      insurance = Lantern.work(document, advice: true)["advice"].find { _1["code"] == "insurance" }
      expect(insurance["says"]).to match(/6 packages are enough 50 % of the time.*\$3\.20/)
    end
  end
end
