# frozen_string_literal: true

require_relative "../../support/trial/relations"
require_relative "../../support/trial/whole_plans"

RSpec.describe "A plan and the same plan a little changed" do
  # A fixed hundred, each held to two relations in turn; bin/trial holds two thousand to all of them.
  it "agree as they must: in other units, traced from behind, twice as many, as an occasion, surer, dearer, renamed",
    :thorough do
    plans = Trial::WholePlans.new(Random.new(1_776))
    held = Hash.new(0)
    Array.new(100) { plans.plan }.each_with_index do |plan, number|
      relations = Trial::Relations.new(plan)
      which = Trial::Relations::ALL.rotate(2 * number).first(2)
      expect(relations.broken(which)).to eq([]), "#{which}: #{JSON.generate(plan)}"
      which.each { held[_1] += 1 }
    rescue Lantern::Plan::Refused
      next
    end
    expect(held.values_at(*Trial::Relations::ALL)).to all(be >= 8)
  end
end
