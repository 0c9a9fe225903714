# frozen_string_literal: true

# Whatever wreaths hang on one day: nothing is lost between their plans and the one cut sheet.
RSpec.describe Lantern::Ask::Occasion::Batch do
  def occasion(plans) = {"format" => "crisp-lantern/occasion", "version" => 1, "units" => "in", "plans" => plans}

  def random_plan(random, number)
    method = %w[rope_coil rope_inlay knotted_strips row_of spiral_wrap panel cones hanger bow].sample(random:)
    takes = Lantern::Plan::Methods.fetch(method).takes
    layers = [layer(method, stash.find { takes.include?(_1["kind"].to_sym) }["id"])]
    plan(name: "Wreath #{number}", form: foam(random.rand(12..16), random.rand(6..9)), materials: stash, layers:,
      quantity: random.rand(1..3))
  end

  it "asks of every material what its wreaths ask, and cuts it all", :thorough do
    each_random(25, seed: 99) do |random|
      plans = Array.new(random.rand(2..5)) { |i| random_plan(random, i) }
      together = Lantern::Ask::Occasion.work(occasion(plans))
      each = plans.map { Lantern.work(_1) }
      together["materials"].each do |material|
        # A panel that is larger than any sheet is missing in both.
        %w[needed short].each do |figure|
          expect(material[figure]).to be_within(0.01)
            .of(each.sum { |worked| worked["materials"].find { _1["id"] == material["id"] }[figure] })
        end
      end
      expect(together["minutes"]).to be_within(plans.size).of(each.sum { _1["minutes"] })
      pieces = ->(worked) {
        worked["cut_sheet"]
          .sum { |bar| bar["times"] * bar["cuts"].select { |cut| cut["shape"] == "pieces" }.sum { _1["count"] } }
      }
      expect(pieces.call(together)).to eq each.sum { pieces.call(_1) }
      expect(together["bundles"].sum { _1["count"] }).to be >= pieces.call(together)
    end
  end

  it "moves in the stash what it buys, cuts and keeps" do
    each_random(15, seed: 7) do |random|
      tape = ribbon(on_hand: Array.new(random.rand(0..3)) { random.rand(20..120) })
      plans = Array.new(3) { |i|
        plan(name: "Wreath #{i}", materials: [tape],
          layers: [layer("row_of", "tape", count: random.rand(2..9))])
      }
      moves = Lantern::Ask::Occasion.cutting(occasion(plans)).last
      sum = ->(kind) { moves.select { _1.kind == kind }.sum(0r) { _1.length.to_r * _1.change } }
      worked = Lantern::Ask::Occasion.work(occasion(plans))
      cut = worked["cut_sheet"].sum { |bar| bar["times"] * bar["cuts"].sum { _1["length"] * _1["count"] } }
      scraps = worked["cut_sheet"].reject { _1["keep"] }.sum { |bar| bar["times"] * bar["left"] }
      expect(-sum.call(:cut)).to eq cut + scraps + sum.call(:remnant)
      expect(sum.call(:bought)).to eq worked["materials"][0]["buy"].sum { _1["count"] } * 108
    end
  end
end
