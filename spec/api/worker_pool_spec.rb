# frozen_string_literal: true

require "socket"
require "timeout"
require_relative "../support/api"
require_relative "../../server/export/svg/reader"

RSpec.describe Server::WorkerPool do
  let(:aside) { described_class.new(size: 2, waiting: 2, patience: Patience.seconds(60)) }
  let(:small) { example_plan("door-7-rope-ring") }
  # Takes many times longer than any deadline here.
  let(:heavy) do
    wreath = example_plan("door-21-star-arms").merge("quantity" => 365)
    {"format" => "crisp-lantern/occasion", "version" => 1, "units" => "in",
     "plans" => Array.new(200) { |i| wreath.merge("name" => "Wreath #{i}") }}
  end

  after { aside.stop }

  # Whoever gets stuck fails, and is not waited for.
  around { |example| Timeout.timeout(Patience.seconds(60)) { example.run } }

  def asking(**more) = Thread.new { aside.call(:occasion, heavy, within: 2, **more) }
    .tap { _1.report_on_exception = false }

  def children_of(number)
    Dir.glob("/proc/[0-9]*/stat").filter_map do |path|
      path[/\d+/].to_i if File.read(path).split(") ").last.split[1].to_i == number
    rescue SystemCallError
      nil
    end
  end

  def outcome(thread)
    thread.value
  rescue => error
    error.class
  end

  it "answers as the core does, whatever is asked" do
    expect(JSON.parse(aside.call(:work, small, within: 20))).to eq JSON.parse(JSON.generate(Lantern.work(small)))
    expect(aside.call(:cut_sheet_pdf, small, "a4", within: 20)).to start_with("%PDF")
    expect { aside.call(:work, small.merge("quantity" => 0), within: 20) }
      .to raise_error(Lantern::Plan::Refused) { expect(_1.problems.map(&:at)).to eq ["quantity"] }
  end

  it "ends what takes longer than it may, and goes on" do
    expect { aside.call(:occasion, heavy, within: 0.5) }.to raise_error(described_class::Overdue)
    expect(aside.call(:check, small, within: 20)).to be_nil
  end

  it "ends what nobody waits for any more" do
    asker, theirs = UNIXSocket.pair
    waiting = Thread.new { aside.call(:occasion, heavy, within: 60, asker:) }
    waiting.report_on_exception = false
    theirs.close
    expect { waiting.value }.to raise_error(described_class::Gone)
  end

  it "is held by one film at a time, which says how far it is, while others are answered" do
    runner = Server::TaskRunner.new(aside, within: {film: 60}, patience: 0)
    woven, told = example_plan("door-2-woven"), Queue.new
    film = Thread.new { runner.call(:film, woven, {}, "webp") { told << _1 } }
    expect(told.pop).to match("done" => be_positive, "of" => be_between(100, 200))
    expect { runner.call(:film, woven, {}, "gif") }.to raise_error(described_class::Busy)
    expect(runner.call(:cut_sheet_pdf, small, "a4")).to start_with("%PDF")
    expect(film).to be_alive
    expect(film.value).to start_with("RIFF")
    expect(runner.call(:film, small, {}, "gif", "base.coil")).to start_with("GIF8")
  end

  it "says that it is busy when too many wait, and every one of the others has its turn" do
    outcomes = Array.new(8) { asking }.map { outcome(_1) }
    expect(outcomes.tally.keys).to contain_exactly(described_class::Busy, described_class::Overdue)
    expect(outcomes.count(described_class::Overdue)).to be >= 4
    expect(aside.call(:check, small, within: 20)).to be_nil
  end

  it "is a question too heavy, not an error, when a worker is ended from outside" do
    waiting = Thread.new { aside.call(:occasion, heavy, within: 60) }
    waiting.report_on_exception = false
    Thread.pass until aside.forker_number && (worker = children_of(aside.forker_number).first)
    Process.kill("KILL", worker)
    expect { waiting.value }.to raise_error(described_class::Overdue)
    aside.call(:check, small, within: 20)
    children_of(aside.forker_number).each { Process.kill("KILL", _1) }
    Thread.pass until children_of(aside.forker_number).empty?
    expect(aside.call(:check, small, within: 20)).to be_nil
  end

  it "is there again after the process that its workers come from was killed" do
    aside.call(:check, small, within: 20)
    Process.kill("KILL", aside.forker_number)
    expect { aside.call(:occasion, heavy, within: 0.2) }.to raise_error(described_class::Overdue)
    expect(aside.call(:check, small, within: 20)).to be_nil
  end
end

RSpec.describe "Heavy questions", :api, :store do
  it "are answered within their time, or in a sentence that says what made them heavy" do
    plans = Array.new(60) { |i|
      example_plan("door-21-star-arms").merge("name" => "Wreath #{i}", "quantity" => 400)
    }
    Server::App.set :answers, Server::TaskRunner.new(RealStore.aside, within: {occasion: 0.4})
    occasion = {"format" => "crisp-lantern/occasion", "version" => 1, "units" => "in", "plans" => plans}
    expect(ask(:post, "/ask/occasion", occasion)["problems"]).to match [
      {"at" => "plans", "says" => a_string_including("within 0.4 seconds", "60 wreaths on one occasion")}
    ]
    expect(status).to eq 422
  end

  it "say of a plan what is most beyond a common one" do
    says = ->(document) {
      Server::Weight.new(document).problem(2).then { [_1.at, _1.says[/heavy: (.*?)\. Nothing/, 1]] }
    }
    expect(says.call(plan("quantity" => 500))).to eq ["quantity", "500 wreaths alike"]
    expect(says.call(plan(:materials => [rope(on_hand: Array.new(400, 9))], "quantity" => 4)))
      .to eq ["materials", "400 lengths on hand"]
    expect(says.call(plan(form: {"base" => "wire", "shape" => "outline", "points" => Array.new(120) { [_1, _1] }})))
      .to eq ["form.points", "an outline of 120 corners"]
    expect(says.call(plan(form: {"base" => "wire", "shape" => "star", "face" => 0.25})))
      .to eq ["form.face", "a form whose face is 0.25"]
    expect(says.call("no plan")).to eq ["", "all of it together"]
  end
end

RSpec.describe Lantern::Cut do
  # Seconds in which a slow machine answers what has a limit of its own; what has none takes minutes.
  def soon(&) = Timeout.timeout(Patience.seconds(20), &)

  it "works every number of the wreath that once took for ever", :aggregate_failures do
    soon do
      wreath = example_plan("door-21-star-arms")
      worked = Lantern.work(wreath.merge("quantity" => 40))
      tape = worked["materials"].find { _1["id"] == "tape" }
      expect(tape["short"]).to eq 0
      expect(BigDecimal(tape["bound"] || tape["cost_to_buy"])).to be <= BigDecimal(tape["cost_to_buy"])
      expect(JSON.generate(Lantern.work(wreath.merge("quantity" => 40)))).to eq JSON.generate(worked)
    end
  end

  def piece(length, count, width: nil) =
    Lantern::Cut::Demand::Piece.new(layer: "one", what: "strips", length: length.to_r, width: width&.to_r, count:)

  def demand(*pieces) =
    Lantern::Cut::Demand.new(pieces:, runs: [], join: 1, least: 0, spread: 0.0, allowance: 0.0)

  def material(kind, offers, on_hand = [])
    Lantern::Plan::Material.new(**Lantern::Plan::Material.members.to_h { [_1, nil] }, id: "m", kind:,
      offers: offers.map { |size, price| {sale_price: nil, **size, price: BigDecimal(price)} }, on_hand:)
  end

  def roll(length) = {length: length.to_r}

  it "ends with lengths that fit in more ways than can be listed, and with its bound" do
    long = Array.new(24) { |i| piece(55 + i * 7/8r, 3) }
    half = soon {
      described_class::Rolls.cut(material(:ribbon, {roll(100) => "3.20", roll(2400) => "60"}), demand(*long))
    }
    expect(half.short).to eq 0
    sixty = Array.new(60) { |i| piece(5 + i * 5/8r, 11) }
    many = soon {
      described_class::Rolls.cut(material(:ribbon, {roll(100) => "3.20", roll(240) => "6.10", roll(60) => "2.20"}),
        demand(*sixty))
    }
    price = many.bought.sum { |offer, count| many.material.offers[offer][:price] * count * 10_000 }
    expect(many.bound).to be_between(price * 0.9, price)
  end

  it "ends with cloth that holds a million strips, and with hundreds of tapering pieces" do
    cloth = material(:fabric, {{width: 60r, length: 3600r, end_width: nil} => "20"})
    cut = soon { described_class::Sheets.cut(cloth, demand(piece(1/8r, 50_000, width: 1/4r))) }
    expect([cut.short, cut.packages]).to eq [0, 1]
    tapering = Array.new(500) { |i| {width: 12 + i/100r, length: 20 + i/100r, end_width: 7r} }
    cut = soon {
      described_class::Sheets.cut(material(:fabric, {}, tapering), demand(piece(15/2r, 3000, width: 1r)))
    }
    expect(cut.bars.sum { |bar| bar.cuts.sum(&:count) }).to eq 3000
  end

  it "counts a million things" do
    blooms = material(:piece, {{count: 7} => "1.00", {count: 100} => "9.00"})
    cut = soon { described_class::Counts.cut(blooms, demand(piece(1, 1_000_003))) }
    # 10 000 packages of a hundred, and one of seven for the last three; common arithmetic.
    expect(cut.bought).to eq(1 => 10_000, 0 => 1)
  end
end

RSpec.describe "Much of something", :api, :store do
  it "is refused or read soon: unknown keys, and outlines of many corners" do
    Timeout.timeout(Patience.seconds(20)) do
      keys = (0...50_000).to_h { ["unkown#{_1}", 1] }
      expect(problems(plan.merge(keys)).size).to be >= 50_000
      circle = ->(corners) {
        Array.new(corners) { |i|
          angle = 2 * Math::PI * i / corners
          far = 200 + 20 * Math.sin(i * 1.7)
          format("%.2f,%.2f", 300 + far * Math.cos(angle), 300 + far * Math.sin(angle))
        }.join(" ")
      }
      svg = "<svg xmlns='http://www.w3.org/2000/svg'><polygon points='#{circle.call(48_000)}'/></svg>"
      outline = Server::Svg::Reader.read(svg).first
      expect(outline["points"].size).to be_between(60, Lantern::Form::Outline::MOST)
      expect(outline.values_at("width", "height")).to all be_within(2).of(440)
    end
  end

  it "finds where joined forms of a very narrow band cross" do
    hoops = [{"shape" => "ring", "outside" => 10, "x" => -3}, {"shape" => "ring", "outside" => 10, "x" => 3}]
      .map { _1.merge("inside" => 10 - 2 * 0.004) }
    form = {"base" => "foam", "shape" => "composite", "face" => 0.004, "parts" => hoops}
    worked = Timeout.timeout(Patience.seconds(20)) { work(form:) }
    # Two circles of radius 5 whose middles are 6 apart cross twice.
    expect(worked["form"]["findings"].find { _1["code"] == "tie_parts" }["says"]).to include("2 places")
  end
end
