# frozen_string_literal: true

# What plans can say since, beside what they could.
RSpec.describe "What a plan can say" do
  def found(**said) = work(materials: [ribbon, rope], **said)

  def needs(worked, layer = 0) = worked["layers"][layer]["needs"].map { _1.values_at("what", "count", "length") }

  def steps(worked) = worked["steps"].map { _1["id"] }

  describe "of knotted strips" do
    let(:form) { foam(12, 9) }

    def knots(**options) = found(form:, layers: [layer("knotted_strips", "tape", **options)])

    # Common practice: 36 strips of 11 in fill a ring of foam; its size nobody wrote down.
    it "is how long each is cut and how many there are, and the sum says what follows" do
      worked = knots(cut: 11, strips: 36)
      expect(needs(worked)).to eq [["strips", 36, 11]]
      girth, take_up = worked["form"]["girth"], worked["layers"][0]["figures"]["take_up"]
      expect(girth).to be_within(0.01).of(Math::PI * 1.5)
      tails = worked["layers"][0]["working"].find { _1["key"] == "tails" }
      expect(tails["answer"]).to eq Lantern::Measure::Length.text((11 - girth - take_up) / 2, units: "in")
      # The middle of the ring is 10 1/2 in across.
      expect(worked["layers"][0]["working"].find { _1["key"] == "apart" }["answer"])
        .to eq Lantern::Measure::Length.text(Math::PI * 10.5 / 36, units: "in")
      step = worked["steps"].find { _1["id"] == "one.knot" }
      expect(step).to include("count" => 36)
      expect(step["says"]).to match(/\AOne every 15\/16 in: tie a double knot/)
      expect(step).not_to include "pattern"
    end

    it "is the darkest first: spread evenly, tied in that order" do
      two = [ribbon(id: "pale", name: "Pale tape", colour: "#f0e0c0"),
        ribbon(id: "dark", name: "Dark tape", colour: "#202030")]
      worked = work(form:, materials: two, layers: [layer("knotted_strips", "pale", materials: %w[dark],
        strips: 36, order: "darkest_first")])
      step = worked["steps"].find { _1["id"] == "one.knot" }
      expect(step["sequence"]).to eq [{"says" => "Dark tape", "count" => 18}, {"says" => "Pale tape", "count" => 18}]
      colours = worked["drawing"]["layers"][0]["front"].map { _1["colour"] }
      expect(colours.each_cons(2).count { _1 == _2 }).to eq 0
    end

    it "is not both at once, nor a strip that does not go round" do
      {{cut: 11, tail: 3} => "cut", {cut: 4} => "cut", {strips: 30, per_section: 4} => "strips"}.each do |said, at|
        expect { knots(**said) }.to raise_error(Lantern::Plan::Refused) {
          expect(_1.problems[0].at).to end_with ".#{at}"
        }
      end
    end
  end

  it "is that an arc is cut already: nothing is marked, cut or left of a ring" do
    arc = ->(**more) {
      found(form: {"base" => "foam", "shape" => "arc", "width" => 14, "face" => 3, **more.transform_keys(&:to_s)},
        layers: [layer("spiral_wrap", "tape")])
    }
    prepared = ->(worked) { worked["steps"].find { _1["id"] == "prepare" }["says"] }
    expect(prepared.call(arc.call)).to match(/Mark 180° on the ring/)
    expect(prepared.call(arc.call(already_cut: true))).to match(/\ATape or sand its cut ends/)
    codes = ->(worked) { worked["form"]["findings"].map { _1["code"] } }
    expect([codes.call(arc.call), codes.call(arc.call(already_cut: true))]).to match [include("rest_of_ring"), be_empty]
  end

  it "is what a wreath may cost" do
    over = ->(budget) {
      found(budget:, layers: [layer("rope_coil", "rope")])["findings"].find { _1["code"] == "over_budget" }
    }
    used = BigDecimal(found(layers: [layer("rope_coil", "rope")])["cost"]["per_wreath"])
    expect(over.call((used + 1).to_s("F"))).to be_nil
    expect(over.call((used - BigDecimal("0.50")).to_s("F"))).to include("at" => "budget", "says" => /over the \$/)
  end

  describe "of hanging" do
    it "is a loop of rope glued behind, and by either of its names" do
      %w[loop_behind ribbon_loop].each do |kind|
        worked = found(layers: [layer("hanger", "rope", kind:)])
        expect(needs(worked)).to eq [["hangers", 1, 8]]
        expect(worked["steps"].find { _1["layer"] == "one" }["says"]).to include "glue both ends flat behind"
      end
    end

    it "is a covering's own last row, after it, of its rope" do
      worked = found(layers: [layer("rope_coil", "rope"),
        {"id" => "hang", "method" => "hanger", "kind" => "joined_ends",
         "of" => "one"}])
      expect(worked["layers"][1]["needs"][0]).to include("material" => "rope", "length" => 10)
      expect(steps(worked).index("hang.hang")).to be > steps(worked).index("one.coil")
      expect(worked["steps"].find { _1["id"] == "hang.hang" }["title"]).to eq "Join the ends of the rope coil to a loop"
      expect {
        found(layers: [layer("spiral_wrap", "tape"), {"id" => "hang", "method" => "hanger",
                                                      "kind" => "joined_ends", "of" => "one"}])
      }.to raise_error(Lantern::Plan::Refused, /Only rope has ends to join/)
    end
  end

  describe "of steps of the maker's own" do
    let(:paint) {
      {"id" => "paint", "kind" => "piece", "name" => "Paint pens", "offers" => [{"count" => 4, "price" => "8.00"}]}
    }

    def own(*steps) = work(materials: [rope, paint], layers: [layer("rope_coil", "rope")], steps:)

    it "is before or after any step, one of the maker's own among them" do
      worked = own({"id" => "sand", "before" => "one.fill", "title" => "Sand"}, {"after" => "sand", "title" => "Dust"},
        {"before" => "one", "title" => "Dye"})
      order = worked["steps"].map { _1["title"] }
      expect(order.index("Sand")).to eq order.index("Push in the fillers") - 2
      expect(order.index("Dust")).to eq order.index("Sand") + 1
      expect(order.index("Dye")).to be < order.index("Coil the cord, tight on the inside edge")
    end

    it "is what it uses up, charged by parts and told where it is used" do
      worked = own({"after" => "one", "title" => "Paint the edge", "takes" => [{"material" => "paint", "count" => 0.5},
        {"material" => "rope", "length" => "3 in"}]})
      expect(worked["materials"].find { _1["id"] == "paint" }).to include("needed" => 1)
      step = worked["steps"].find { _1["title"] == "Paint the edge" }
      expect(step["takes"].map {
        _1["says"]
      }).to eq ["1/2 piece for “Paint the edge”", "1 piece for “Paint the edge”, 3 in"]
    end

    it "is refused where it stands by nothing, or uses up nobody knows how much" do
      {{"title" => "Dye"} => "steps.0.after", {"after" => "nothing", "title" => "Dye"} => "steps.0.after",
       {"before" => "one", "title" => "Dye", "takes" => [{"material" => "rope"}]} => "steps.0.takes.0.length"}
        .each do |step, at|
        expect { own(step) }.to raise_error(Lantern::Plan::Refused) { expect(_1.problems.map(&:at)).to include at }
      end
    end
  end
end
