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

  it "never answers a negative, infinite or impossible figure, nor fails, whatever the plan" do
    each_random(150) do |random|
      outside, inside = Array.new(2) { random.rand(1..400) / 10.0 }
      thick, number = random.rand(1..40) / 16.0, random.rand(0..60) / 8.0
      base, quantity = %w[wire foam board vine].sample(random:), random.rand(1..5)
      method = %w[rope_coil spiral_wrap knotted_strips].sample(random:)
      option = {"rope_coil" => "accepted_gap", "spiral_wrap" => "lap", "knotted_strips" => "tail"}[method]
      document = plan(form: {"base" => base, "outside" => outside, "inside" => inside}, quantity:,
        materials: [rope(diameter: thick, on_hand: [7, 40]), ribbon(width: thick)],
        layers: [layer(method, (method == "rope_coil") ? "rope" : "tape", option.to_sym => number)])
      worked = Lantern.work(document)
      figures = numbers(worked["layers"].map {
        _1["figures"].except("lap_wide", "lap_crowded", "gap_left", "gap_wide",
          "gap_middle", "take_up")
      }) + numbers(worked["materials"]) + numbers(worked["form"])
      expect(figures).to all(be_finite.and(be >= 0))
      expect(numbers(worked["drawing"])).to all(be_finite)
    rescue Lantern::Plan::Refused => refused
      expect(refused.problems.map(&:says)).to all(match(/\A[[:upper:]\d“].*\.\z/))
    end
  end
end
