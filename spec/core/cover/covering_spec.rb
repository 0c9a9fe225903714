# frozen_string_literal: true

RSpec.describe Lantern::Cover::Covering do
  describe "a covering of a dozen lines" do
    before do
      Class.new(Lantern::Cover::Covering) do
        covering :swag, title: "Swag", takes: %i[rope], summary: "Loose strands."
        option :strands, :count, default: 3, label: "Strands"
        option :slack, :length, label: "Slack", default_says: "an inch"
        def slack = super || 1

        def needs = [Lantern::Place::Need.run(what: "strands", material: material.id,
          length: strands * (form.run + slack))]
      end
    end

    after { Lantern::Plan::Methods.forget(:swag) }

    it "is declared, read and worked with nothing else touched" do
      expect(Lantern::Plan::Methods.find("swag").declare).to include("title" => "Swag",
        "options" => include(include("name" => "strands", "kind" => "count", "default" => 3)))
      worked = work(materials: [rope], layers: [layer("swag", "rope", strands: 4, slack: "2 in")])
      expect(worked["materials"][0]["needed"]).to be_within(1e-3).of(4 * (11 * Math::PI + 2))
      expect(problems(plan(materials: [rope], layers: [layer("swag", "rope", strands: 0)])))
        .to have_key("layers.0.strands")
    end
  end

  it "declares every option with a label, and no option without a default" do
    layer_kinds.each do |covering|
      covering.declare["options"].each do |option|
        expect(option["label"]).not_to be_empty
        expect(option["required"]).to be false
      end
      document = plan(form: gourd, materials: stash, layers: [any_layer(covering)])
      expect(problems(document)).to eq({})
    end
  end

  it "refuses a material it cannot be made of" do
    expect(problems(plan(materials: [ribbon], layers: [layer("rope_coil", "tape")])))
      .to match("layers.0.material" => "Marigold tape is ribbon; rope coil takes rope.")
    expect(problems(plan(materials: [ribbon], layers: [layer("rope_coil")])))
      .to match("layers.0.material" => /needs a material/)
  end

  # Every number anywhere in a worked plan.
  def numbers(value)
    case value
    when Hash then value.except("drawing").values.flat_map { numbers(_1) }
    when Array then value.flat_map { numbers(_1) }
    when Numeric then [value]
    else []
    end
  end

  # Whether all that is answered can be; nil where the plan was refused, in sentences.
  def possible?(document)
    worked = Lantern.work(document)
    figures = numbers(worked["layers"].map {
      _1["figures"].except("lap_wide", "lap_crowded", "gap_left", "gap_wide", "gap_middle", "take_up")
    }) + numbers(worked["materials"]) + numbers(worked["form"])
    expect(figures).to all(be_finite.and(be >= 0))
    expect(numbers(worked["drawing"])).to all(be_finite)
    expect(worked["steps"].select { _1["layer"] }).not_to be_empty
    true
  rescue Lantern::Plan::Refused => refused
    expect(refused.problems.map(&:says)).to all(match(/\A[[:upper:]\d“].*\.\z/))
    nil
  end

  it "never answers a negative, infinite or impossible figure, every one on every shape", :thorough do
    walked = coverings.product(Lantern::Form.shapes.to_a).map do |kind, (name, shape)|
      # What does not go on foam goes on wire.
      worked = %w[foam wire].any? do |base|
        form = {"base" => base, "shape" => name.to_s, **shape.typical.transform_keys(&:to_s)}
        possible?(plan(form:, materials: stash, layers: [any_layer(kind)]))
      end
      [kind.method_name, name, worked]
    end
    # What was refused shows nothing; so every covering has to be worked on most shapes, every shape with most of them.
    # Ribs and a stem most shapes have not.
    least = {ribs: 0.05, stem_wrap: 0.05}
    [0, 1].each do |which|
      walked.group_by { _1[which] }.each do |what, tried|
        expect([what, tried.count(&:last).fdiv(tried.size)]).to match [what, be > least.fetch(what, 0.6)]
      end
    end
  end

  it "never answers one either for sizes that nobody makes" do
    answered = []
    each_random(60) do |random|
      outside, inside = Array.new(2) { random.rand(1..400) / 10.0 }
      thick, number = random.rand(1..40) / 16.0, random.rand(0..60) / 8.0
      method, option = [%w[rope_coil accepted_gap], %w[spiral_wrap lap], %w[knotted_strips tail]].sample(random:)
      answered << possible?(plan(form: {"base" => %w[wire foam board vine].sample(random:), "outside" => outside,
                                        "inside" => inside}, quantity: random.rand(1..5),
        materials: [rope(diameter: thick, on_hand: [7, 40]), ribbon(width: thick)],
        layers: [layer(method, (method == "rope_coil") ? "rope" : "tape", option.to_sym => number)]))
    end
    expect(answered.compact.size).to be > 15
  end
end
