# frozen_string_literal: true

require_relative "../../support/helper"
require_relative "../../support/trial/mutations"

RSpec.describe "Plans as nobody should write them" do
  it "are worked or refused in sentences, whatever is changed in them", :thorough do
    mutations = Trial::Mutations.new(Random.new(20_261))
    answers = Array.new(400) do
      plan = mutations.plan
      JSON.generate(Lantern.work(plan)) && :worked
    rescue Lantern::Plan::Refused => refused
      expect(refused.problems).to all satisfy { |problem| problem.says.match?(/[.?!]\z/) && problem.at.valid_encoding? }
      JSON.generate(refused.to_h) && :refused
    rescue => error
      raise error, "#{error.message} in #{plan.inspect[0, 2_000]}", error.backtrace
    end
    expect(answers.tally.values).to all be > 20
  end

  # Every number of the demo, by itself, a hundred times too small to fifty times too large.
  it "are worked or refused where a number is far too small or too large", :thorough do
    demo = Dir[File.expand_path("../../../docs/examples/door-*.json", __dir__)].map { File.read(_1) }
    answers = Hash.new(0)
    each_random(400) do |random|
      plan = JSON.parse(demo.sample(random:))
      *way, last = numbers(plan).sample(random:)
      there = way.reduce(plan) { |part, key| part[key] }
      there[last] *= [0.01, 0.1, 0.5, 2, 7, 50].sample(random:)
      JSON.generate(Lantern.work(plan)) && answers[:worked] += 1
    rescue Lantern::Plan::Refused
      answers[:refused] += 1
    end
    expect(answers.values).to all be > 60
  end

  # Where numbers stand in a document.
  def numbers(part, way = [])
    case part
    when Numeric then [way]
    when Hash then part.flat_map { |key, each| numbers(each, [*way, key]) }
    when Array then part.each_with_index.flat_map { |each, i| numbers(each, [*way, i]) }
    else []
    end
  end

  # Written with few decimals such a width is nought, and a sum would be divided by it.
  it "show sums of what is a hair wide" do
    wrap = layer("gathered_wrap", "tape", strip_width: 0.05)
    expect(Lantern.work(plan(materials: [ribbon], layers: [wrap]))["layers"][0]["working"]).not_to be_empty
  end

  it "say where words are no text, however deep" do
    expect(problems(plan("name" => "\xFF"))).to eq("name" => Lantern::Plan::Legible::SAYS)
    expect(problems(plan(materials: [rope(name: "\xC3")], form: {"shape" => "\xE2\x82"})).keys)
      .to contain_exactly("form.shape", "materials.0.name")
    deep = 60.times.reduce([]) { |inner, _| [inner] }
    expect(problems(plan(layers: deep)).values).to eq [Lantern::Plan::Legible::DEEP]
  end

  it "hold no length or number that would stop the sum" do
    rope = {"id" => "r", "kind" => "rope", "name" => "R", "diameter" => 0.25}
    [1e-12, "1e-12 in", 1e308].each do |length|
      document = plan(materials: [rope.merge("offers" => [{"length" => length, "price" => "1"}],
        "on_hand" => [length, 50])], layers: [layer("rope_coil", "r")])
      expect { problems(document) }.not_to raise_error
    end
    expect { problems(plan(form: {"base" => "wire", "shape" => "cane", "face" => 0.001})) }.not_to raise_error
  end
end
