# frozen_string_literal: true

require_relative "../../support/helper"
require_relative "../../support/photo_of_door"

RSpec.describe Lantern::Door::Hung do
  def hung(plan, place, **how) = described_class.new(Lantern::Work.read(plan), Lantern::Door::Place.read(place), **how)

  def through(matrix, (x, y))
    across, down, depth = matrix.map { |a, b, c| a * x + b * y + c }
    [across / depth, down / depth]
  end

  # Twenty photos: from both sides, from below and above, aslant, by lenses that bend inwards and outwards. The oracle
  # is the camera itself, which knows where every place of the door is seen.
  it "has the outline of a wreath of known size where the camera would see it, within a hundredth of its size" do
    plan = example_plan("door-14-undyed-rope")
    random = Random.new(3)
    20.times do |i|
      camera = PhotoOfDoor.new(pan: random.rand(-0.5..0.5), tilt: random.rand(-0.25..0.25),
        roll: random.rand(-0.06..0.06), k1: [0, -0.08, 0.05, -0.04][i % 4], far: random.rand(75.0..120.0))
      middle = [random.rand(-2.0..8.0), random.rand(-26.0..-12.0)]
      # What was found in the photo; that it is found is the place's own spec.
      bend = PhotoOfDoor.lens(camera.k1)
      place = camera.place("seen" => {"corners" => camera.corners, "bend" => bend.round(6), "doubt" => 0.001})
      hanging = hung(plan, place, at: camera.pixel(middle))
      matrix = hanging.matrix
      rim = (0...36).map { |k| [9 * Math.cos(k * Math::PI / 18), 9 * Math.sin(k * Math::PI / 18)] }
      seen = rim.map { |x, y| camera.pixel([middle[0] + x, middle[1] + y]) }
      across = seen.map(&:first).minmax.reduce { _2 - _1 }
      off = rim.zip(seen).map { |at, (x, y)| through(matrix, at).then { Math.hypot(_1 - x, _2 - y) } }
      expect([i, off.max / across]).to match [i, be < 0.01]
    end
  end

  it "is turned over when it is seen from behind, in the same place" do
    place = {"units" => "in", "wide" => 36}
    front, back = [false, true].map { hung(example_plan("door-14-undyed-rope"), place, back: _1) }
    expect(back.box).to eq [-front.box[2], front.box[1], -front.box[0], front.box[3]]
    expect(through(back.matrix, [0, 0])).to eq through(front.matrix, [0, 0])
  end

  it "is as large in centimetres" do
    plan = example_plan("door-7-rope-ring")
    other = Lantern::Ask::Units.answer({"plan" => plan, "to" => "cm"})
    sizes = [plan, other].map { hung(_1, {"units" => "in", "wide" => 36}).across }
    expect(sizes[1]).to be_within(0.02).of(sizes[0])
    # A ring of 14 in, its cord outside it.
    expect(sizes[0]).to be_between(14, 14.5)
  end

  it "stands out from the door by its band, its covering and its bow" do
    plain, bowed = %w[door-3-marigold-wrap door-14-undyed-rope]
      .map { hung(example_plan(_1), {"units" => "in", "wide" => 36}) }
    # Foam 2 in through, wrapped in tape.
    expect(plain.deep).to be_within(0.1).of(2)
    # 1 1/4 in of half a round under cord, and loops half as far as they are long.
    loops = example_plan("door-14-undyed-rope")["layers"].filter_map { _1["loop_size"] }.max
    expect(bowed.deep).to be > 1.25 + loops.to_f / 2
  end

  # Loops are as deep as they reach beyond the form (from memory); what only hangs down is no deeper for it.
  it "stands out by its loops, and not by what hangs down" do
    loops, hanging = %w[door-6-netting-loops door-17-garland]
      .map { hung(example_plan(_1), {"units" => "in", "wide" => 36}) }
    expect(loops.deep).to be_between(1.7, 2.1)
    expect(hanging.deep).to be_between(2.5, 2.7)
  end

  it "answers or is refused, whatever was tapped" do
    random = Random.new(5)
    work = Lantern::Work.read(example_plan("door-7-rope-ring"))
    told = 120.times.map do
      at = -> { [random.rand(0.0..1500.0), random.rand(0.0..2000.0)] }
      x, y = at.call
      side = random.rand(0.01..400.0)
      corners = [[x, y], [x + side, y + random.rand * side], [x + side, y + side], [x, y + side]]
        .map { |a, b| [a.clamp(0, 1500), b.clamp(0, 2000)] }
      place = {"units" => "in", "sheet" => "letter", "corners" => corners, "edges" => [at.call, at.call],
               "photo" => {"id" => "0" * 64, "width" => 1500, "height" => 2000}}
      place = Lantern::Door::Place.read(place)
      place.paint_about
      described_class.new(work, place, at: at.call).matrix.flatten.all?(&:finite?)
    rescue Lantern::Plan::Refused
      :refused
    end
    expect(told.tally.keys).to match_array [true, :refused]
  end

  it "is refused where the door cannot be seen" do
    camera = PhotoOfDoor.new(pan: 1.3, tilt: 0.0)
    expect { hung(example_plan("door-14-undyed-rope"), camera.place.except("edges"), at: [1498, 1000]) }
      .to raise_error(Lantern::Plan::Refused, /move it onto the door/)
  end
end
