# frozen_string_literal: true

RSpec.describe Lantern::Cache do
  def kept(cache, key, value = key) = cache.fetch(key, bytes: ->(_) { 1000 }) { value }

  # Plans as makers change them: a place, a number, a size, an order, what is on hand.
  def changed(document, random)
    document = Marshal.load(Marshal.dump(document))
    layer = document["layers"].sample(random:)
    case random.rand(6)
    when 0 then layer["at"] = random.rand(12) if layer["at"]
    when 1 then document["quantity"] = random.rand(1..4)
    when 2 then document["form"].slice("width", "outside", "height").each { |name, size|
      document["form"][name] = (size * 1.1).round(2) if size.is_a?(Numeric)
    }
    when 3 then document["layers"].reverse!
    when 4 then document["materials"].each { _1["on_hand"] = [] }
    else document["layers"].pop
    end
    document
  end

  def worked(document, cache = described_class::None)
    Lantern::Answer::Worked.new(Lantern::Work.read(document, cache:)).to_h
  rescue Lantern::Plan::Refused => refused
    refused.to_h
  end

  it "never changes what a plan comes to, whatever was worked before it", :thorough do
    random = Random.new(51)
    cache = described_class.new
    plans = Dir["docs/examples/*.json"].sort.map { JSON.parse(File.read(_1)) }
    plans.flat_map { |each| Array.new(3) { changed(each, random) } }.each do |document|
      expect(worked(document, cache)).to eq worked(document)
    end
    expect(cache.hits).to be > plans.size
  end

  it "works a bow that is moved, and the hanger that balances it, and nothing else of the wreath" do
    moved = ->(hour) {
      plan(materials: [rope, ribbon], layers: [layer("hanger", "rope", id: "loop"), layer("rope_coil", "rope"),
        layer("bow", "tape", id: "bow", at: hour)])
    }
    cache = described_class.new
    before, after = [5, 7].map { Lantern::Work.read(moved.call(_1), cache:).layers }
    expect(after.zip(before).map { _1.equal?(_2) }).to eq [false, true, false]
  end

  it "lets go what was not asked for the longest when it is full, and never holds more" do
    cache = described_class.new(4 * (1000 + described_class::KEY))
    4.times { kept(cache, _1) }
    kept(cache, 0)
    kept(cache, 4)
    expect([cache.size, cache.bytes]).to eq [4, 4 * (1000 + described_class::KEY)]
    expect([0, 1].map { |key| kept(cache, key, :anew) }).to eq [0, :anew]
  end

  it "counts what it holds of a plan, so that many lengths on hand are not kept for nothing" do
    small, large = [1, 300].map do |lengths|
      cache = described_class.new
      stocked = plan(materials: [rope(on_hand: [6] * lengths)], layers: [layer("hanger", "rope")])
      Lantern::Work.read(stocked, cache:).layers
      cache.bytes
    end
    expect(large - small).to be >= 299 * described_class::PLACE
  end

  it "keeps nothing of what could not be worked" do
    cache = described_class.new
    refused = -> { cache.fetch(:key, bytes: ->(_) { 1 }) { raise Lantern::Plan::Refused.at("form", "None.") } }
    expect(&refused).to raise_error(Lantern::Plan::Refused)
    expect([cache.size, kept(cache, :key, 3)]).to eq [0, 3]
  end
end
