# frozen_string_literal: true

RSpec.describe Lantern::Draw::BeingMade do
  def examples = Dir[File.expand_path("../../../docs/examples/*.json", __dir__)].map { JSON.parse(File.read(_1)) }

  it "begins with the bare form and ends with the wreath as it is drawn, and takes nothing away on the way" do
    examples.each do |plan|
      worked = Lantern.work(plan)
      made = described_class.new(worked)
      expect(made.at(0)["layers"].reject { lit?(_1) }.sum { _1["front"].size }).to eq 0
      expect(made.at(made.last)["layers"]).to eq worked["drawing"]["layers"]
      counts = (0..12).map { |i| made.at(made.last * i / 12)["layers"].sum { |lie| lit?(lie) ? 0 : lie["front"].size } }
      expect(counts).to eq counts.sort
    end
  end

  def lit?(lie) = [described_class::LATEST, described_class::NEXT].include?(lie["materials"].first)

  it "lays the pieces as the screens do: one fixture for both" do
    JSON.parse(File.read(File.expand_path("../../support/moments.json", __dir__))).each do |fixture|
      layers = fixture["layers"].map do |lie|
        lie.merge(%w[front back].to_h { |side| [side, Array.new(lie[side]) { {"points" => [_1], "colour" => 0} }] })
      end
      made = described_class.new("steps" => fixture["steps"], "drawing" => {"layers" => layers})
      expect(made.last).to eq fixture["last"]
      fixture["moments"].each do |after, said|
        laid = made.at(after.to_i)["layers"].map { |lie|
          ends = lie["front"].values_at(0, -1).compact.map { _1["points"][0] }
          [*lie.values_at("layer", "key", "materials"), ends, lie["back"].size]
        }
        expect(laid).to eq said
      end
    end
  end

  it "has of what is written and pictured as much as of the pieces, and none of it on what is lit" do
    each = [1, 2, 3].map { {"points" => [_1], "colour" => 0} }
    lie = {"layer" => "a", "key" => "things", "materials" => ["fox"], "front" => each, "back" => [],
           "written" => %w[one two three], "pictured" => %w[first second third]}
    step = {"id" => "a.fix", "layer" => "a", "lays" => "things", "count" => 3}
    made = described_class.new("steps" => [step], "drawing" => {"layers" => [lie]})
    laid, *lit = made.at(2)["layers"]
    expect(laid.values_at("written", "pictured")).to eq [%w[one two], %w[first second]]
    expect([lit.size, lit.flat_map(&:keys) & %w[written pictured]]).to eq [2, []]
  end

  it "knows where a step begins and ends" do
    worked = Lantern.work(example_plan("door-14-undyed-rope"))
    made = described_class.new(worked)
    coil = made.of_step("base.coil")
    expect(coil.size - 1).to eq worked["steps"].find { _1["id"] == "base.coil" }["count"]
    laid = ->(moment) { made.at(moment)["layers"].find { _1["key"] == "coils" && !lit?(_1) }&.dig("front")&.size.to_i }
    expect([laid.call(coil.begin), laid.call(coil.end)]).to eq [0, coil.end - coil.begin]
    expect(made.of_step("nothing")).to be_nil
  end
end
