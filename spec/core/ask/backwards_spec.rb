# frozen_string_literal: true

RSpec.describe Lantern::Ask::Backwards do
  def backwards(document, **more) = described_class.new(document, layer: 0, **more).to_a

  # A plan with a change made, and without anything to buy.
  def enough?(document, changes)
    tried = document.merge("layers" => [document["layers"][0].merge(changes)],
      "materials" => document["materials"].map { _1.merge("offers" => []) })
    Lantern.work(tried)["materials"].all? { _1["short"].zero? }
  rescue Lantern::Plan::Refused
    false
  end

  let(:wrap) {
    plan(form: foam(12, 8), materials: [ribbon(on_hand: [150, 62])],
      layers: [layer("spiral_wrap", "tape")])
  }

  it "finds the widest lap that what is on hand allows: an eighth more is too much" do
    lap = backwards(wrap).find { _1["try"]&.key?("lap") }["try"]["lap"]
    expect(enough?(wrap, "lap" => lap)).to be true
    expect(enough?(wrap, "lap" => Lantern::Measure::Length.text(Lantern::Measure::Length.read(lap, units: "in") + 1 /
      8r, units: "in"))).to be false
  end

  # Working it forwards for one covering after another is the only check there is, and so every one of
  # them is made.
  it "answers nothing that working it forwards does not bear out, for any covering", :thorough do
    layer_kinds.each do |covering|
      rich = stash.map { |material|
        material.merge("on_hand" => {"fabric" => [{"width" => 36, "length" => 36}] * 4,
                                     "coat" => [3], "piece" => [30], "tie" => [40]}.fetch(material["kind"],
                                       [300, 300, 90]))
      }
      document = plan(form: gourd, materials: rich, layers: [any_layer(covering)])
      backwards(document).filter_map { _1["try"] }.each do |changes|
        expect(enough?(document, changes)).to be(true), "#{covering.method_name}: #{changes}"
      end
    end
  end

  it "says how much it makes when it is not enough, and as much again makes twice that" do
    share = ->(on_hand) {
      backwards(wrap.merge("materials" => [ribbon(on_hand:)]))[1]["says"][/makes (\d+) in 100/, 1]
        .to_i
    }
    expect(share.call([50])).to be_within(2).of(share.call([102]) / 2)
    expect(share.call([])).to eq 0
  end

  it "finds the largest form: a little larger is too large" do
    size = Lantern::Measure::Length.read(backwards(wrap).last["says"][/about (.+) across/, 1], units: "in")
    sized = ->(outside) { wrap.merge("form" => foam(outside.to_f, outside.to_f - 4, shape: "ring")) }
    expect(enough?(sized.call(size), {})).to be true
    expect(enough?(sized.call(size + 1 / 2r), {})).to be false
  end

  it "works from a sum of money as well: what it buys is what it costs, and no more" do
    document = wrap.merge("materials" => [ribbon(on_hand: [])])
    answers = backwards(document, budget: BigDecimal("6.40"))
    lap = answers.find { _1["try"]&.key?("lap") }["try"]["lap"]
    cost = ->(changes) {
      BigDecimal(
          Lantern.work(document.merge("layers" => [document["layers"][0].merge(changes)]))["cost"]["to_buy"]
        )
    }
    expect(cost.call("lap" => lap)).to be <= BigDecimal("6.40")
    expect(backwards(document, budget: BigDecimal("3.10")).first["says"]).to match(/3.10 is not enough/)
  end

  it "refuses a layer that is not there" do
    expect { described_class.new(wrap, layer: 3) }.to raise_error(Lantern::Plan::Refused, /no layer 4/)
  end
end

RSpec.describe Lantern::Ask::Comparison do
  def compared(form, **more) = described_class.new(plan(form:, materials: stash, **more)).to_a

  it "lists every covering once: those that suit as they would be planned, the others with the reason" do
    all = compared(foam(14, 10))
    expect(all.map { _1["method"] }).to match_array coverings.map { _1.method_name.to_s }
    suits, others = all.partition { _1["suits"] }
    expect(others.map { _1["method"] }).to match_array %w[weave pushed_folds ribs stem_wrap]
    expect(others.flat_map { _1["why"] }).to all(match(/\.\z/))
    suits.each do |each|
      named = [each["layer"]["material"], *each["layer"].values]
      same = Lantern.work(plan(form: foam(14, 10), materials: stash.select { named.include?(_1["id"]) },
        layers: [each["layer"]]))
      expect(each.slice("to_buy", "minutes")).to eq("to_buy" => same["cost"]["to_buy"], "minutes" => same["minutes"])
      expect(each["drawing"]["layers"].map { _1["front"] }).to eq same["drawing"]["layers"].map { _1["front"] }
    end
  end

  it "suits a gourd of wire with every covering there is" do
    expect(compared(gourd).reject { _1["suits"] }).to eq []
  end

  it "says what the stash lacks" do
    bare = described_class.new(plan(materials: [rope])).to_a.find { _1["method"] == "coat" }
    expect(bare).to include("suits" => false, "why" => ["Nothing in the stash is coat."])
  end

  it "prefers what the plan uses already" do
    liked = compared(foam(14, 10), layers: [layer("spiral_wrap", "net")]).find { _1["method"] == "garland" }
    expect(liked["layer"]["material"]).to eq "tape"
    only = described_class.new(plan(form: foam(14, 10), materials: stash.reject { _1["id"] == "tape" },
      layers: [layer("spiral_wrap", "net")])).to_a
    expect(only.find { _1["method"] == "garland" }["layer"]["material"]).to eq "net"
  end

  it "refuses a form that cannot be" do
    expect { compared(foam(8, 9)) }.to raise_error(Lantern::Plan::Refused)
  end
end
