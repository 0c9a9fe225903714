# frozen_string_literal: true

RSpec.describe Lantern::Ask::Occasion do
  def occasion(plans, **more)
    {"format" => "crisp-lantern/occasion", "version" => 1, "name" => "The walk", "units" => "in", "plans" => plans}
      .merge(more.transform_keys(&:to_s))
  end

  def bows(count, **more) =
    plan(materials: [ribbon(**more)], layers: [layer("row_of", "tape", count:)], name: "#{count} bows")

  def refused(document)
    described_class.work(document)
    []
  rescue Lantern::Plan::Refused => refused
    refused.problems.map { [_1.at, _1.says] }
  end

  # Common practice: a 9 ft roll gives six 18 in pieces. Nine and nine are two rolls each by themselves, and
  # three together.
  it "cuts all wreaths from the same lengths, and says what that saves" do
    worked = described_class.work(occasion([bows(9), bows(9)]))
    expect(worked["materials"][0]["buy"]).to eq [{"offer" => 0, "count" => 3, "cost" => "9.60"}]
    # The second wreath uses what the first one left: three pieces, so it buys one roll.
    expect(worked["saving"]).to include("one_by_one" => "9.60", "together" => "9.60", "saved" => "0.00")
    expect(worked["bundles"].map { _1.values_at("wreath", "count", "says") }).to eq [["9 bows", 9, "18 in"]] * 2
    expect(worked["quantity"]).to eq 2
    # In 10 ft lengths: 50 and 70, twice, are one length each together; 50, 50 of the first wreath leave 20, and 70, 70
    # take two more.
    mixed = [50, 70].map { |size|
      plan(name: size.to_s,
        materials: [ribbon(offers: [{"length" => 120, "price" => "2.00"}])],
        layers: [layer("row_of", "tape", count: 2, recipe: [{"material" => "tape", "length" => size, "count" => 1}])])
    }
    expect(described_class.work(occasion(mixed))["saving"]).to eq("one_by_one" => "6.00", "together" => "4.00",
      "saved" => "2.00", "worse" => false)
  end

  # The same hand and the same cord err the same way on all of them: as sure, it takes as much.
  it "buys for eight alike what it buys for one plan of eight" do
    coil = plan(materials: [rope], layers: [layer("rope_coil", "rope")])
    eight = Lantern.work(coil.merge("quantity" => 8))["materials"][0]
    apart = described_class.work(occasion(Array.new(8) { coil.merge("name" => "Door #{_1}") }))
    expect(apart["materials"][0].slice("buy", "chance_enough")).to eq eight.slice("buy", "chance_enough")
    strips = plan(materials: [ribbon], layers: [layer("knotted_strips", "tape", per_section: 4, spare: 0)])
    eight = Lantern.work(strips.merge("quantity" => 8))["materials"][0]
    apart = described_class.work(occasion(Array.new(8) { strips.merge("name" => "Door #{_1}") }))
    expect(apart["materials"][0]["buy"]).to eq eight["buy"]
  end

  # One package holds the coils with an inch to spare, two are needed to be sure: what the cord may take more comes off
  # the second, and the rest of it is the next wreath's. Two by two would be four.
  it "hands on to the next wreath what the one before bought to be sure and did not take" do
    length = work(materials: [rope], layers: [layer("rope_coil", "rope")])["layers"][0]["figures"]["length"]
    coil = plan(materials: [rope(offers: [{"length" => length + 4, "price" => "2.00"}])],
      layers: [layer("rope_coil", "rope")])
    expect(Lantern.work(coil)["cost"]["to_buy"]).to eq "4.00"
    worked = described_class.work(occasion([coil.merge("name" => "North"), coil.merge("name" => "South")]))
    expect(worked["saving"].slice("one_by_one", "together")).to eq("one_by_one" => "6.00", "together" => "6.00")
  end

  it "never pays more than one by one, where both are proven best" do
    each_random(12) do |random|
      plans = Array.new(3) { |i|
        bows(random.rand(3..20), on_hand: [20, 44, 60]).merge("name" => "Wreath #{i}",
          "quantity" => random.rand(1..3))
      }
      worked = described_class.work(occasion(plans))
      expect(worked["materials"][0]["optimal"]).to be true
      expect(worked["saving"]["worse"]).to be false
      # Conservation: every piece that any wreath asks for is on the one sheet.
      made = worked["cut_sheet"].sum { |bar| bar["times"] * bar["cuts"].sum { _1["count"] } }
      expect(made).to eq plans.sum { _1["layers"][0]["count"] * _1["quantity"] }
    end
  end

  it "keeps a budget, or says by how much it is broken" do
    worked = described_class.work(occasion([bows(12)], budget: "6.40"))
    expect(worked["budget"]).to include("kept" => true, "says" => "$0.00 of $6.40 to spare")
    taxed = described_class.work(occasion([bows(12)], budget: "6.40", money: {"tax" => 10}))
    expect(taxed["cost"]).to include("tax" => "0.64", "to_pay" => "7.04")
    expect(taxed["budget"]).to include("kept" => false, "says" => "$0.64 over the $6.40 it may cost")
    expect(taxed["findings"].map { _1["code"] }).to include "over_budget"
  end

  describe "its days" do
    # 2027-06-21 is a Monday.
    let(:walk) {
      {day: "2027-06-21", today: "2027-06-01", evenings: %w[tuesday thursday], hours: 1, drying: 1,
       delivery: 2}
    }

    it "lays the bench hours into the free evenings, from the last one backwards" do
      # Each bow takes three minutes and a wreath about ten more: sixty-odd minutes are two evenings.
      worked = described_class.work(occasion([bows(20)], **walk))
      expect(worked["minutes"]).to be_between(61, 119)
      dates = worked["dates"]
      # Dry on Sunday the 20th; glued by Saturday; so Tuesday the 15th and Thursday the 17th.
      expect(dates["evenings"].map { _1["day"] }).to eq %w[2027-06-15 2027-06-17]
      expect(dates["evenings"].sum { _1["minutes"] }).to be_within(1).of(worked["minutes"])
      expect(dates).to include("make_by" => "2027-06-19", "start_by" => "2027-06-15", "buy_by" => "2027-06-12",
        "day" => "2027-06-21")
      expect(worked["findings"]).to eq []
    end

    it "says when there is not time enough, and when it is too late to order" do
      expect(described_class.work(occasion([bows(20)], **walk, today: "2027-06-16"))["findings"]
        .map { _1.values_at("level", "code") }).to eq [["stop", "no_time"]]
      expect(described_class.work(occasion([bows(20)], **walk, today: "2027-06-13"))["findings"].map { _1["code"] })
        .to eq ["buy_late"]
      expect(described_class.work(occasion([bows(20)], **walk, evenings: []))["findings"].map { _1["code"] })
        .to eq ["no_evenings"]
    end

    it "waits for a sale that comes in time, and says what waiting saves" do
      sale = bows(12, offers: [{"length" => "9 ft", "price" => "3.20", "sale_price" => "2.40"}])
      waits = ->(day, **more) { described_class.work(occasion([sale], **walk, sale: day, **more))["waiting"] }
      expect(waits.call("2027-06-08")).to include("saves" => "1.60", "to_buy" => "4.80", "in_time" => true,
        "says" => /Waiting 7 days .* is in time/)
      expect(waits.call("2027-06-18")).to include("in_time" => false, "says" => /comes too late/)
      expect(waits.call("2027-05-30")["says"]).to match(/On sale now/)
      expect(waits.call("2027-06-08", money: {"sale" => true})).to be_nil
      expect(described_class.work(occasion([bows(12)], **walk, sale: "2027-06-08"))["waiting"]).to be_nil
    end
  end

  it "refuses what cannot be, every problem with its place" do
    broken = plan(form: {"base" => "wire", "outside" => 8, "inside" => 14})
    expect(refused(occasion([bows(2), broken], day: "soon", hours: 0)).map(&:first)).to include("day", "hours",
      "plans.1.form.inside")
    expect(refused(occasion([bows(2), bows(3, width: 2)])).map(&:last))
      .to include(match(/mean different things by the material “tape”/))
    expect(refused(occasion([], today: "2027-06-22", day: "2027-06-21")).first).to eq ["today",
      "Today (2027-06-22) is after the day they hang (2027-06-21)."]
    expect(refused([])).to eq [["", "An occasion is a JSON object with named fields."]]
    expect(refused(occasion([], flavour: 1)).map(&:first)).to eq ["flavour"]
    expect(refused(occasion("x")).map(&:first)).to eq ["plans"]
    expect(refused(occasion([7])).map(&:first)).to eq ["plans.0"]
  end

  it "is the same, byte for byte" do
    document = occasion([bows(9), bows(12)], day: "2027-06-21", evenings: %w[friday])
    expect(JSON.generate(described_class.work(document)))
      .to eq JSON.generate(described_class.work(JSON.parse(JSON.generate(document))))
  end
end
