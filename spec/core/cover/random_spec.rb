# frozen_string_literal: true

# Random plans, the same every time: good ones give finite figures, bad ones problems, never anything else.
RSpec.describe "Every covering, of random sizes" do
  # A value such as a declared field may hold, now and then beyond what it should.
  def value(field, random)
    case field
    when Lantern::Plan::Field::Length then [random.rand(0.05..8.0).round(3), 0, -1, "a lot", 1e9].sample(random:)
      .then { (random.rand < 0.9) ? random.rand(0.05..8.0).round(3) : _1 }
    when Lantern::Plan::Field::Count then (random.rand < 0.9) ? random.rand(1..12) : [0, -3, 2.5, "many", 10**9]
      .sample(random:)
    when Lantern::Plan::Field::Number then (random.rand < 0.9) ? random.rand(0.3..1.5).round(3) : [-1, "x", 1e300]
      .sample(random:)
    when Lantern::Plan::Field::Area then (random.rand < 0.9) ? random.rand(10.0..900.0).round(2) :
      [0, "x"].sample(random:)
    when Lantern::Plan::Field::Choice then field.declare["choices"].map { _1["value"] }.push("nonsense").sample(random:)
    when Lantern::Plan::Field::Switch then [true, false].sample(random:)
    end
  end

  def numbers(value)
    case value
    when Hash then value.values.flat_map { numbers(_1) }
    when Array then value.flat_map { numbers(_1) }
    when Numeric then [value]
    else []
    end
  end

  it "never answers a figure that is negative where it cannot be, infinite or no number", :thorough do
    shapes = Lantern::Form.shapes.to_a
    worked = 0
    each_random(320, seed: 4_117) do |random|
      name, shape = shapes.sample(random:)
      covering = layer_kinds.sample(random:)
      options = covering.options.select { random.rand < 0.4 }.to_h { [_1.name, value(_1, random)] }.compact
      sizes = shape.typical.transform_values { _1.is_a?(Numeric) ? (_1 * random.rand(0.7..1.6)).round(2) : _1 }
        .transform_keys(&:to_s)
      document = plan(form: {"base" => %w[wire foam board vine].sample(random:), "shape" => name.to_s, **sizes},
        materials: stash, layers: [any_layer(covering, **options)], quantity: random.rand(1..4))
      begin
        result = Lantern.work(document)
        worked += 1
        expect(numbers(result)).to all(be_finite)
        figures = result["layers"][0]["figures"].reject { |figure, _| figure.match?(/\A(lap|gap)_|ease/) }
        expect(figures.values).to all(be >= 0), "#{covering.method_name} #{options}: #{figures}"
        expect(result["layers"][0]["needs"].flat_map { [_1["length"], _1["count"]] }.compact).to all(be > 0)
        expect(JSON.parse(JSON.generate(result))).to eq result
      rescue Lantern::Plan::Refused => refused
        expect(refused.problems).not_to be_empty
        expect(refused.problems.map(&:says)).to all(match(/\A[[:upper:]“\d].*\.\z/m))
      end
    end
    expect(worked).to be > 80
  end
end
