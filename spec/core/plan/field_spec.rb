# frozen_string_literal: true

RSpec.describe Lantern::Plan::Field do
  let(:reading) { Lantern::Plan::Reading.new(units: "in") }

  def said = reading.problems.map(&:says)

  def field(kind, name, **rest) = described_class.const_get(kind).new(name, **rest)

  it "reads lengths into inches, remembers how it understood them, and says what it refuses" do
    length = field(:Length, :lap, label: "Lap", most: 48)
    expect(length.read("2 ft", "layers.0.lap", reading)).to eq 24
    expect(reading.lengths).to eq("layers.0.lap" => 24)
    [0, -1, "-2 in", 50, 0.0001, "wide", true].each { expect(length.read(_1, "a", reading)).to be_nil }
    expect(said).to eq ["Lap must be more than nothing.", "Lap must not be negative; -1 is.",
      "Lap must not be negative; “-2 in” is.",
      "Lap is 50; more than 48 in cannot be planned.", "Lap is thinner than anything a tape can show.",
      "Lap must be a length such as 14, “31 1/2” or “80 cm”; “wide” is none.",
      "Lap must be a length such as 14, “31 1/2” or “80 cm”; true is none."]
    expect(field(:Length, :dish, zero: true).read(0, "a", reading)).to eq 0
  end

  it "reads counts that are whole, however they are written" do
    count = field(:Count, :rails, label: "Rails", least: 2, most: 8)
    expect([4, "4", 4.0].map { count.read(_1, "a", reading) }).to eq [4, 4, 4]
    expect([1, 9, 4.5, "four", nil, 1e300].map { count.read(_1, "a", reading) }.compact).to be_empty
    expect(said.first).to eq "Rails must be from 2 to 8; 1 is not."
  end

  it "reads shares, with a decimal point or comma" do
    share = field(:Number, :spare, label: "Spare", least: 0.0, most: 1.0, above: true)
    expect([0.5, "0,5", 1].map { share.read(_1, "a", reading) }).to eq [0.5, 0.5, 1.0]
    expect([0, 1.01, "half"].map { share.read(_1, "a", reading) }.compact).to be_empty
    expect(said.first).to eq "Spare must be more than 0 and at most 1; 0 is not."
  end

  it "reads words from a few, colours and switches, and nothing like them" do
    order = field(:Choice, :order, label: "Colours", choices: {blocks: "In blocks", spread: "Spread"})
    expect(order.read("spread", "a", reading)).to eq :spread
    expect(order.read("Spread", "a", reading)).to be_nil
    expect(said.last).to eq "Colours must be blocks or spread; “Spread” is not known."
    expect(field(:Colour, :colour).read("#AABBCC", "a", reading)).to eq "#aabbcc"
    expect(["red", "#abc", "#aabbcc;}", 3].map { field(:Colour, :colour).read(_1, "a", reading) }.compact).to be_empty
    expect([true, false].map { field(:Switch, :wired).read(_1, "a", reading) }).to eq [true, false]
    expect(field(:Switch, :wired).read("true", "a", reading)).to be_nil
  end

  it "keeps texts as they are, but for what cannot be printed" do
    text = field(:Text, :name, label: "Name", most: 20)
    expect(text.read("  <b>名前</b> ", "a", reading)).to eq "<b>名前</b>"
    ["", "   ", "x" * 21, "a\u0000b", 3, +"\xff"].each { expect(text.read(_1, "a", reading)).to be_nil }
    expect(said).to include("Name must not be empty.", "Name is 21 characters long; 20 are allowed.",
      "Name holds bytes that are not text.")
  end

  it "quotes long and hostile values short and on one line" do
    expect(reading.quote("x" * 900).length).to be <= 42
    expect(reading.quote("a\nb\tc")).to eq "“a b c”"
    expect(reading.quote({"a" => "b" * 900}).length).to be <= 42
  end

  it "declares itself as the screens need it" do
    expect(field(:Length, :lap, label: "Lap", help: "How much.", default_says: "a sixth", fine: true, most: 48).declare)
      .to eq("name" => "lap", "kind" => "length", "label" => "Lap", "help" => "How much.", "required" => false,
        "default_says" => "a sixth", "fine" => true, "zero" => false, "most" => 48)
    expect(field(:Choice, :school, choices: {even: "Even"}, default: :even).declare).to include("default" => "even",
      "choices" => [{"value" => "even", "says" => "Even"}])
  end
end

RSpec.describe Lantern::Value do
  point = described_class.define(:x, :y) { def length = Math.hypot(x, y) }

  it "is made whole, never changes, and is one thing" do
    made = point.new(x: 3, y: 4)
    expect(made.length).to eq 5
    expect(made.with(y: 0)).to eq point.new(x: 3, y: 0)
    expect([*made].size).to eq 1
    expect(made).to be_frozen
    expect { made.x = 1 }.to raise_error(FrozenError)
    expect { point.new(x: 1) }.to raise_error(ArgumentError, /missing keyword: :y/)
    expect { point.new(x: 1, y: 2, z: 3) }.to raise_error(ArgumentError)
  end
end
