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
