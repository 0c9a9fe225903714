# frozen_string_literal: true

require "pdf-reader"
require_relative "../support/api"
require_relative "../support/pictures"

RSpec.describe "The bench", :api, :store do
  let(:wreath) { ask(:post, "/wreaths", {plan: example_plan("door-7-rope-ring")}) }

  def event(kind, step, amount = 1, name: SecureRandom.uuid) = {event: name, kind:, step:, amount:}

  def send_events(*events) = ask(:post, "/wreaths/#{wreath["id"]}/bench", {events:})

  def coils(count) = Array.new(count) { event("count", "base.coil") }

  it "counts what happened once, however often it is sent" do
    events = coils(3) + [event("count", "base.coil", -1), event("go", "base.coil", 0), event("time", "base.coil", 90)]
    expect(send_events(*events)["counts"]).to eq("base.coil" => 2)
    expect(send_events(*events, *events.first(2))).to include("counts" => {"base.coil" => 2}, "place" => "base.coil",
      "seconds" => {"base.coil" => 90})
    expect(send_events(event("go", "base.fill", 0))["place"]).to eq "base.fill"
    expect(send_events(event("count", "base.fill", -5))["counts"]["base.fill"]).to eq 0
  end

  it "lets two devices count on one wreath, and both agree" do
    names = Array.new(2) { Array.new(40) { SecureRandom.uuid } }
    id = wreath["id"]
    names.map { |own|
      Thread.new {
        own.each_slice(7) { |some|
          2.times {
            RealStore.store.bench.take(id,
              some.map { |name| {"event" => name, "step" => "base.coil", "kind" => "count", "amount" => 1} })
          }
        }
      }
    }.each(&:join)
    expect(ask(:get, "/wreaths/#{id}/bench")["counts"]).to eq("base.coil" => 80)
  end

  it "refuses what is no event" do
    send_events(event("jump", "base.coil"))
    expect(status).to eq 400
    ask(:post, "/wreaths/999999/bench", {events: []})
    expect(status).to eq 404
  end

  it "has filled in the short form from the counts, and puts the make into the notebook" do
    send_events(*coils(88), event("time", "base.coil", 1800))
    form = ask(:get, "/wreaths/#{wreath["id"]}/finish")["materials"][0]
    # Eighty-eight coils where eighty were planned: a tenth more cord.
    expect(Lantern::Measure::Length.read(form["used"], units: "in").to_f).to be_within(2).of(form["planned"] * 1.1)
    photo = picture(width: 50, height: 20)
    make = ask(:post, "/wreaths/#{wreath["id"]}/finish", {used: {rope: "62 ft"}, note: "Lay them closer.", photo:})
    expect(make).to include("minutes" => 30, "note" => "Lay them closer.", "photo" => true,
      "wreath_name" => "Door 7, rope ring")
    expect(make["steps"])
      .to match [include("title" => /Coil the cord/, "took" => 30.0, "planned" => be_between(15, 20))]
    expect(make["lines"][0]).to include("method" => "rope_coil", "material" => "rope", "used" => 744.0,
      "used_says" => "62 ft")
    header "Host", "localhost"
    get "/api/makes/#{make["id"]}/photo"
    expect([last_response.content_type, seen(last_response.body).size]).to eq ["image/jpeg", [50, 20]]
    # The next one begins at nought.
    expect(ask(:get, "/wreaths/#{wreath["id"]}/bench")).to include("counts" => {}, "finished" => 1)
    expect(ask(:get, "/wreaths/#{wreath["id"]}")["made"]).to eq 1
  end

  it "refuses a length that is none and a photo that is none, and ends nothing" do
    expect(ask(:post, "/wreaths/#{wreath["id"]}/finish", {used: {rope: "some"}})["problems"][0]["at"]).to eq "used.rope"
    ["data:text/html;base64,PHNjcmlwdD4=", "data:image/png;base64,PHNjcmlwdD4=", "data:image/png;base64,%%%",
      "http://elsewhere/x.png"].each do |photo|
      expect(ask(:post, "/wreaths/#{wreath["id"]}/finish", {used: {}, photo:})["problems"][0]["at"]).to eq "photo"
    end
    expect(ask(:get, "/notebook")["makes"]).to eq []
  end

  # Five makes with 8 in 100 more against a prior worth three makes: (3 x 1 + 5 x 1.08) / 8 = 1.05.
  it "teaches the next plan after five makes with 8 in 100 more rope, and says why" do
    plain = ask(:post, "/work", wreath["plan"])
    planned = plain["materials"][0]["needed"]
    5.times { ask(:post, "/wreaths/#{wreath["id"]}/finish", {used: {rope: (planned * 1.08).round(4)}}) }
    learned = ask(:get, "/notebook")["learned"]
    expect(learned).to match [include("method" => "rope_coil", "material" => "rope", "makes" => 5,
      "ratios" => all(be_within(0.001).of(1.08)))]
    expect(learned[0]["factor"]).to be_within(0.0005).of(1.05)
    taken = ask(:post, "/work",
      wreath["plan"].merge("learned" => learned.map { _1.slice("method", "material", "factor", "spread", "makes") }))
    expect(taken["materials"][0]["needed"]).to be_within(planned * 1.05 * 0.01).of(planned * 1.05)
    expect(taken["layers"][0]["working"].last["says"]).to match(/Your last 5 took about 5 % more/)
    # What it was taken up with does not count twice: the sixth make is held against the sum alone.
    ask(:put, "/wreaths/#{wreath["id"]}", {version: wreath["version"],
      plan: wreath["plan"]
        .merge("learned" => learned.map { _1.slice("method", "material", "factor", "spread", "makes") })})
    ask(:post, "/wreaths/#{wreath["id"]}/finish", {used: {rope: (planned * 1.08).round(4)}})
    expect(ask(:get, "/notebook")["learned"][0]["ratios"].last).to be_within(0.001).of(1.08)
  end

  it "takes what was used beyond the cut sheet from the longest remnant, and brings back what was not" do
    tape = ask(:post, "/materials", {units: "in", material: ribbon(on_hand: [400])})
    made = ask(:post, "/wreaths",
      {plan: plan(form: foam(12, 8), materials: [ribbon], layers: [layer("spiral_wrap", "tape")], quantity: 2)})
    cut = ->(wreath) {
      ask(:post, "/wreaths/#{wreath["id"]}/cut",
        {version: wreath["version"], cut_sheet: ask(:post, "/work", wreath["plan"])["cut_sheet"]})
    }
    cut.call(made)
    hand = -> { ask(:get, "/materials/#{tape["id"]}")["material"]["on_hand"] }
    before = hand.call
    planned = ask(:get, "/wreaths/#{made["id"]}/finish")["materials"][0]["planned"]
    ask(:post, "/wreaths/#{made["id"]}/finish", {used: {tape: planned + 12}})
    expect(hand.call.sum).to be_within(1e-2).of(before.sum - 12)
    ask(:post, "/wreaths/#{made["id"]}/finish", {used: {tape: planned - 20}})
    expect(hand.call.sum).to be_within(1e-2).of(before.sum + 8)
    expect(ask(:get, "/materials/#{tape["id"]}/ledger")["entries"].first).to include("wreath_name" => "A wreath",
      "kind" => "returned")
    # Both are finished: a third gives nothing back.
    expect(ask(:post, "/wreaths/#{made["id"]}/finish", {used: {tape: 0}})["problems"][0]["at"]).to eq "count"
    expect(status).to eq 409
    expect(ask(:get, "/wreaths/#{made["id"]}/finish")).to include("finished" => 2, "most" => 0)
    # And the cut taken back leaves what was there before it.
    ask(:post, "/wreaths/#{made["id"]}/uncut", {version: ask(:get, "/wreaths/#{made["id"]}")["version"]})
    expect(hand.call).to eq [400]
  end
end

# Every straight stroke of a page, in points.
class Strokes
  attr_reader :lines

  def initialize = @lines = []

  def begin_new_subpath(x, y) = @at = [x, y]

  def append_line(x, y)
    @lines << [*@at, x, y]
    @at = [x, y]
  end
end

RSpec.describe "Templates at their true size", :api, :store do
  def strokes(page) = Strokes.new.tap { page.walk(_1) }.lines

  def pdf(wreath, part, paper)
    header "Host", "localhost"
    get "/api/wreaths/#{wreath["id"]}/template.pdf?part=#{part}&paper=#{paper}"
    PDF::Reader.new(StringIO.new(last_response.body))
  end

  let(:wreath) { ask(:post, "/wreaths", {plan: plan}) }

  # ISO 216: A4 is 210 x 297 mm. ANSI/ASME Y14.1: Letter is 8 1/2 x 11 in. A point is 1/72 in.
  it "is printed over pages of the paper's own size, each with a bar that measures what it says" do
    {"a4" => [210 / 25.4 * 72, 297 / 25.4 * 72], "letter" => [612, 792]}.each do |paper, size|
      reader = pdf(wreath, "outline", paper)
      # A 14 in ring takes two pages across and two down on either.
      expect(reader.page_count).to eq 4
      reader.pages.each do |page|
        expect(page.attributes[:MediaBox].last(2)).to match(size.map { be_within(0.1).of(_1) })
        expect(page.text).to match(/This bar must measure 4 in/).and match(/Outline, page [AB][12] of B2/)
        bar = strokes(page).select { |x1, y1, x2, y2| y1 == y2 && y1 == 36 + 14 }
        expect(bar.map { |x1, _, x2, _| (x2 - x1).abs / 72 }).to include(be_within(0.001).of(4))
      end
    end
  end

  it "is true: the outline measures across all pages what the form does, and pages overlap by a centimetre" do
    reader = pdf(wreath, "outline", "a4")
    outlines = reader.pages.map { |page|
      strokes(page)
        .select { |line|
        Math.hypot(line[2] - line[0], line[3] - line[1]) > 1 && line[0] != line[2] &&
          line[1] != line[3]
      }
    }
    xs = outlines[0].flat_map { |x1, _, x2, _| [x1, x2] }
    expect((xs.max - xs.min) / 72).to be_within(0.005).of(14)
    shift = outlines[0][0][0] - outlines[1][0][0]
    expect((595.28 - 72 - shift) / 72 * 25.4).to be_within(0.2).of(10)
    expect(outlines[0].map { |line| line[0] - shift }.zip(outlines[1].map(&:first)))
      .to all(satisfy { |a, b| (a - b).abs < 0.01 })
  end

  it "says a metric bar to whoever measures in centimetres" do
    metric = ask(:post, "/wreaths", {plan: plan.merge("units" => "cm",
      "form" => {"base" => "wire", "shape" => "ring", "outside" => 20, "inside" => 12})})
    page = pdf(metric, "back", "a4").pages[0]
    expect(page.text).to match(/This bar must measure 100 mm/)
    expect(strokes(page).select { |_, y1, _, y2| y1 == y2 && y1 == 50 }
      .map { |x1, _, x2, _| ((x2 - x1).abs / 72 * 25.4).round(2) }).to include 100.0
  end

  it "is an SVG of the same size, and refuses what would take a forest" do
    header "Host", "localhost"
    get "/api/wreaths/#{wreath["id"]}/template.svg?part=back"
    expect(last_response.body).to match(/width="342.9\d*mm" height="342.9\d*mm"/)
    expect(ask(:get, "/wreaths/#{wreath["id"]}/templates")["templates"].map { _1["name"] }).to eq %w[outline back mesh]
    huge = ask(:post, "/wreaths", {plan: plan(form: foam(300, 280))})
    get "/api/wreaths/#{huge["id"]}/template.pdf?part=outline"
    expect(JSON.parse(last_response.body)["problems"][0]["says"]).to match(/takes \d+ pages/)
    get "/api/wreaths/#{wreath["id"]}/template.pdf?part=sofa"
    expect(last_response.status).to eq 404
  end
end
