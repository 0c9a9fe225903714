# frozen_string_literal: true

require "ffi-geos"

RSpec.describe "The shapes" do
  let(:shapes) { Lantern::Form.shapes }

  # Those whose path closes, and those with an end.
  let(:open_ones) { %i[cane arc composite] }

  def band(shape, **sizes)
    # One band round the outline of a cross; of two bands it is looked at by itself.
    sizes = {arm: (sizes[:width] || 12) / 3.0, **sizes} if shape == :cross && sizes[:arm] != 0
    typical = shapes.fetch(shape).typical.merge(sizes.reject { _2 == 0 }).to_h { |name, size| [name.to_s, size] }
    Lantern::Work.read(plan(form: {"base" => "foam", **typical, "shape" => shape.to_s})).form
  end

  def traced(path) = path.trace(0.0, step: path.length / 4000, least: 40)

  def geos_of(points) = Geos::WktReader.new.read(
    "POLYGON((#{[*points, points.first].map { |x, y| format("%.10f %.10f", x, y) }.join(",")}))"
  )

  def geos(path)
    points = traced(path)
    points += [points.first]
    Geos::WktReader.new.read("POLYGON((#{points.map { |x, y| format("%.10f %.10f", x, y) }.join(",")}))")
  end

  it "close where they should, and are as long as GEOS says, to a thousandth" do
    (shapes.keys - open_ones).each do |shape|
      path = band(shape).path
      expect(path).to be_closed
      expect(geos(path).length).to be_within(path.length / 1000).of(path.length), shape.to_s
      expect(geos(path)).to be_valid
    end
    expect(open_ones.map { band(_1).path.closed? }).to eq [false, false, false]
  end

  it "have their outside edge where GEOS grows them, to a thousandth" do
    %i[ring oval egg lens outline gourd].each do |shape|
      form = band(shape)
      grown = geos(form.path).buffer(form.half_face, quad_segs: 90).exterior_ring
      expect(form.outside_run).to be_within(grown.length / 1000).of(grown.length),
        "#{shape}: #{form.outside_run} against #{grown.length}"
    end
  end

  # At a notch the outside edge ends where its lines meet; GEOS rounds nothing there either, as long
  # as lines meet. Where arcs meet lines or arcs, the tangents' corner is an approximation: the share
  # of it is what is allowed here.
  it "have their outside edge near where GEOS grows them, notches and all" do
    {star: 0.001, cross: 0.001, heart: 0.03, clover: 0.03}.each do |shape, share|
      form = band(shape)
      grown = geos(form.path).buffer(form.half_face, quad_segs: 90).exterior_ring
      expect(form.outside_run).to be_within(grown.length * share).of(grown.length),
        "#{shape}: #{form.outside_run} against #{grown.length}"
    end
  end

  # Bent wire meets in a point: GEOS's mitre joins with a limit of four, outside and inside, by length and by area.
  it "have the pointed edges that GEOS draws with mitres, to a thousandth" do
    sharp = {width: 9, height: 18, face: 0.75, points: 5, notch: 0.25}
    [*%i[heart clover star lens outline].map { [_1, {}] }, [:cross, {arm: 4}], [:star, sharp]].each do |shape, sizes|
      form = band(shape, base: "wire", **sizes)
      middle = geos(form.path)
      {form.silhouette => form.half_face, form.opening => -form.half_face}.each do |edge, across|
        judge = middle.buffer(across, quad_segs: 90, join: :mitre, mitre_limit: 4.0)
        expect(edge.area).to be_within(judge.area / 1000).of(judge.area), "#{shape}: #{edge.area} not #{judge.area}"
        run = form.path.edge(across)
        next if form.path.loops?(across)
        expect(run).to be_within(judge.exterior_ring.length / 1000).of(judge.exterior_ring.length),
          "#{shape}: #{run} not #{judge.exterior_ring.length}"
      end
    end
  end

  # A pointed star of 16 x 15 in with a face of 1 1/2 in has a run of about 43 in (common practice).
  it "count their points in with the size over all" do
    star = band(:star, base: "wire")
    expect(star.run).to be_within(0.5).of(43)
    expect(band(:star).run).to be_within(0.5).of(55)
    %i[heart star lens outline clover].each do |shape|
      form = band(shape, base: "board")
      said = form.dimensions.to_h { [_1[:about], _1[:length]] }
      box = form.silhouette.box
      expect(said["form.width"]).to be_within(0.01).of(box[2] - box[0])
      expect(said.fetch("form.height", box[3] - box[1])).to be_within(0.01).of(box[3] - box[1])
      expect(said["form.width"]).to be_within(1e-6).of(shapes.fetch(shape).typical[:width])
    end
  end

  it "refuse a face whose points alone are larger than the form" do
    expect(problems(plan(form: {"base" => "wire", "shape" => "star", "width" => 6, "height" => 6, "face" => 1.5})))
      .to match("form.face" => /points alone reach farther/)
  end

  # The parallel line, ended where its pieces meet at notches, is GEOS's own edge all the way round.
  it "draw their edges as GEOS has them, notches trimmed" do
    %i[heart clover star cross lens outline gourd].each do |shape|
      form = band(shape)
      [form.half_face, -form.half_face].each do |across|
        edge = geos(form.path).buffer(across, quad_segs: 90).exterior_ring
        form.path.parallel(across).each do |piece, from, to|
          (1..9).each do |i|
            x, y = piece.beside(from + (to - from) * i / 10, across)
            expect(edge.distance(Geos::WktReader.new.read("POINT(#{x} #{y})"))).to be < 0.01,
              "#{shape}, #{across}: #{x} #{y}"
          end
        end
      end
    end
  end

  # The band between both edges, cut open, is as wide as the face and as long as the run, wherever it
  # bends smoothly: GEOS measures its area.
  it "hold an area of face times run between their edges (Pappus in the plane)" do
    %i[ring oval egg gourd].each do |shape|
      form = band(shape)
      whole = geos(form.path)
      between = whole.buffer(form.half_face, quad_segs: 90).area - whole.buffer(-form.half_face, quad_segs: 90).area
      expect(between).to be_within(between / 1000).of(form.face * form.run), shape.to_s
    end
  end

  # Two open shapes: GEOS draws the same band with square ends.
  it "give open shapes both edges and the ends that GEOS draws" do
    %i[cane arc].each do |shape|
      form = band(shape)
      line = Geos::WktReader.new.read(
        "LINESTRING(#{traced(form.path).map { |x, y| format("%.10f %.10f", x, y) }.join(",")})"
      )
      grown = line.buffer(form.half_face, quad_segs: 90, endcap: :flat)
      expect(form.inside_run + form.outside_run + 2 * form.face).to be_within(grown.length / 1000).of(grown.length),
        shape.to_s
    end
  end

  it "have their inside edge where GEOS shrinks them, to a thousandth" do
    %i[ring oval egg outline].each do |shape|
      form = band(shape)
      shrunk = geos(form.path).buffer(-form.half_face, quad_segs: 90)
      expect(form.inside_run).to be_within(shrunk.length / 1000).of(shrunk.length), shape.to_s
    end
  end

  it "are as wide and as high over all as they were said to be" do
    {oval: {width: 11, height: 15, face: 2}, egg: {width: 10, height: 15, face: 2},
     lens: {width: 8, height: 17, face: 1.5}, heart: {width: 15, height: 13, face: 1.5},
     star: {width: 17, height: 14, face: 1.2}, cross: {width: 11, height: 18, face: 1},
     cane: {width: 9, height: 20, face: 2}}.each do |shape, sizes|
      said = band(shape, **sizes).dimensions.to_h { [_1[:about], _1[:length]] }
      expect(said["form.width"]).to be_within(0.02).of(sizes[:width]), shape.to_s
      expect(said["form.height"]).to be_within(0.02).of(sizes[:height]), shape.to_s
    end
  end

  it "turn the other way somewhere on a clover, a heart and a star: wide there is more than outside" do
    %i[clover heart star cross].each do |shape|
      form = band(shape)
      expect(form.wide_run).to be > form.outside_run
      expect(form.crowded_run).to be < form.inside_run
      expect(form.wide_run).to be > form.run
    end
    ring = band(:ring)
    expect(ring.wide_run).to eq ring.outside_run
  end

  # Two straight bands, square at their ends: GEOS lays the one over the other.
  it "lays a cross of two bands, each as long as the form is wide or high, and one over the other" do
    form = band(:cross, arm: 0)
    expect(form.path.strands.map { [_1.length, _1.closed?] }).to eq [[16.0, false], [12.0, false]]
    expect([form.run, form.wide_run, form.inside_run]).to all be_within(1e-9).of(28)
    box = form.path.reach(form.half_face)
    expect([box[2] - box[0], box[3] - box[1]]).to eq [12.0, 16.0]
    crossed = form.areas.map { |area| geos_of(area.filled[0]) }
    expect(crossed.reduce(:intersection).area).to be_within(1e-6).of(1.25**2)
    expect(crossed.reduce(:intersection).centroid.y).to be_within(1e-6).of(6 - 8)
    expect(problems(plan(form: {"base" => "wire", "shape" => "cross", "width" => 12, "height" => 16, "face" => 1.25,
                                "crossing" => 17}))).to match("form.crossing" => /cannot cross 17 in/)
  end

  # Ramanujan's second approximation (1914), good to parts in a million for such ovals.
  it "give an oval Ramanujan's perimeter" do
    a, b = (18 - 2.5) / 2, (14 - 2.5) / 2
    h = ((a - b) / (a + b))**2
    expect(band(:oval).run).to be_within(1e-3).of(Math::PI * (a + b) * (1 + 3 * h / (10 + Math.sqrt(4 - 3 * h))))
    expect(band(:oval, width: 16, height: 16, face: 2).run).to be_within(1e-6).of(14 * Math::PI)
  end

  # Handbook: a lens of width W and height H has arcs of radius (H^2 + W^2) / 4W.
  it "give a lens the handbook's arcs" do
    w, h = 9 - 1.5, 16 - 1.5
    radius = (h**2 + w**2) / (4 * w)
    expect(band(:lens).path.pieces.map(&:radius)).to all(be_within(1e-9).of(radius))
    expect(band(:lens).run).to be_within(1e-9).of(4 * radius * Math.asin(h / 2 / radius))
  end

  it "take an arc for its share of the ring it was cut from" do
    half = band(:arc, width: 14, face: 3, degrees: 180)
    expect(half.run).to be_within(1e-9).of(Math::PI * 5.5)
    expect([half.inside_run, half.outside_run]).to match [be_within(1e-9).of(Math::PI * 4),
      be_within(1e-9).of(Math::PI * 7)]
  end

  it "tend to a ring: a polygon of many corners, by its runs" do
    corners = (0...140).map { |i| [Math.cos(Math::PI * i / 70), Math.sin(Math::PI * i / 70)] }
    many, ring = band(:outline, width: 14, face: 3, points: corners), band(:ring)
    %i[run outside_run inside_run wide_run].each {
      expect(many.public_send(_1)).to be_within(0.002 * ring.run)
        .of(ring.public_send(_1))
    }
  end

  it "scale: lengths by k; turning or mirroring an outline changes nothing" do
    (shapes.keys - %i[composite]).each do |shape|
      each_random(5) do |random|
        k = random.rand(0.6..3.0)
        small, large = band(shape), band(shape, **shapes[shape].typical.transform_values { _1 * k })
        %i[run wide_run crowded_run girth].each {
          expect(large.public_send(_1)).to be_within(1e-6 * large.run)
            .of(k * small.public_send(_1)), shape.to_s
        }
        expect(large.area).to be_within(1e-5 * large.area).of(k**2 * small.area), shape.to_s
      end
    end
    kite = [[0, -10], [7, -3], [0, 12], [-7, -3]]
    runs = ->(points) {
      band(:outline, width: 14, face: 1.5, points:).figures.slice(:run, :wide_run, :crowded_run)
        .values.map { _1.round(6) }
    }
    expect(runs.call(kite.map { |x, y| [-x, y] })).to eq runs.call(kite)
    expect(runs.call(kite.reverse)).to eq runs.call(kite)
    expect(runs.call(kite.rotate)).to eq runs.call(kite)
  end

  it "are covered by every covering, with a drawing", :thorough do
    shapes.each do |name, shape|
      %w[wire foam board vine].each do |base|
        sizes = shape.typical.transform_keys(&:to_s)
        layers = [layer("rope_coil", "rope"), layer("spiral_wrap", "tape").merge("id" => "b"),
          layer("knotted_strips", "tape").merge("id" => "c")]
        document = plan(form: {"base" => base, "shape" => name.to_s, **sizes},
          materials: [rope(diameter: 0.25), ribbon(width: 0.75)], layers:)
        drawing = Lantern.work(document)["drawing"]
        # Few fillers are wanted on some; of all that covers there is much.
        expect(drawing["layers"].reject { _1["unit"] == "fillers" }.map { _1["front"].size }).to all(be > 5)
        expect(drawing["layers"].flat_map { |lie| lie["front"].flat_map { _1["points"] } }).to all(be_finite)
      end
    end
  end

  it "refuse what cannot be, beside the size it is about" do
    bad = ->(shape, **sizes) {
      problems(plan(form: {"base" => "foam", "shape" => shape,
                           **shapes[shape.to_sym].typical.merge(sizes).transform_keys(&:to_s)}))
    }
    expect(bad.call("oval", face: 8)).to match("form.face" => /leaves no middle/)
    expect(bad.call("oval", width: 6, height: 30, face: 2)).to match("form.face" => /fold over itself/)
    expect(bad.call("egg", height: 10)).to match("form.height" => /higher than it is wide/)
    expect(bad.call("lens", width: 20)).to match("form.width" => /no wider than it is high/)
    expect(bad.call("heart", height: 8)).to match("form.height" => /no point/)
    expect(bad.call("cross", arm: 1)).to match("form.arm" => /wider than two faces/)
    expect(bad.call("cane", height: 4)).to match("form.height" => /higher than its hook/)
    expect(bad.call("arc", degrees: 360)).to match("form.degrees" => /fewer than 360/)
    expect(bad.call("clover", leaves: 5)).to match("form.leaves" => /from 3 to 4/)
    expect(bad.call("outline", points: [[0, 0], [4, 4], [4, 0], [0, 4]]))
      .to match("form.points" => /crosses itself between corners/)
    expect(bad.call("outline", points: [[0, 0], [1e9, 4], [4, 0]]))
      .to match("form.points.1.0" => /no more than a million/)
    expect(bad.call("star", points: 3)).to have_key("form.points")
    # So wide that nothing of the line beside its middle is left.
    kite = [[0, -9], [7, -2], [0, 12], [-7, -2]]
    [12, 90].each { expect(bad.call("outline", width: 14, face: _1, points: kite)).to have_key("form.face") }
    board = {"base" => "board", "shape" => "outline", "width" => 14, "face" => 6, "points" => kite}
    expect(problems(plan(form: board))).to match("form.face" => /nothing is left of the inside edge/)
  end

  it "are worked or refused in a sentence, whatever corners an own outline has and however wide it is" do
    refused = 0
    each_random(300) do |random|
      corners = random.rand(3..12)
      points = Array.new(corners) { |i|
        way, far = 2 * Math::PI * (i + random.rand * 0.9) / corners, random.rand(2.0..12.0)
        [far * Math.cos(way), far * Math.sin(way)].map { _1.round(2) }
      }
      form = {"base" => %w[foam board wire vine].sample(random:), "shape" => "outline", "points" => points,
              "width" => random.rand(2.0..40.0).round(2), "face" => random.rand(0.1..20.0).round(2)}
      Lantern.work(plan(form:, materials: [rope], layers: [layer("rope_coil", "rope")]))
    rescue Lantern::Plan::Refused => refusal
      expect(refusal.problems.map(&:says)).to all match(/\A[A-Z\d].*[.!?]\z/)
      refused += 1
    end
    expect(refused).to be_between(60, 280)
  end

  # A circle's chord and sagitta, any handbook: a segment of height s on a chord c has the radius
  # (c^2 / 4 + s^2) / 2s. Half a lens is one.
  it "bound a lens by two circular segments" do
    form = band(:lens)
    w, h = 9 - 1.5, 16 - 1.5
    radius = (h**2 / 4 + (w / 2)**2) / w
    angle = 2 * Math.asin(h / 2 / radius)
    expect(geos(form.path).area).to be_within(1e-3 * w * h).of(2 * radius**2 / 2 * (angle - Math.sin(angle)))
  end

  it "are known by a string alone, in the proportions of a typical form" do
    (shapes.keys - %i[composite]).each do |shape|
      form = Lantern.work(plan(form: {"base" => "foam", "shape" => shape.to_s,
                                      "measured" => {"run" => 40, "girth" => 4}},
        materials: [rope, ribbon(width: 0.75)],
        layers: [layer("rope_coil", "rope"), layer("spiral_wrap", "tape").merge("id" => "b")]))["form"]
      expect(form["run"]).to eq(40), shape.to_s
      expect(form["girth"]).to eq 4
      expect(form["face"]).to be_within(1e-4).of(4 / Math::PI)
      expect(form["wide_run"]).to be > 40 - ((shape == :cross) ? 1e-6 : 0)
    end
    expect(problems(plan(form: {"base" => "foam", "shape" => "heart", "measured" => {"girth" => 4}})))
      .to match("form.width" => /a string along the middle/)
    expect(problems(plan(form: {"base" => "foam", "shape" => "heart", "width" => 12})))
      .to match("form.height" => /Height, over all is missing/)
  end

  it "are known by a string and nothing else: a round ring" do
    form = Lantern.work(plan.merge("form" => {"measured" => {"run" => "34 in", "girth" => "7 in"}}))["form"]
    expect(form).to include("run" => 34, "girth" => 7, "wide_run" => 41, "shape" => "ring")
  end

  it "are the size that a string says, whatever their label" do
    form = Lantern.work(plan(form: {"base" => "foam", "shape" => "heart", "width" => 14, "height" => 14, "face" => 2,
                                    "measured" => {"run" => 40}}))["form"]
    expect(form["run"]).to eq 40
    expect(form["findings"][0]["says"]).to match(/The string along the middle says 40 in, the sizes say 37 15\/16 in/)
  end
end
