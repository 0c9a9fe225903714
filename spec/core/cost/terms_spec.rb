# frozen_string_literal: true

RSpec.describe Lantern::Plan::Terms do
  def cost(money, **more) = work(materials: [ribbon(
    offers: [{"length" => "9 ft", "price" => "3.20", "sale_price" => "2.39"}]
  )],
    layers: [layer("row_of", "tape", count: 12)], money:, **more)

  it "adds tax to what is bought, and nothing else" do
    expect(cost({"tax" => 8.25})["cost"]).to include("to_buy" => "6.40", "tax" => "0.53", "to_pay" => "6.93",
      "used" => "6.40")
    expect(cost(nil)["cost"].keys).to eq %w[to_buy used per_wreath left_in_stash from_stash left_over scraps]
  end

  it "buys at sale prices where there are any" do
    worked = cost({"sale" => true})
    expect(worked["cost"]["to_buy"]).to eq "4.78"
    expect(worked["cost_working"][0]["says"]).to eq "To buy, whole packages at sale prices"
  end

  # Material 6.40, an hour's share at 12.00, overhead on both, and a margin that is a share of the price
  # itself: price = cost / (1 - margin), the definition of a gross margin.
  it "makes an asking price of material, time, overhead and margin" do
    worked = cost({"hourly" => "12.00", "overhead" => 10, "margin" => 40})
    minutes = worked["minutes"]
    time = BigDecimal(12) * minutes / 60
    cost_of_one = (BigDecimal("6.40") + time) * BigDecimal("1.1")
    expect(worked["cost"]["bench_time"]).to eq format("%.2f", time)
    expect(BigDecimal(worked["cost"]["cost_of_one"])).to be_within(0.005).of(cost_of_one)
    price = BigDecimal(worked["cost"]["asking_price"])
    expect((price - BigDecimal(worked["cost"]["cost_of_one"])) / price).to be_within(0.001).of(0.4)
    expect(worked["cost_working"].map { _1["says"] }).to include("Time at the bench, a wreath", "Overhead",
      "Asking price")
  end

  it "refuses what is no money" do
    expect(problems(plan(money: {"tax" => -1, "hourly" => 12, "margin" => 100, "profit" => 1})).keys)
      .to contain_exactly("money.tax", "money.hourly", "money.margin", "money.profit")
  end
end

RSpec.describe Lantern::Cost::Choice do
  def material(layer_, **more) = work(materials: [ribbon(offers: [{"length" => 108, "price" => "3.20"},
    {"length" => 360, "price" => "9.00"}], **more)], layers: [layer_])["materials"][0]

  it "sets two sizes against each other by the foot, and says what each alone would cost" do
    said = material(layer("row_of", "tape", count: 12))["alternatives"]
    # 9.00 / 30 ft = 0.30; 3.20 / 9 ft = 0.3556. Twelve 18 in pieces: one of 30 ft, or two of 9 ft.
    expect(said).to eq [{"offer" => 1, "per" => "$0.30 a foot", "count" => 1, "cost" => "9.00"},
      {"offer" => 0, "per" => "$0.36 a foot", "count" => 2, "cost" => "6.40"}]
    expect(work(materials: [ribbon], layers: [layer("row_of", "tape", count: 12)])["materials"][0]["alternatives"])
      .to eq []
  end

  it "gives the reason for one package more, or for none" do
    reasons = [0.5, 0.7, 0.9, 0.99].map { |sureness|
      [sureness,
        work(form: foam(12, 8), sureness:, materials: [ribbon(on_hand: [])],
          layers: [layer("spiral_wrap", "tape")])["materials"][0]]
    }
    counts = reasons.map { |_, each| each["buy"].sum { _1["count"] } }
    expect(counts).to eq counts.sort
    reasons.each do |sureness, each|
      next expect(each["reason"]).to be_nil if sureness < 0.6
      # What the sentence claims is what the chance says.
      expect(each["reason"]).to match(/#{[(each["chance_enough"] * 100).floor, 99].min} %/)
      expect(each["chance_enough"]).to be >= sureness - 1e-3
    end
  end
end
