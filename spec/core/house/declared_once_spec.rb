# frozen_string_literal: true

require "tempfile"

# What a newcomer adds: a covering, with a way of lying, a figure, a unit and a move of its own, from one file.
RSpec.describe "A covering with everything of its own" do
  # As a file of its own would say it. Whatever stands in the braces is changed to see a slip of the pen.
  def file(lie: ":zigzag", move: ":braid", figure: ":count", unit: ":plaits", kind: ":rope", stage: ":cover")
    <<~RUBY
      Lantern::Place::Move.know :braid, "Left over right", look: "Is it even?" do
        4.times { |i| frame("Strand \#{i}, {turn|a turn} long.") { cord "M10 10 L90 \#{10 + i}" } }
      end
      Lantern::Place::Unit.know :plaits, "plait"

      class Zigzag < Lantern::Place::Lie
        lie :zigzag
        looks { area edge: 0.06 }
      end

      class Plaited < Lantern::Cover::Covering
        covering :plaited, title: "Plaited", takes: [#{kind}], summary: "Three strands plaited round."
        stage #{stage}
        counts :plaits, #{unit}
        hands #{move}
        laid #{lie}
        option :plaits, :count, default: 9, label: "Plaits"
        figure :plaits, #{figure}, "Plaits"
        figure :area, :area, "Under it"

        def area = form.area

        def needs = [run(what: "plaits", material: material.id, length: plaits * 10)]

        def steps
          [step("plait", "Plait it", "Over and over.", count: plaits, unit: :plaits, minutes: plaits)]
        end

        def lies
          whole = form.silhouette.outlines.map { {points: _1} }
          [Zigzag.new(layer: id, unit: :plaits, materials: [material], width: 1.0, front: whole)]
        end
      end
    RUBY
  end

  # In a module of its own, so that nothing of it is left over.
  def load_file(**more) = Module.new.module_eval(file(**more))

  after do
    Lantern::Place::Move::ALL.forget(:braid)
    Lantern::Place::Unit::ALL.forget(:plaits)
    Lantern::Place::Lie::KINDS.forget(:zigzag)
    Lantern::Plan::Methods.forget(:plaited)
  end

  it "is read, worked, drawn, looked through and counted at the bench, with no other file touched" do
    load_file
    document = plan(form: foam(14, 10), materials: [rope], layers: [layer("plaited", "rope", plaits: 12)])
    worked = Lantern.work(document)
    expect(worked["layers"][0]["figures"]).to match("plaits" => 12, "area" => be_within(0.01).of(4 * Math::PI**2 * 6))
    expect(worked["drawing"]["layers"][0]).to include("kind" => "zigzag", "key" => "plaits", "what" => "plait")
    expect(worked["steps"].find { _1["lays"] == "plaits" }).to include("move" => "braid", "unit" => "plaits",
      "count" => 12)
    expect(worked["tape"][0]).to include("figure" => "12", "says" => "plaits")
    expect(worked["minutes"]).to eq 12 + worked["steps"].reject { _1["layer"] }.sum { _1["minutes"] }
    expect(Lantern.bare(document)["front"]).to eq 1
    metric = Lantern::Plan::Units.change(document, to: "cm")
    expect(Lantern.work(metric)["layers"][0]["figures"]["area"])
      .to be_within(0.01).of(worked["layers"][0]["figures"]["area"] * 2.54**2)
  end

  {lie: ":zigzga", move: ":braidd", figure: ":cuont", unit: ":plait", kind: ":rop", stage: ":cvoer"}
    .each do |what, slip|
    it "raises while it is loaded when its #{what} is misspelt" do
      expect { load_file(what => slip) }.to raise_error(Lantern::Registry::Unknown,
        /There is no .*“#{slip.delete(":")}”/)
    end
  end

  it "can be the one that the README shows" do
    shown = File.read(File.expand_path("../../../README.md", __dir__))[/```ruby\n(.*?)```/m, 1]
    file = Tempfile.create(%w[festoon .rb])
    file.write("module Lantern\nmodule Cover\n#{shown}\nend\nend\n")
    file.close
    load file.path
    worked = work(form: foam(14, 10), materials: [ribbon], layers: [layer("festoon", "tape", swags: 6)])
    expect(worked["layers"][0]["figures"]).to match("swags" => 6, "length" => be_within(0.01).of(1.2 * 12 * Math::PI))
    expect(worked["steps"].find { _1["id"] == "one.hang" }["count"]).to eq 6
    expect(worked["drawing"]["layers"][0]).to include("kind" => "cord", "key" => "swags")
  ensure
    File.delete(file.path)
    Lantern::Plan::Methods.forget(:festoon)
    Lantern::Place::Unit::ALL.forget(:swags)
    Lantern::Cover.send(:remove_const, :Festoon)
  end

  it "raises for a move without frames, with too few of them, or painted with what is no paint" do
    know = Lantern::Place::Move.method(:know)
    expect { know.call(:braid, "Left over right", look: "Is it even?") }
      .to raise_error(ArgumentError, /“braid” has 0 frames, not 4 to 6/)
    expect { know.call(:braid, "Left over right", look: "Is it even?") { 3.times { frame("So.") {} } } }
      .to raise_error(ArgumentError, /has 3 frames/)
    expect { know.call(:braid, "Left over right", look: "Even?") { 4.times { frame("So.") { area "M0 0Z", :gold } } } }
      .to raise_error(ArgumentError, /“gold” is no paint of a frame/)
    expect(Lantern::Place::Move::ALL.keys).not_to include(:braid)
  end

  it "raises when it takes a name that is taken" do
    load_file
    expect { Class.new(Lantern::Cover::Covering) { covering :plaited, title: "Again", takes: %i[rope] } }
      .to raise_error(Lantern::Registry::Taken, /two methods called “plaited”/)
  end

  it "raises for a step with a move that it did not declare, and for a lie that does not say how it looks" do
    expect { Lantern::Place::Step.new(id: "x", title: "X", says: "X", move: :wrapp) }
      .to raise_error(Lantern::Registry::Unknown, /did you mean “wrap”/)
    nothing = Class.new(Lantern::Place::Lie).new(layer: "x", unit: :turns, materials: [], width: 1,
      front: [{points: [[0, 0]]}])
    expect { nothing.covers(:front) }.to raise_error(NotImplementedError, /does not say how it looks/)
  end
end

RSpec.describe "Every layer there is" do
  def worked(kind, **form)
    work(form: gourd(**form), materials: stash,
      layers: [(kind.method_name == :attach) ? layer("attach") : any_layer(kind)])
  end

  # An inch is 2.54 cm (published: international yard and pound agreement, 1959).
  it "has lengths that scale by 2.54 from inches to centimetres, areas by its square, counts not at all" do
    factors = {"length" => 2.54, "area" => 2.54**2, "count" => 1, "number" => 1}
    layer_kinds.each do |kind|
      inches = plan(form: gourd, materials: stash,
        layers: [(kind.method_name == :attach) ? layer("attach") : any_layer(kind)])
      metric = Lantern.work(Lantern::Plan::Units.change(inches, to: "cm")
        .merge("smallest_mark" => "1/8 in"))["layers"][0]["figures"]
      figures = Lantern.work(inches)["layers"][0]["figures"]
      kinds = kind.declare["figures"].to_h { [_1["key"], _1["kind"]] }
      expect(metric.keys).to eq figures.keys
      figures.each do |key, number|
        expect(metric[key]).to be_within(0.002 + number.abs * 1e-3).of(number * factors.fetch(kinds[key])),
          "#{kind.method_name} #{key}"
      end
    end
  end

  it "takes as long as its steps do, and lays what its steps and its lies call by one key" do
    layer_kinds.each do |kind|
      plan = worked(kind)
      own = plan["steps"].select { _1["layer"] == "one" }
      expect(plan["layers"][0]["minutes"]).to be_within(0.05 * own.size + 0.05).of(own.sum { _1["minutes"] })
      lies = plan["drawing"]["layers"]
      expect(lies.map { _1["kind"].to_sym } - kind.laid.map(&:kind)).to eq([]), kind.title
      expect(own.map { _1["move"].to_sym } - kind.hands.map(&:key)).to eq([]), kind.title
      expect(lies.map { _1["key"] }).to include(own.filter_map { _1["lays"] }.last)
    end
  end

  it "says every line of its sum and every finding by a key of its own" do
    layer_kinds.each do |kind|
      layer = worked(kind)["layers"][0]
      expect(layer["working"].map { _1["key"] }.tally.values).to all(eq(1)), kind.title
      expect(layer["findings"].map { _1["code"] }.tally.values).to all(eq(1)), kind.title
    end
  end
end

RSpec.describe "Everything that is declared" do
  # Whether a spec of its own room speaks of it by its key.
  def tried?(key, rooms)
    Dir[File.expand_path("../{#{rooms}}/**/*_spec.rb", __dir__)].any? do |file|
      File.read(file).match?(/["':]#{key}\b|\b#{key}:|%[iw]\[[^\]]*\b#{key}\b/)
    end
  end

  it "has a spec of its own: coverings, bows, shapes" do
    layers = Lantern::Plan::Methods.map(&:method_name).reject { tried?(_1, "cover,trim,hang") }
    bows = Lantern::Trim::Pieces.bows.keys.reject { tried?(_1, "trim") }
    shapes = Lantern::Form.shapes.keys.reject { tried?(_1, "form") }
    expect({layers:, bows:, shapes:}).to eq(layers: [], bows: [], shapes: [])
  end
end
