# frozen_string_literal: true

RSpec.describe Lantern::Cover::RopeCoil do
  def coil(form = {}, diameter: 0.3125, **options) =
    work(form:, materials: [rope(diameter:)], layers: [layer("rope_coil", "rope", **options)])["layers"][0]

  it "lays as many coils as touch on the inside edge" do
    expect(coil["figures"]["turns"]).to eq 80
    [1 / 8r, 1 / 4r, 3 / 8r, 1 / 2r].each do |diameter|
      turns = coil(diameter: diameter.to_f)["figures"]["turns"]
      expect(turns * diameter).to be <= 8 * Math::PI
      expect((turns + 1) * diameter).to be > 8 * Math::PI
    end
  end

  # Common practice: on a 14 in frame with rails near 14, 12, 10 and 8 in, rope of 1/4 to 3/8 in
  # wants a filler every five to ten coils.
  it "wants a filler every five to ten coils on a common frame" do
    [0.25, 0.3125, 0.375].each { |diameter|
      expect(coil(diameter:)["figures"]["coils_between_fillers"]).to be_between(5,
        10)
    }
  end

  it "adds just enough fillers to bring the average gap under what is accepted" do
    [0.0, 0.1, 0.1875, 0.22].each do |accepted_gap|
      figures = coil(accepted_gap:)["figures"]
      left = ->(fillers) { (14 * Math::PI - (80 + fillers) * 0.3125) / 80 }
      expect(left.call(figures["fillers"])).to be <= accepted_gap + 1e-9
      expect(left.call(figures["fillers"] - 1)).to be > accepted_gap if figures["fillers"].positive?
    end
  end

  it "never puts two fillers side by side" do
    places = Lantern::Work.read(plan(materials: [rope], layers: [layer("rope_coil", "rope")])).layers[0].filler_places
    expect(places.size).to eq 13
    expect(places.each_cons(2).map { |a, b| b - a }.min).to be > 1
  end

  # Independent of the code under test: the rope's middle walked in space, half its thickness outside the tube.
  it "is as long as the rope's middle in three dimensions" do
    figures = coil(foam(14, 10), diameter: 0.5)["figures"]
    big, small, turns = 6.0, 1.25, figures["turns"]
    point = ->(share) {
      around, along = 2 * Math::PI * turns * share, 2 * Math::PI * share
      reach = big + small * Math.cos(around)
      [reach * Math.cos(along), reach * Math.sin(along), small * Math.sin(around)]
    }
    walked = (0..turns * 400).map { point.call(_1.fdiv(turns * 400)) }.each_cons(2)
      .sum { |a, b| Math.sqrt(a.zip(b).sum { |p, q| (p - q)**2 }) }
    expect(figures["length"]).to be_within(0.005 * walked).of(walked)
  end

  # Published: Steiner; a parallel curve d/2 outside is pi d longer.
  it "goes once round the girth and pi d more, on the slant" do
    figures = coil(foam(14, 10))["figures"]
    expect(figures["length_per_turn"]).to be_within(1e-3)
      .of(Math.hypot(2 * Math::PI + Math::PI * 0.3125, 12 * Math::PI / figures["turns"]))
    expect(figures["length"]).to be_within(0.05).of(figures["turns"] * figures["length_per_turn"])
  end

  it "leaves the gaps where they are spread evenly, and says how wide" do
    figures = coil(school: "even")["figures"]
    expect(figures["fillers"]).to eq 0
    expect(figures["gap_wide"]).to be_within(1e-3).of(14 * Math::PI / 80 - 0.3125)
    expect(figures["gap_middle"]).to be_within(1e-3).of(11 * Math::PI / 80 - 0.3125)
    expect(figures["gap_crowded"]).to be_between(0, 0.01)
  end

  it "closes up where the rope is soft" do
    expect(coil(squash: 0.8)["figures"]["turns"]).to eq (8 * Math::PI / 0.25).floor
  end

  it "asks for one run with both ends, and fillers up to the mark" do
    run, fillers = coil["needs"]
    expect(run).to include("shape" => "run", "length" => be_within(0.01).of(coil["figures"]["length"] + 2))
    girth = Lantern.work(plan)["form"]["girth"]
    expect(fillers).to include("shape" => "pieces", "count" => 13)
    expect(fillers["length"]).to be_between(0.75 * girth + 2, 0.75 * girth + 2.125)
    expect(coil(filler_length: "6 1/16")["needs"][1]["length"]).to eq 6.125
  end

  it "warns where the form shows, and the change it names mends it" do
    wide = {"base" => "wire", "outside" => 14, "inside" => 6}
    shown = coil(wide, school: "even")["findings"].find { _1["code"] == "form_shows" }
    expect(shown).to include("level" => "warn", "at" => "outside", "try" => {"school" => "tight_inside"})
    expect(coil(wide, school: shown["try"]["school"])["findings"].map { _1["code"] }).not_to include("form_shows")
  end

  it "refuses a rope too thick for one coil, and a thread that would take thousands" do
    expect(problems(plan(form: foam(2, 1), materials: [rope(diameter: 8)], layers: [layer("rope_coil", "rope")])))
      .to match("layers.0.material" => /Not one coil/)
    expect(problems(plan(form: foam(200, 190), materials: [rope(diameter: 0.02)],
      layers: [layer("rope_coil", "rope")]))).to match("layers.0.material" => /cannot be planned/)
  end

  describe "over corners" do
    def cross(**more)
      work(form: {"base" => "foam", "shape" => "cross", "width" => 12, "height" => 16, "face" => 1.25,
                  "arm" => 4},
        materials: [rope], layers: [layer("rope_coil", "rope", **more)])["layers"][0]
    end

    # By pencil: legs between right-angled corners have their length less half a face at each end; over a corner the
    # wide edge runs half a face straight, a quarter round, half a face straight.
    it "counts leg by leg and corner by corner, never from one total" do
      band = Lantern::Work.read(plan(form: {"base" => "foam", "shape" => "cross", "width" => 12, "height" => 16,
                                            "arm" => 4,
                                            "face" => 1.25})).form
      corners = band.path.pieces.map { _1.at(0) }
      legs = corners.zip(corners.rotate).map { |a, b| Math.hypot(b[0] - a[0], b[1] - a[1]) }
      on_legs = legs.sum { |length| ((length - 1.25) / 0.3125 + 1e-9).floor }
      over = ((0.625 * (2 + Math::PI / 2)) / (0.3125 * 1.6)).ceil
      expect(cross["figures"]).to include("turns" => on_legs + 12 * over, "fanned" => 12 * over)
      expect(cross(fan: 1)["figures"]).to include("turns" => on_legs + 12, "fanned" => 12)
    end

    # Common practice: makers push there; what crosses a corner goes farther round than what lies on a leg.
    it "takes more for a coil that fans out, and leaves no place bare at a point" do
      straight, fanned = cross(fan: 0)["figures"], cross["figures"]
      each = (fanned["length"] - straight["length"]) / fanned["fanned"]
      expect(each).to be > straight["length_per_turn"]
      star = plan(form: {"base" => "board", "shape" => "star", "width" => 16, "height" => 15, "face" => 1.5},
        materials: [rope], layers: [layer("rope_coil", "rope")])
      bare = ->(fan) { Lantern.bare(star.merge("layers" => [star["layers"][0].merge(fan ? {"fan" => fan} : {})])) }
      expect(bare.call(nil)["front"]).to be > bare.call(0)["front"] + 0.3
      expect(bare.call(nil)["front"]).to be > 0.9
    end

    it "lays every coil and filler that it counts" do
      %i[star heart cross clover lens].each do |shape|
        sizes = Lantern::Form.shapes[shape].typical.transform_keys(&:to_s)
        sizes["arm"] = 4 if shape == :cross
        worked = work(form: {"base" => "foam", "shape" => shape.to_s, **sizes}, materials: [rope],
          layers: [layer("rope_coil", "rope")])
        lies = worked["drawing"]["layers"].to_h { [_1["unit"], _1["front"].size] }
        figures = worked["layers"][0]["figures"]
        expect([shape, lies["coils"], lies.fetch("fillers", 0)]).to eq [shape, figures["turns"], figures["fillers"]]
      end
    end
  end
end
