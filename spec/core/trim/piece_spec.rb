# frozen_string_literal: true

# Pieces planned whole, with every count and length by pencil beside them.
RSpec.describe Lantern::Trim::Piece do
  let(:form) { {base: "wire", shape: "ring", outside: 14, inside: 8, rails: 4, sections: 4, ties: 18} }
  let(:stuff) {
    {wide: {kind: "ribbon", name: "Indigo ribbon", width: 2.5, wired: true},
     mid: {kind: "ribbon", name: "Rust ribbon", width: 1.5, wired: true},
     thin: {kind: "ribbon", name: "Marigold tape", width: 0.625, wired: true},
     cord: {kind: "rope", name: "Hemp cord", diameter: 0.125}, mesh: {kind: "mesh", name: "Netting", width: 10},
     wire: {kind: "wire", name: "Florist’s wire", diameter: 0.03},
     stem: {kind: "tie", sort: "chenille", name: "Chenille stems"},
     tie: {kind: "tie", sort: "cable", name: "Cable ties"}, leaf: {kind: "piece", name: "Lamb’s ear pick"},
     bloom: {kind: "piece", name: "Sunflower pick"}, ball: {kind: "piece", name: "Glass ball"},
     figure: {kind: "piece", name: "Felt fox"}, beads: {kind: "rope", name: "String of beads", diameter: 0.25}}
      .map { |id, said|
      counted = %w[tie piece].include?(said[:kind])
      {id: id.to_s, offers: [counted ? {count: 10, price: "5.00"} : {length: 108, price: "4.00"}], **said}
    }
  }

  def piece(id = "piece", **options) = {id:, method: "piece", **options}

  def document(*layers) = JSON.parse(JSON.generate(plan(materials: stuff, layers:).merge("form" => form)))

  def worked(*layers) = Lantern.work(document(*layers))

  def needs(found, layer = 0) = found["layers"][layer]["needs"].map { _1.values_at("material", "count", "length") }

  def steps(found, layer = "piece") = found["steps"].select { _1["layer"] == layer }

  def lies(found, layer = "piece") = found["drawing"]["layers"].select { _1["layer"] == layer }

  it "is a bow of three ribbons, each with its own width, loops and tails, and a loop in the centre" do
    found = worked(piece(
      parts: [{material: "wide", tail: 8, loops: 4, loop_size: 5, ends: "v"},
        {material: "mid", tail: 7, loops: 4, loop_size: 4}, {material: "thin", tail: 6, loops: 2, loop_size: 3},
        {material: "thin", as: "loop", loop_size: 1.5}],
      tie: {material: "stem", count: 0.5}, fixing: [{with: "stem", material: "stem", count: 0.5}]
    ))
    # 16 + 40, 14 + 32, 12 + 12, 3; half a stem ties it, half a stem holds it.
    expect(needs(found)).to eq [["wide", 1, 56], ["mid", 1, 46], ["thin", 1, 24], ["thin", 1, 3], ["stem", 0.5, nil],
      ["stem", 0.5, nil]]
    expect(found["layers"][0]["figures"]).to include("pieces" => 1, "piece_length" => 129, "length" => 129)
    expect(found["layers"][0]["working"].map { _1["sum"] }).to include("2 × 8 + 4 × 2 × 5", "2 × 7 + 4 × 2 × 4",
      "2 × 6 + 2 × 2 × 3", "2 × 1 1/2")
    make, fix = steps(found)
    expect(make["says"]).to match(/Indigo ribbon: tail 8 in, 4 loops of 5 in laid flat, tail 8 in: 56 in, a V cut in/)
    expect(make["says"]).to match(/Rust ribbon: tail 7 in.*Marigold tape: tail 6 in.*loop of 1 1\/2 in/)
    expect(make["says"]).to include("Indigo ribbon undermost, then Rust ribbon", "half a twist",
      "Half a chenille stem round")
    expect([make["title"], fix["title"]]).to eq ["Make the bow", "Fix the bow at 6 o’clock"]
    # Every layer shows: each loop reaches less far than those beneath it.
    reach = lies(found).select { _1["kind"] == "loop" }.first(3).map { |lie|
      lie["front"].map { |item|
        Math.hypot(item["points"][2] - item["points"][0], item["points"][3] - item["points"][1])
      }.max
    }
    expect(reach).to match [be_within(0.01).of(4.25), be_within(0.01).of(3.4), be_within(0.01).of(2.55)]
    expect(lies(found).select { _1["kind"] == "tail" }.map { _1["front"].size }).to eq [2, 2, 2]
  end

  it "is two glued rings of their own sizes over a separate tail, under a bow tied like a shoelace" do
    found = worked(piece(making: "rings", material: "wide", at: 6,
      parts: [{as: "tail", length: 14, gap: 3}, {as: "ring", size: 6}, {as: "ring", size: 4.5}],
      fixing: [{with: "cord"}]),
      piece("top", making: "shoelace", material: "thin", on: "piece", on_at: "centre",
        parts: [{as: "ribbon", tail: 5, loops: 2, loop_size: 3}]))
    # 14; 2 x 6 + 1; 2 x 4 1/2 + 1; and 10 + 12.
    expect(needs(found)).to eq [["wide", 1, 14], ["wide", 1, 13], ["wide", 1, 10]]
    expect(needs(found, 1)).to eq [["thin", 1, 22]]
    expect(steps(found)[0]["says"]).to include("a strip of 14 in folded in the middle, its halves 3 in apart",
      "a ring 6 in long laid flat: 13 in", "a ring 4 1/2 in long", "not pressed flat", "long enough to tie it on")
    expect(steps(found, "top").map { _1["title"] }).to eq ["Make the bow, Marigold tape"]
    expect(steps(found, "top")[0]["says"]).to include "Round the middle of what it sits on"
    expect(lies(found)[0]["front"][0]["points"].first(2)).to eq lies(found, "top")[0]["front"][0]["points"].first(2)
  end

  # As a shoe is tied round a foot: whoever has tied one knows that the ribbon goes round it too (common practice).
  it "goes round the band where it is tied like a shoelace, and takes its knot" do
    found = worked(piece(making: "shoelace", material: "thin",
      parts: [{as: "ribbon", tail: 5, loops: 2, loop_size: 3}]))
    girth, width = found["form"]["girth"], stuff.find { _1[:id] == "thin" }[:width]
    long = needs(found)[0][2]
    expect(long - (10 + 12 + girth + 4 * width)).to be_between(0, 0.125)
    # By pencil: what is summed up is what is cut.
    line = found["layers"][0]["working"].find { _1["key"] == "part_1" }
    summed = line["sum"].split(" + ").sum { |each|
      each.split(" × ").map { Lantern::Measure::Length.read(_1, units: "in") }.inject(:*)
    }
    expect(summed).to eq long
    expect(steps(found)[0]["says"]).to match(/round the band and for the knot, tail 5 in: #{long.to_i} in/)
      .and match(/\bRound the band, /)
    expect(steps(found).map { _1["title"] }).to eq ["Tie the bow at 6 o’clock"]
  end

  # The same hands make both: what is usual of a kind of bow is cut alike, however the plan says it.
  it "takes of every making what a bow of that kind takes" do
    %w[pinch_and_twist two_loop shoelace awareness accordion folded_many stacked_strips].each do |kind|
      both = worked(piece(making: kind, material: "thin"), {id: "bow", method: "bow", material: "thin", kind:, at: 2})
      expect([kind, needs(both).sort]).to eq [kind, needs(both, 1).sort]
    end
  end

  # Common practice: twelve bows of 18 in from two rolls of 9 ft, twelve cords of 12 in.
  it "is twelve tied bows round the form, on two rolls" do
    found = worked(piece(making: "crossed", count: 12, material: "thin", parts: [{as: "strip", length: 18}],
      tie: {material: "cord", length: 12}, fixing: [{with: "cord"}]))
    expect(needs(found)).to eq [["thin", 12, 18], ["cord", 12, 12]]
    bought = found["materials"].to_h { [_1["id"], _1["buy"].sum { |each| each["count"] }] }
    expect(bought).to include("thin" => 2, "cord" => 2)
    # Round the middle line of the band, 11 in across: pi x 11 / 12.
    expect(found["layers"][0]["figures"]["pitch"]).to be_within(0.01).of(Math::PI * 11 / 12)
    expect(steps(found).map {
      _1["title"]
    }).to match ["Make 12 bows", /\AFix 12 bows round the form, 2 7\/8 in from one/]
    expect(lies(found)[0]["front"].size).to eq 24
  end

  it "is twelve curls, three to a quarter, one inside for two outside" do
    found = worked(piece(name: "curl", making: "bundle", material: "mesh", per_section: 3, sides: {in: 1, out: 2},
      parts: [{as: "curl", length: 10, width: 4}], tie: {material: "wire", length: 8}, fixing: [{with: "twisted"}]))
    expect(needs(found)).to eq [["mesh", 12, 10], ["wire", 12, 8]]
    from = lies(found).find {
      _1["kind"] == "curl"
    }["front"].map { Math.hypot(*_1["points"].first(2)) }.each_slice(2).map(&:first)
    # The band's middle is 5 1/2 in out, half of half its face on either side.
    expect(from.map { _1 < 5.5 }).to eq [true, false, false] * 4
    expect(steps(found)[1]["says"]).to include "Twist the form’s own tie round its middle"
  end

  # Common practice: three tubes of 10 in and a strip of 8 1/2 in of each of three patterns, half a stem, a hairpin.
  it "is five bundles of three tubes and three strips, each with half a stem and a hairpin" do
    found = worked(piece(making: "bundle", count: 5,
      parts: [{material: "mesh", as: "tube", length: 10, across: 1, count: 3},
        *%w[wide mid thin].map { {material: _1, as: "strip", length: 8.5, ends: "v"} }],
      tie: {material: "stem", count: 0.5}, fixing: [{with: "hairpin", material: "wire"}]))
    expect(needs(found)).to eq [["mesh", 15, 10], ["wide", 5, 8.5], ["mid", 5, 8.5], ["thin", 5, 8.5],
      ["stem", 2.5, nil],
      ["wire", 5, 6]]
    # Of two and a half stems three leave the pack.
    expect(found["materials"].find { _1["id"] == "stem" }["needed"]).to eq 3
    expect(steps(found)[0]["says"]).to include("Netting, 3 of them: a tube 10 in long, rolled to 1 in across",
      "crosswise")
    expect(steps(found)[1]["says"]).to match(/1 hairpin over its middle and into the form/)
  end

  # Common practice: a swag takes a tie and three wires.
  it "is a swag of leaves and blooms, with one tie and three wires" do
    found = worked(piece(making: "swag", at: 6, parts: [{material: "leaf", as: "item", count: 2, size: 9},
      {material: "bloom", as: "item", count: 2, size: 5}], fixing: [{with: "tie", material: "tie"},
        {with: "wire", material: "wire", count: 3}]))
    expect(needs(found)).to eq [["leaf", 2, nil], ["bloom", 2, nil], ["tie", 1, nil], ["wire", 3, 12]]
    expect(steps(found)[0]["says"]).to match(
      /Lamb’s ear pick, 9 in, 2 of them\. Sunflower pick, 5 in, 2 of them\..*overlapped/
    )
    unsaid = worked(piece(making: "swag", parts: [{material: "leaf", as: "item", count: 2}]))
    expect(unsaid["fixings"].map { _1.values_at("what", "count") }).to contain_exactly(["tie", 1], ["wires", 3])
    # Without a material it is told and listed, and charged to nothing.
    expect(unsaid["materials"].reject { _1["needed"].zero? }.map { _1["id"] }).to eq ["leaf"]
  end

  # Common practice: the widest lies undermost, and each ring is smaller than the one below. A ring takes twice its
  # length and an inch.
  it "has a part of each of its materials when no parts are said" do
    swag = worked(piece(making: "swag", material: "leaf", materials: %w[bloom]))
    expect(needs(swag)).to eq [["leaf", 2, nil], ["bloom", 2, nil]]
    rings = worked(piece(making: "layered_loops", material: "thin", materials: %w[wide mid]))
    expect(needs(rings)).to eq [["wide", 1, 11], ["mid", 1, 9], ["thin", 1, 7]]
    stuffs = (1..25).map { {id: "m#{_1}", kind: "ribbon", name: "Ribbon #{_1}", width: 1} }
    many = document(piece(making: "layered_loops", material: "m1", materials: stuffs.map { _1[:id] }.drop(1)))
    many["materials"] += JSON.parse(JSON.generate(stuffs))
    expect { Lantern.work(many) }.to raise_error(Lantern::Plan::Refused, /24 parts at most/)
    one = worked(piece(making: "layered_loops", material: "mid"))
    expect(needs(one)).to eq [["mid", 1, 9], ["mid", 1, 7]]
    said = worked(piece(making: "swag", material: "leaf", materials: %w[bloom],
      parts: [{as: "item", count: 3}, {as: "item", count: 4}, {material: "ball", as: "item", count: 1}]))
    expect(needs(said)).to eq [["leaf", 3, nil], ["bloom", 4, nil], ["ball", 1, nil]]
  end

  # Rings of 4 and 3 in take 9 and 7 in. Of 30 1/2 in two rings twice as large go, 17 and 13 in; a sixteenth more would
  # take 30 3/4 in. Of 16 in they go as they are, of 15 in only smaller.
  it "is worked backwards to the largest that what is left is enough for" do
    grown = ->(on_hand, **said) {
      asked = document(piece(making: "layered_loops", material: "mid", **said))
      ribbon = asked["materials"].find { _1["id"] == "mid" }
      ribbon.replace(ribbon.merge("offers" => [], "on_hand" => [on_hand]))
      Lantern::Ask::Backwards.answer("plan" => asked, "layer" => 0)["answers"].find { _1["key"] == "grown" }
    }
    twice = grown.call(30.5)
    expect(twice["says"]).to eq "The largest like this, no wider than the form: a ring 8 in long laid flat: 17 in; " \
      "a ring 6 in long laid flat: 13 in."
    expect(twice["try"]["parts"]).to eq [{"as" => "ring", "material" => "mid", "size" => "8 in"},
      {"as" => "ring", "material" => "mid", "size" => "6 in"}]
    expect(grown.call(16)).to be_nil
    # 2 x 3 3/4 + 1 and 2 x 2 3/4 + 1.
    expect(grown.call(15)["try"]["parts"].map { _1["size"] }).to eq ["3 3/4 in", "2 3/4 in"]
    expect(grown.call(3)).to be_nil
    # Of plenty three times as large, or as wide as the form: 14 in.
    expect(grown.call(400)["try"]["parts"].map { _1["size"] }).to eq ["12 in", "9 in"]
    expect(grown.call(400, parts: [{as: "ring", size: 7}])["try"]["parts"].map { _1["size"] }).to eq ["14 in"]
    tried = document(piece(making: "layered_loops", material: "mid", **twice["try"].transform_keys(&:to_sym)))
    expect(needs(Lantern.work(tried))).to eq [["mid", 1, 17], ["mid", 1, 13]]
    expect(grown.call(60, parts: [{material: "bloom", as: "item", count: 2}])).to be_nil
  end

  it "is a tuft in every other of the form’s outer ties" do
    found = worked(piece(name: "tuft", making: "bundle", every: 2, rail: "outer", tie: "none",
      parts: [{material: "wide", as: "strip", length: 8, count: 2, ends: "point"}], fixing: [{with: "twisted"}]))
    # Eighteen ties on a rail: nine tufts of two strips.
    expect(needs(found)).to eq [["wide", 18, 8]]
    expect(steps(found)[1]["title"]).to eq "Fix 9 tufts into every other of the form’s outer ties, the " \
      "first at 12 o’clock"
    first = lies(found)[0]["front"][0]["points"]
    expect(first[0]).to be_within(0.05).of(0)
    expect(-first[1]).to be_between(6.5, 7)
  end

  it "is three picks with glue and a tie each, side by side" do
    found = worked(piece(making: "bought", count: 3, at: 8, parts: [{material: "bloom", as: "item", size: 3}],
      fixing: [{with: "glue"}, {with: "tie", material: "tie"}]))
    expect(needs(found)).to eq [["bloom", 3, nil], ["tie", 3, nil]]
    expect(found["supplies"]["bead"]).to eq 3
    expect(steps(found).map { _1["title"] }).to eq ["Fix 3 Sunflower picks at 8 o’clock"]
    expect(steps(found)[0]["says"]).to match(/Glue it on.*; then 1 tie round it and the form/)
    places = lies(found)[0]["front"].map { _1["points"] }
    expect(places.each_cons(2).map { |(ax, ay), (bx, by)|
      Math.hypot(bx - ax, by - ay)
    }).to all be_within(0.15).of(3.15)
  end

  it "is a ball glued into the opening, and hangs on no cord" do
    found = worked(piece(making: "bought", at: "middle",
      parts: [{material: "ball", as: "item", size: 3, weight: "40 g"}],
      fixing: [{with: "glue"}]))
    expect(needs(found)).to eq [["ball", 1, nil]]
    expect(lies(found).map { _1["kind"] }).to eq ["ball"]
    expect(lies(found)[0]["front"][0]["points"]).to match [be_within(0.01).of(0), be_within(0.01).of(0)]
    expect(steps(found)[0]["title"]).to eq "Fix the Glass ball in the opening"
  end

  it "is a figure on two stems, and too heavy for one" do
    figure = ->(stems) {
      worked(piece(making: "bought", parts: [{material: "figure", as: "item", size: 5, weight: "250 g"}],
        fixing: [{with: "stem", material: "stem", count: stems}]))["layers"][0]
    }
    expect(figure.call(2)["needs"].last).to include("material" => "stem", "count" => 2)
    expect(figure.call(2)["findings"]).to be_empty
    expect(figure.call(1)["findings"][0]).to include("code" => "too_heavy", "says" => /250 g.*about 200 g/)
  end

  it "is beads woven through a bow" do
    found = worked(piece(material: "wide"), piece("beads", name: "string of beads", making: "bought", on: ["piece"],
      parts: [{material: "beads", as: "string", length: 24, woven: true}], tie: "none", fixing: [{with: "twisted"}]))
    expect(needs(found, 1)).to eq [["beads", 1, 24]]
    expect(steps(found, "beads")[0].values_at("title", "says")).to match ["Fix the string of beads on the bow",
      /\AThrough its loops, in and out, the ends tucked behind/]
  end

  it "is a plan by a material alone, with what is usual" do
    found = worked(piece(material: "wide"))
    expect(needs(found)).to eq [["wide", 1, 44]]
    expect(found["fixings"].map { _1.values_at("what", "count") }).to eq [["chenille stem", 1]]
  end

  it "says in which part something is that it has not, and what cannot be" do
    {{parts: [{material: "wide", as: "tail", loops: 3}]} => "layers.0.parts.0.loops",
     {parts: [{as: "ribbon"}]} => "layers.0.parts.0.material",
     {parts: [{material: "leaf", as: "ring", size: 4}]} => "layers.0.parts.0.material",
     {material: "wide", count: 3, spacing: 4} => "layers.0.spacing",
     {material: "wide", at: {along: "900 in"}} => "layers.0.at.along",
     {material: "wide", on: "nothing"} => "layers.0.on",
     {material: "wide", fixing: [{with: "magic"}]} => "layers.0.fixing.0.with",
     {material: "wide", tie: "knot"} => "layers.0.tie"}.each do |options, at|
      expect { worked(piece(**options)) }.to raise_error(Lantern::Plan::Refused) { |refused|
        expect(refused.problems.map(&:at)).to include at
      }
    end
  end

  it "is the same in the other units" do
    inches = document(piece(at: {along: 6}, sides: {in: 1, out: 2}, count: 3,
      parts: [{material: "wide", tail: 6, loops: 4, loop_size: 4}], tie: {material: "wire", length: 8}))
    metric = Lantern::Plan::Units.change(inches, to: "cm")
    expect(metric["layers"][0]).to include("at" => {"along" => 15.24}, "tie" => include("length" => 20.32))
    lengths = [inches, metric].map { Lantern.work(_1)["layers"][0]["needs"].map { |need| need["length"] } }
    expect(lengths[1]).to match(lengths[0].map { be_between(_1 * 2.54, _1 * 2.54 + 0.5) })
  end

  it "sits on a corner of another, and is told so" do
    sign = piece("sign", making: "bought", at: 6, parts: [{as: "item", material: "figure", size: 6, height: 3,
                                                           words: "Come in"}])
    found = worked(sign, piece("top", material: "thin", on: "sign", on_at: "top_left"))
    # The middle of the band at six is 5 1/2 in below the middle; the corner 3 in to the left of it, 1 1/2 in up.
    expect(lies(found, "top").first["front"][0]["points"].first(2))
      .to match [be_within(0.01).of(-3), be_within(0.01).of(4)]
    expect(steps(found, "top").last["title"]).to match(/on the top left of the Felt fox\z/)
  end

  # A photo in thousandths of its width, 1500 high: its outline lies where that photo does, and is so large.
  describe "that is cut out of its photo" do
    let(:cut_out) { {outline: [[0, 0], [1000, 0], [1000, 900], [500, 1500], [0, 900]], high: 1500} }

    def photographed(id, more = {})
      stuff.find { _1[:id] == id }.merge!(picture: "a" * 64, cut_out:, **more)
    end

    def corners(item) = item["points"].each_slice(2).to_a

    it "is drawn as that, upright, as wide as the thing or as its plan says" do
      photographed("figure", picture_width: 4)
      found = worked(piece(making: "bought", at: 6, material: "figure"),
        piece("small", making: "bought", at: 12, material: "figure", parts: [{as: "item", size: 2}]))
      lie, small = lies(found)[0], lies(found, "small")[0]
      # The middle of the band at six is 5 1/2 in below the middle; 4 in wide is 6 in high.
      expect(lie["pictured"]).to eq [{"picture" => "a" * 64, "placed" => [-2.0, 2.5, 2.0, 2.5, -2.0, 8.5]}]
      expect(corners(lie["front"][0])).to eq [[-2, 2.5], [2, 2.5], [2, 6.1], [0, 8.5], [-2, 6.1]]
      expect(small["pictured"][0]["placed"]).to eq [-1.0, -7.0, 1.0, -7.0, -1.0, -4.0]
      expect([lie["kind"], lie["what"], lie["written"]]).to eq ["cut_out", "Felt fox", nil]
      # Its photo is laid as it is, and never fills a strip.
      expect(found["drawing"]["surfaces"].find { _1["material"] == "figure" }.keys).not_to include "picture"
    end

    it "has its foot in the middle and its top at the tip where it is a pick, as long as was said" do
      photographed("leaf")
      found = worked(piece(making: "swag", at: 6, parts: [{as: "item", material: "leaf", count: 2, size: 6}]))
      left, right = lies(found)[0]["pictured"].map { _1["placed"].each_slice(2).to_a }
      foot = ->((upper_left, upper_right, lower_left)) {
        lower_left.zip(upper_left, upper_right).map { |low, a, b| low + (b - a) / 2 }
      }
      top = ->((upper_left, upper_right, _)) { upper_left.zip(upper_right).map { _1.sum / 2 } }
      [left, right].each do |placed|
        expect(foot[placed]).to match [be_within(0.01).of(0), be_within(0.01).of(5.5)]
        expect(Math.hypot(*top[placed].zip(foot[placed]).map { _1 - _2 })).to be_within(0.01).of(6)
      end
      expect([top[left][0], top[right][0]]).to match [be < -5, be > 5]
    end

    it "has its foot in the middle of a swag, whatever it is called, and its top at the tip" do
      photographed("figure")
      found = worked(piece(making: "swag", at: 6, parts: [{as: "item", material: "figure", count: 2, size: 6}]))
      lies(found)[0]["pictured"].each do |each|
        upper_left, upper_right, lower_left = each["placed"].each_slice(2).to_a
        foot = lower_left.zip(upper_left, upper_right).map { |low, a, b| low + (b - a) / 2 }
        expect(foot).to match [be_within(0.01).of(0), be_within(0.01).of(5.5)]
      end
    end

    it "has fewer corners where there are very many, and the same photo" do
      many = (0...240).map { |i| 2 * Math::PI * i / 240 }.map { [500 + 499 * Math.cos(_1), 500 + 499 * Math.sin(_1)] }
      photographed("figure", cut_out: {outline: many.map { |corner| corner.map(&:round) }, high: 1000})
      counts = [1, 400].map { |count|
        found = worked(piece(making: "bought", count:, material: "figure", parts: [{as: "item", size: 1}]))
        lies(found)[0]["front"].map { corners(_1).size }.uniq
      }
      expect(counts).to match [[240], [be_between(24, 40)]]
    end

    it "reaches no further than its photo, whatever its outline says" do
      photographed("figure", picture_width: 4, cut_out: cut_out.merge(outline: [[0, 0], [9000, 0], [9000, 40_000]]))
      lie = lies(worked(piece(making: "bought", at: 6, material: "figure")))[0]
      expect(corners(lie["front"][0])).to eq [[-2, 2.5], [2, 2.5], [2, 8.5]]
    end

    it "hides what lies beneath it, and no more" do
      photographed("figure", picture_width: 4)
      document = JSON.parse(JSON.generate(stuff.find { _1[:id] == "figure" }))
      material = Lantern::Plan::Material.check(document, units: "in")
      front = Lantern::Place::Lie::CutOut.items(material, [[[0, 0], -Math::PI / 2]], 4)
      hidden = Lantern::Place::Lie::CutOut.new(layer: "a", unit: :things, materials: [material], width: 4.0,
        front:).covers(:front)
      # Three inches high at its sides, a point of 2.4 in below.
      expect([[0, 0], [1.9, -2.9], [0, 2.9]].map { |x, y| hidden.any? { _1.over?(x, y) } }).to all be true
      expect([[1.9, 2.5], [2.1, 0], [0, 3.1]].map { |x, y| hidden.any? { _1.over?(x, y) } }).to all be false
    end
  end

  it "says what its parts are as a plan would, those that are usual too, and comes to the same when it does" do
    usual = worked(piece(making: "rings", material: "wide", at: 6))
    parts = usual["layers"][0]["parts"]
    expect(parts).to eq [6, 4].map { {"as" => "ring", "material" => "wide", "count" => 1, "size" => "#{_1} in"} }
    said = worked(piece(making: "rings", material: "wide", at: 6, parts:))
    expect(said["layers"][0].except("settings")).to eq usual["layers"][0].except("settings")
    expect(said["drawing"]).to eq usual["drawing"]
    some = worked(piece(parts: [{material: "wide", tail: 0, loops: 2}, {material: "figure", as: "item", words: "Hi"}]))
    expect(some["layers"][0]["parts"]).to match [hash_including("tail" => "0 in", "loops" => 2, "loop_size" => "4 in"),
      {"as" => "item", "material" => "figure", "count" => 1, "words" => "Hi"}]
  end

  # What is dragged out goes with the hand: twice as long in the plan, twice as long where it is drawn.
  it "is drawn in proportion by every measure that can be dragged" do
    long = ->(part, drawn) {
      lie = lies(worked(piece(parts: [part], at: 6))).find { drawn.include?(_1["kind"]) }
      next unless lie
      points = lie["front"][0]["points"].each_slice(2).to_a
      next Math.hypot(*points[0].zip(points[1]).map { _1 - _2 }) if points.size == 2
      xs = points.map(&:first)
      [xs.max - xs.min, lie["width"]].max
    }
    measured = Lantern::Trim::Pieces::PARTS.to_h.flat_map do |as, kind|
      kind::FIELDS.values.select { _1.respond_to?(:drawn) && _1.drawn.any? && kind.has?(_1.name) }.filter_map do |field|
        names = (as == :item) ? %w[bloom ball figure leaf] : %w[thin]
        ratios = names.filter_map { |material|
          kinds = field.drawn.map(&:to_s)
          once, twice = [3, 6].map { |size| long.call({:as => as, :material => material, field.name => size}, kinds) }
          (twice / once).round(3) if once
        }
        [[as, field.name], ratios.uniq] if ratios.any?
      end
    end.to_h
    expect(measured.values.uniq).to eq [[2.0]]
    expect(measured.keys).to include(%i[ribbon tail], %i[ribbon loop_size], %i[ring size], %i[strip length],
      %i[curl length], %i[tube length], %i[fold fold_size], %i[cone height], %i[item size])
  end

  it "is not twisted into ties that a form has not" do
    tied = piece(material: "thin", fixing: [{with: "twisted"}])
    codes = ->(found) { found["layers"][0]["findings"].map { _1["code"] } }
    expect(codes.call(worked(tied))).not_to include "no_ties"
    bare = document(tied).tap { _1["form"].delete("ties") }
    expect(codes.call(Lantern.work(bare))).to include "no_ties"
  end

  describe "composed at random" do
    let(:forms) {
      [foam(14, 8), {"base" => "wire", "outside" => 14, "inside" => 8, "ties" => 18},
        {"base" => "foam", "shape" => "arc", "width" => 14, "face" => 3, "degrees" => 200}]
    }
    let(:shelf) {
      [*stash, {"id" => "stems", "kind" => "tie", "sort" => "chenille", "name" => "Stems"},
        {"id" => "wire", "kind" => "wire", "name" => "Wire", "diameter" => 0.03}]
    }
    let(:measures) { {loops: 4, folds: 5, words: "Come in", weight: "8 oz", woven: true, laid: true} }

    def any_part(random)
      kind = Lantern::Trim::Pieces::PARTS.to_h.values.sample(random:)
      said = (kind.measures.keys + kind.optional).select { random.rand < 0.6 }
        .to_h { |name| [name.to_s, measures.fetch(name) { [0.5, 2, 6, 12].sample(random:) }] }
      {"as" => kind.word.to_s, "material" => shelf.sample(random:)["id"], "count" => random.rand(1..3), **said}
    end

    def any_piece(random)
      with = Lantern::Trim::Pieces::Fastening::WAYS.keys.sample(random:).to_s
      places = [{at: 3}, {at: "middle"}, {at: {along: 5}}, {count: 7}, {spacing: 4}, {every: 2, rail: "outer"}, {}]
      layer("piece", shelf.sample(random:)["id"], parts: Array.new(random.rand(1..3)) { any_part(random) },
        making: Lantern::Trim::Pieces::MAKINGS.keys.sample(random:).to_s, **places.sample(random:),
        tie: ["own", "glue", {material: shelf.sample(random:)["id"], count: 0.5}].sample(random:),
        fixing: [{with:, count: 0.5, material: shelf.sample(random:)["id"]}])
    end

    it "is worked whole, or refused in sentences that name a place" do
      worked = refused = 0
      each_random(250) do |random|
        Lantern.work(JSON.parse(JSON.generate(plan(form: forms.sample(random:), materials: shelf,
          layers: [any_piece(random)]))))
        worked += 1
      rescue Lantern::Plan::Refused => refusal
        expect(refusal.problems.map(&:at)).to all start_with "layers.0"
        expect(refusal.problems.map(&:says)).to all match(/\A[A-Z“].*[.!?]\z/)
        refused += 1
      end
      # Neither is rare: both are tried.
      expect([worked, refused]).to all be > 60
    end
  end
end
