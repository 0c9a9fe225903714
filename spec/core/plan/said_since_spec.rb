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

  describe "of forms and coats" do
    let(:rings) {
      [["big", "4.50"], ["small", "2.25"]].map { |id, price|
        {"id" => id, "kind" => "form", "name" => "Ring, #{id}", "offers" => [{"count" => 1, "price" => price}]}
      }
    }

    def joined(first, second) = plan(materials: [ribbon, *rings], layers: [layer("spiral_wrap", "tape")], form: {
      "base" => "foam", "shape" => "composite", "parts" => [
        {"shape" => "ring", "outside" => 12, "inside" => 9, "material" => first}.compact,
        {"shape" => "ring", "outside" => 8, "inside" => 5, "over" => true, "material" => second}.compact
      ]
    })

    it "is two forms with a price each" do
      worked = Lantern.work(joined("big", "small"))
      expect(worked["form"]["cost"]).to eq "6.75"
      expect(worked["materials"].to_h { _1.values_at("id", "needed") }).to include("big" => 1, "small" => 1)
      twice = Lantern.work(joined("small", "small"))
      expect([twice["form"]["cost"], twice["materials"].find { _1["id"] == "small" }["needed"]]).to eq ["4.50", 2]
      expect(problems(joined("big", "tape")).keys).to eq ["form.parts.1.material"]
    end

    def coated(sort, **more)
      paste = {"id" => "paste", "kind" => "glue", "name" => "Paper paste", "offers" => [{"count" => 1, "price" => "3"}]}
      coat = {"id" => "coat", "kind" => "coat", "name" => "Printed napkins", "sort" => sort,
              "offers" => [{"count" => 1, "price" => "2"}]}.merge(more.transform_keys(&:to_s)).compact
      work(form: foam(14, 8), materials: [coat, paste], layers: [layer("coat", "coat")])
    end

    it "is that a coat is painted, pasted or pressed, each told by its own words" do
      told = %w[paint paper moss].to_h { |sort| [sort, coated(sort)["steps"].find { _1["layer"] == "one" }] }
      expect(told.transform_values { _1["says"] }).to match("paint" => /Brush it on thin/, "paper" => /single plies/,
        "moss" => /press a tuft/)
      expect(told["moss"]["cautions"]).to eq []
      expect(told.values.map { _1.values_at("title", "look").join }.uniq.size).to eq 3
    end

    it "is what it is put on with, listed and charged" do
      worked = coated("paper", with: "paste")
      expect(worked["layers"][0]["needs"].map { _1.values_at("material", "count") }).to eq [["coat", 1], ["paste", 1]]
      expect(worked["steps"].find { _1["layer"] == "one" }["says"]).to include "Brush Paper paste on the form"
      # What a coat takes is not what the gun takes.
      expect(worked["materials"].find { _1["id"] == "paste" }["needed"]).to eq 1
      expect(problems(plan(materials: [{"id" => "c", "kind" => "coat", "name" => "C", "with" => "none"}])).keys)
        .to eq ["materials.0.with"]
      %w[coat rib].each do |with|
        coat = {"id" => "coat", "kind" => "coat", "name" => "Napkins", "with" => with}
        expect(problems(plan(materials: [coat, ribbon(id: "rib")], layers: [layer("coat", "coat")])).keys)
          .to eq ["layers.0.material"]
      end
    end

    it "is not that a coat uses up the glue that something else is glued with" do
      paste = {"id" => "paste", "kind" => "glue", "name" => "Paste", "offers" => [{"count" => 1, "price" => "3"}]}
      coat = {"id" => "coat", "kind" => "coat", "name" => "Moss", "sort" => "moss", "with" => "paste"}
      worked = work(form: foam(14, 8), materials: [coat, paste, rope],
        layers: [layer("coat", "coat", id: "moss"), layer("seam_cord", "rope", rounds: 2)])
      expect(worked["materials"].find { _1["id"] == "paste" }["needed"]).to eq 1
    end

    it "is a back over the opening, too: as large as what is inside the outline" do
      felt = cloth(id: "felt", offers: [{"width" => 36, "length" => 36, "price" => "9.00"}])
      back = ->(**more) { work(materials: [felt], layers: [layer("backing", "felt", **more)]) }
      whole = back.call(covers: "whole", margin: 0.25)
      expect(whole["layers"][0]["figures"]["area"]).to be_within(0.05).of(Math::PI / 4 * 13.5**2)
      expect(whole["layers"][0]["needs"]).to eq back.call(margin: 0.25)["layers"][0]["needs"]
      expect(whole["drawing"]["layers"][0]).to include("kind" => "panel", "front" => [])
      expect(problems(plan(materials: [ribbon], layers: [layer("backing", "tape", covers: "whole")])).keys)
        .to eq ["layers.0.covers"]
    end
  end

  describe "of sales" do
    let(:sold) {
      ribbon(offers: [{"length" => "9 ft", "price" => "3.20", "sale_price" => "2.00", "sale_from" => "2027-03-01",
                       "sale_every" => 14}])
    }

    def waiting(today, material = sold)
      document = plan(materials: [material], layers: [layer("spiral_wrap", "tape")], today:)
      Lantern.work(document, advice: true)["advice"].find { _1["code"] == "wait" }
    end

    it "is when an offer is cheaper: advice to wait, for one wreath" do
      {"2027-02-25" => /1 March 2027/, "2027-03-03" => /\AOn sale now/, "2027-03-09" => /15 March 2027/}
        .each { |today, says| expect(waiting(today)["says"]).to match(says) }
      regular = Lantern.work(plan(materials: [sold], layers: [layer("spiral_wrap", "tape")]))["materials"][0]["buy"]
      packages = regular.sum { _1["count"] }
      expect(BigDecimal(waiting("2027-02-25")["saves"])).to eq packages * BigDecimal("1.20")
    end

    it "is over a week after it began, unless it comes again; and without a day nobody waits" do
      once = sold.merge("offers" => [sold["offers"][0].except("sale_every")])
      expect(waiting("2027-03-09", once)).to be_nil
      expect(waiting(nil)).to be_nil
    end
  end

  # The front of a ring is the area between its two circles; a disc of half that hides half.
  it "is answered how much of the whole front all layers hide together" do
    hidden = ->(*layers) { work(form: foam(14, 8), materials: [cloth, ribbon], layers:)["form"]["covered"] }
    whole = hidden.call(layer("spiral_wrap", "tape"))
    expect(whole).to be > 0.99
    expect(hidden.call).to eq 0
    half = {"id" => "one", "method" => "spiral_wrap", "material" => "tape", "from" => 12, "to" => 6}
    expect(hidden.call(half)).to be_within(0.02).of(0.5)
    other = half.merge("id" => "two", "from" => 6, "to" => 12)
    expect(hidden.call(half, other)).to be > 0.98
  end

  it "is never answered by two steps of one title" do
    bow = ->(id, material, at) { {"id" => id, "method" => "piece", "material" => material, "at" => at} }
    titles = ->(*layers) {
      work(materials: [ribbon, ribbon(id: "b", name: "Slate tape")], layers:)["steps"].map { _1["title"] }
    }
    two = titles.call(bow.call("x", "tape", 3), bow.call("y", "b", 9))
    expect(two).to include "Make the bow, Marigold tape", "Make the bow, Slate tape"
    same = titles.call(bow.call("x", "tape", 3), bow.call("y", "tape", 9), bow.call("z", "tape", 9))
    expect(same.uniq.size).to eq same.size
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
      }).to eq ["half a piece for “Paint the edge”", "1 piece for “Paint the edge”, 3 in"]
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
