# frozen_string_literal: true

require "ffi-geos"

# Coverings whose lengths and areas a handbook or GEOS can say as well.
RSpec.describe "Coverings, against geometry" do
  def covering(form, method, material, **more)
    document = plan(form:, materials: [material], layers: [layer(method, material["id"], **more)])
    Lantern::Work.read(document).layers.first
  end

  def geos(points) = Geos::WktReader.new.read(
    "POLYGON((#{(points + [points.first]).map { |x, y| format("%.9f %.9f", x, y) }.join(",")}))"
  )

  let(:lens) {
    {"base" => "board", "shape" => "lens", "width" => 10, "height" => 16, "face" => 1,
     "corners" => "rounded"}
  }

  # Two equal pulleys, crossed belt: L = 2 sqrt(C^2 - (2r)^2) + 2r (pi + 2 asin(2r / C)), any
  # engineering handbook.
  it "weaves two rails as a crossed belt" do
    cover = covering({"rails" => 2, "outside" => 14, "inside" => 8, "dish" => 0}, "weave", rope(diameter: 0.25))
    e, c = (0.25 + 0.12) / 2, 3 - 0.12
    belt = 2 * Math.sqrt(c**2 - (2 * e)**2) + 2 * e * (Math::PI + 2 * Math.asin(2 * e / c))
    expect(cover.length_per_turn).to be_within(1e-9).of(Math.hypot(belt / 2, cover.pitch))
  end

  # A walk along the taut path, step by step, from where it leaves one edge rail to where it leaves the other.
  it "weaves four flat rails as long as a walk along the rope's middle" do
    cover = covering({"dish" => 0}, "weave", rope(diameter: 0.25))
    e, s = (0.25 + 0.12) / 2, (3 - 0.12) / 3
    slant = Math.asin(2 * e / s)
    steps = 20_000
    points = (0..3).flat_map do |rail|
      side = rail.even? ? 1 : -1
      from, to = (rail.zero? ? slant : -slant), ((rail == 3) ? Math::PI + slant : slant)
      (0..steps).map { |i|
        (from + (to - from) * i / steps)
          .then { |angle| [rail * s + e * Math.sin(angle), side * e * Math.cos(angle)] }
      }
    end
    walked = points.each_cons(2).sum { |a, b| Math.hypot(b[0] - a[0], b[1] - a[1]) }
    expect(cover.length_per_turn).to be_within(1e-3).of(Math.hypot(walked, cover.pitch))
  end

  it "refuses to weave rope that does not pass between the rails, and says which does" do
    expect(problems(plan(materials: [rope(diameter: 1)], layers: [layer("weave", "rope")])))
      .to match("layers.0.material" => /anything thinner than 13\/16 in/)
    expect(problems(plan(form: foam(14, 8), materials: [rope], layers: [layer("weave", "rope")])))
      .to match("layers.0.method" => /has no rails/)
  end

  # Rows times their distance are the area: the trapezoid rule on the circular segments of a handbook.
  it "lays rows over a lens that add up to its area" do
    cover = covering(lens, "rope_rows", rope(diameter: 0.05))
    radius = (15.0**2 + 9**2) / (4 * 9)
    angle = 2 * Math.asin(7.5 / radius)
    area = radius**2 * (angle - Math.sin(angle))
    # Grown by half the face all round (Steiner): area + perimeter b + pi b^2.
    grown = area + 2 * radius * angle * 0.5 + Math::PI * 0.25
    chords = cover.rows.sum { |row| row.chords.sum { |from, to| to - from } }
    expect(chords * 0.05).to be_within(grown * 2e-3).of(grown)
    expect(cover.length).to be_within(1e-6).of(chords + cover.rows.size)
  end

  it "cuts a panel as large as GEOS's box, and its share from the bottom" do
    whole = covering(lens, "panel", cloth)
    outline = geos(whole.form.path.trace(0.0, step: 0.02)).buffer(0.5, quad_segs: 90)
    expect(whole.covered.area).to be_within(outline.area * 1e-3).of(outline.area)
    xs, ys = outline.exterior_ring.coord_seq.to_a.map { _1.first(2) }.transpose
    # What goes round the edge and the tab, on both sides; rounded up to an eighth.
    more = 2 * (0.1875 + 0.5)
    expect(whole.width).to be_between(xs.max - xs.min + more - 0.01, xs.max - xs.min + more + 0.13)
    expect(whole.height).to be_between(ys.max - ys.min + more - 0.01, ys.max - ys.min + more + 0.13)
    half = covering(lens, "panel", cloth, share: 0.5)
    expect(half.covered.area).to be_within(1e-2).of(whole.covered.area / 2)
    expect(half.height).to be < whole.height - 7
  end

  # A helix on a cylinder: sqrt((pi D)^2 + p^2) a turn.
  it "winds a stem no more than a slant's worth off the helix" do
    cover = covering(gourd, "stem_wrap", rope(diameter: 0.1), length: 5, diameter: 1)
    helix = 50 * Math.hypot(Math::PI * 1.1, 0.1)
    expect(cover.turns).to eq 50
    expect(cover.wound - 1).to be_within(helix * 1e-3).of(helix)
    cone = covering(gourd, "stem_wrap", rope(diameter: 0.1), length: 5, diameter: 1, end_diameter: 0.5)
    expect(cone.length_per_turn).to be_within(1e-9).of(Math::PI * 0.85)
  end

  it "winds tendrils on a pen" do
    cover = covering(gourd, "stem_wrap", rope(diameter: 0.125), tendrils: 3, tendril_turns: 8, pen: "3/8")
    expect(cover.needs.last.count).to eq 3
    expect(cover.tendril_length).to eq 12.625 # 8 pi (3/8 + 1/8) = 12.566, up to the eighth
  end

  # Pappus: a round ring is a torus of area 4 pi^2 R r.
  it "paints a torus by its area" do
    cover = covering({"base" => "vine", "outside" => 14, "inside" => 10}, "coat", stash[4], coverage: 100, coats: 2)
    expect(cover.area).to be_within(1e-6).of(2 * 4 * Math::PI**2 * 6 * 1)
    expect(cover.packages).to eq 5
  end

  # Thue's theorem: no packing is closer than pi / sqrt 12.
  it "fills an opening with whole blooms, none over another, none over the edge, fewer than could ever lie there" do
    [{"base" => "foam", "shape" => "oval", "width" => 16, "height" => 20, "face" => 2},
      {"base" => "foam", "shape" => "heart", "width" => 16, "height" => 16, "face" => 1.5}].each do |form|
      cover = covering(form, "fill", stash[5], bloom: 1.5)
      opening = geos(cover.form.path.trace(0.0, step: 0.02)).buffer(-cover.form.half_face, quad_segs: 90)
      expect(cover.area).to be_within(opening.area * 2e-3).of(opening.area)
      expect(cover.places.combination(2).map { |a, b| Math.hypot(a[0] - b[0], a[1] - b[1]) }.min).to be > 1.5 - 1e-9
      # Half of it, less the tenth that may overhang.
      inner = opening.buffer(-0.59)
      expect(cover.places.map { |x, y| inner.contains?(Geos::WktReader.new.read("POINT(#{x} #{y})")) }).to all(be true)
      expect(cover.blooms).to be_between(opening.area / 1.5**2 * 0.5,
        Math::PI / Math.sqrt(12) * opening.buffer(0.15).area / (Math::PI * 0.75**2))
      mirrored = cover.places.map { |x, y| [-x, y] }
      expect(cover.places).to all(satisfy { |x, y| mirrored.any? { |mx, my| Math.hypot(mx - x, my - y) < 1e-3 } })
      expect(cover.most).to be >= cover.blooms
    end
  end

  # Graham, Lubachevsky et al., "Dense packings of congruent circles in a circle" (1998), and Specht’s tables: how wide
  # a circle is, of the radius of those in it, that holds so many.
  it "fills a round opening with as many blooms as the densest packings known, and no more" do
    [1, 2, 2.1547, 2.4142, 2.7013, 3, 3, 3.3048, 3.6131, 3.8130, 3.9238, 4.0296, 4.2361, 4.3284, 4.5214, 4.6154, 4.7920,
      4.8637, 4.8637].each.with_index(1) do |ratio, number|
      filled = ->(radius) {
        # A bloom of 2 in overhangs by 0.2.
        inside = 2 * (radius - 0.2)
        covering({"base" => "foam", "outside" => inside + 4, "inside" => inside.round(5)}, "fill", stash[5], bloom: 2)
      }
      full = filled.call(ratio * 1.0001)
      expect([number, full.blooms]).to match [number, be >= number]
      expect(filled.call(ratio * 0.9998).blooms).to be < number if number > 2
      expect(full.places.combination(2).map { |a, b| Math.hypot(a[0] - b[0], a[1] - b[1]) }.min || 2).to be > 2 - 1e-4
      expect(full.places.map { Math.hypot(*_1) }.max).to be < ratio * 1.0002 - 1 + 1e-6
    end
  end

  it "lays out no crowd of blooms that nobody could push through" do
    tiny = plan(form: foam(60, 50), materials: [stash[5]], layers: [layer("fill", "blooms", bloom: 0.05)])
    expect(problems(tiny)).to match("layers.0.bloom" => /more than 4000 cannot be planned/)
  end

  # Seven round one in the middle, where four lay before.
  it "fills the opening of a ring of 14 by 9 in with seven blooms of 2.9 in" do
    expect(covering({"base" => "foam", "outside" => 14, "inside" => 9}, "fill", stash[5], bloom: 2.9).blooms).to eq 7
  end

  it "winds a garland as long as its path in space: half the run a side, mirrored" do
    cover = covering({"base" => "vine", "outside" => 18, "inside" => 14}, "garland", ribbon(width: 1), pitch: 4,
      strands: 2)
    turns = (Math::PI * 16 / 2 / 4).floor
    expect(cover.turns).to eq turns
    expect(cover.length).to be_within(1e-6).of(4 * (turns * Math.hypot(2 * Math::PI, Math::PI * 8 / turns) + 2))
    left, right = cover.lies.first.front.partition { |item| item[:points].sum(&:first) < 0 }
    mirrored = right.map { |item| item[:points].map { |x, y| [-x, y].map { _1.round(6) } }.sort }
    expect(left.map { |item| item[:points].map { |x, y| [x, y].map { _1.round(6) } }.sort }).to match_array mirrored
  end

  it "lays each round of a seam cord its own thickness farther out" do
    cover = covering(foam(14, 10), "seam_cord", rope(diameter: 0.25), rounds: 2)
    expect(cover.length).to be_within(1e-9).of(Math::PI * 14.25 + Math::PI * 14.75 + 2)
  end

  # GEOS's edge of an area grown by as much: mitred, as wire and board are, where corners turn outwards; trimmed where
  # they turn inwards.
  it "lays seam cord as long as the edge of the area that it goes round, notches trimmed" do
    [{"base" => "board", "shape" => "star", "width" => 16, "height" => 15, "face" => 1.5},
      {"base" => "foam", "shape" => "heart", "width" => 15, "height" => 15, "face" => 2}].each do |form|
      cover = covering(form, "seam_cord", rope(diameter: 0.5), rounds: 3)
      middle = geos(cover.form.path.trace(0.0, step: 0.01, least: 40))
      rounds = (0..2).map { |round|
        grown = middle.buffer(cover.form.half_face + 0.5 * (round + 0.5), quad_segs: 90, mitre_limit: 20,
          join: (form["base"] == "board") ? :mitre : :round)
        grown.exterior_ring.length
      }
      expect(cover.length).to be_within(0.004 * rounds.sum).of(rounds.sum + 3)
      drawn = cover.lies[0].front.map { |item|
        item[:points].each_cons(2).sum { |a, b| Math.hypot(b[0] - a[0], b[1] - a[1]) }
      }
      drawn.zip(rounds) { |mine, theirs| expect(mine).to be_within(0.004 * theirs).of(theirs) }
    end
  end

  it "lays it where one form lies on another, one round for each that is said" do
    parts = [{"shape" => "ring", "outside" => 14, "inside" => 8},
      {"shape" => "ring", "outside" => 12, "inside" => 10, "over" => true}]
    cover = covering({"base" => "foam", "shape" => "composite", "parts" => parts}, "seam_cord", rope(diameter: 0.25))
    expect(cover.length).to be_within(1e-6).of(Math::PI * 12.25 + 1)
    expect(cover.lies[0].front.size).to eq 1
  end

  # A regular star of five points that is 2 R sin 72 wide and R (1 + cos 36) high; the tip of a mitred band lies half a
  # face over the sine of half its angle farther out.
  it "measures the arms of a star from its own middle to the very tips" do
    reach = 8.0
    wide, high = 2 * reach * Math.sin(72 * Math::PI / 180), reach * (1 + Math.cos(36 * Math::PI / 180))
    cover = covering({"base" => "board", "shape" => "star", "width" => wide, "height" => high, "face" => 0.5}, "ribs",
      ribbon(width: 0.5))
    expect(cover.form.ribs.map(&:length)).to all be_within(0.05).of(reach)
  end

  it "measures ribs along the surface, and tucks both ends" do
    cover = covering(gourd, "ribs", ribbon(width: 1), count: 3)
    expect(cover.lengths.size).to eq 3
    cover.covered.zip(cover.lengths).each do |rib, length|
      points = rib.path.trace(0.0, step: 0.01)
      walked = points.each_cons(2).sum { |a, b| Math.hypot(b[0] - a[0], b[1] - a[1]) }
      expect(length).to be_between(walked + 1 - 1e-3, walked + 1.126)
    end
    expect(problems(plan(form: foam(14, 10), materials: [ribbon], layers: [layer("ribs", "tape")])))
      .to match("layers.0.method" => /has no ribs/)
  end

  it "gathers a wide strip to its width over its fullness: at 1 it is a plain spiral" do
    plain = covering(foam(14, 10), "spiral_wrap", ribbon(width: 1.5), lap: "1/4")
    same = covering(foam(14, 10), "gathered_wrap", ribbon(width: 1.5), lap: "1/4", fullness: 1)
    twice = covering(foam(14, 10), "gathered_wrap", ribbon(width: 3), lap: "1/4", fullness: 2)
    expect([same, twice].map { [_1.turns, _1.length] }).to all(eq [plain.turns, plain.length])
  end

  it "eases the coils of an inlay as brute force over every pattern would" do
    cover = covering({}, "rope_inlay", rope, over: 5, under: 2)
    fit = (8 * Math::PI / 0.3125).floor
    best = (1..20).map { |repeats| repeats * 7 }.select { _1 <= fit }.max
    expect([cover.turns, cover.repeats]).to eq [best, best / 7]
    expect(cover.ease).to be_within(1e-9).of((8 * Math::PI / (best * 0.3125) - 1) * 100)
    better = cover.findings.find { _1.code == "closes_better" }.try
    eased = covering({}, "rope_inlay", rope, **better.transform_keys(&:to_sym)).ease
    others = (2..6).to_a.product((1..6).to_a).select { |a, b| b <= a }.map { |a, b| fit - fit % (a + b) }
    expect(eased).to be_within(1e-9).of((8 * Math::PI / (others.max * 0.3125) - 1) * 100)
  end
end
