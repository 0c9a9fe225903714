# frozen_string_literal: true

require "csv"
require "open3"
require "pdf-reader"
require_relative "../support/api"
require_relative "../../server/demo"
require_relative "../../server/storage/atomic_file"

RSpec.describe "Occasions", :api, :store do
  let(:walk) { {day: "2027-06-21", evenings: %w[tuesday thursday], hours: 2, budget: "60.00"} }

  def wreath(count, name: "#{count} bows") =
    ask(:post, "/wreaths", {plan: plan(name:, materials: [ribbon], layers: [layer("row_of", "tape", count:)])})

  def occasion(*wreaths, **said)
    made = ask(:post, "/occasions", {name: "The walk", units: "in", occasion: walk.merge(said)})
    wreaths.any? ? ask(:put, "/occasions/#{made["id"]}/wreaths", {wreaths: wreaths.map { _1["id"] }}) : made
  end

  def fetch(path)
    header "Host", "localhost"
    get "/api#{path}"
    last_response
  end

  it "keeps its wreaths, and works them as one from the stash" do
    ask(:post, "/materials", {units: "in", material: ribbon(on_hand: [108])})
    wreaths = [wreath(9), wreath(9)]
    kept = occasion(*wreaths)
    expect(kept["wreaths"]).to eq wreaths.map { _1["id"] }
    worked = ask(:get, "/occasions/#{kept["id"]}/worked")
    expect(worked["materials"][0]["buy"].sum { _1["count"] }).to eq 2
    expect(worked["budget"]["kept"]).to be true
    expect(ask(:get, "/wreaths/#{wreaths[0]["id"]}")["occasion"]).to eq kept["id"]
    expect(ask(:put, "/occasions/#{kept["id"]}/wreaths", {wreaths: [wreaths[1]["id"]]})["wreaths"])
      .to eq [wreaths[1]["id"]]
  end

  it "takes one wreath more or less, whatever else was ticked meanwhile on another device" do
    there, more, deleted = Array.new(3) { wreath(9) }.map { _1["id"] }
    id = occasion["id"]
    tick = ->(wreath, hangs) { ask(:put, "/occasions/#{id}/wreaths", {wreath:, hangs:}) }
    expect([there, more].map { tick.call(_1, true)["wreaths"] }).to eq [[there], [there, more]]
    # Once more is the same.
    expect(tick.call(more, true)["wreaths"]).to eq [there, more]
    expect(tick.call(there, false)["wreaths"]).to eq [more]
    # What hangs on another occasion is not taken off that by one on which it does not hang.
    other = occasion({"id" => there})["id"]
    tick.call(there, false)
    expect(ask(:get, "/occasions/#{other}")["wreaths"]).to eq [there]
    ask(:delete, "/wreaths/#{deleted}?version=1")
    expect(tick.call(deleted, true)["wreaths"]).to eq [more]
    expect(ask(:put, "/occasions/#{id}/wreaths", {wreath: there})["problems"].size).to be_positive
    expect(ask(:get, "/occasions/#{id}")["wreaths"]).to eq [more]
  end

  it "comes to nothing while nothing hangs on it" do
    id = ask(:post, "/occasions", {name: "Later", units: "in", occasion: {}})["id"]
    expect(ask(:get, "/occasions/#{id}/worked")["cost"]).to include("to_buy" => "0.00", "per_wreath" => "0.00")
  end

  it "refuses a day that is none, and lets nobody save over another" do
    made = occasion
    expect(ask(:put, "/occasions/#{made["id"]}",
      {version: 1, name: "Walk", units: "in", occasion: {day: "soon"}})["problems"][0]).to include("at" => "day")
    ask(:put, "/occasions/#{made["id"]}", {version: 1, name: "Walk", units: "in", occasion: walk})
    expect(status).to eq 200
    expect(ask(:put, "/occasions/#{made["id"]}",
      {version: 1, name: "Other", units: "in", occasion: walk})["current"]["name"]).to eq "Walk"
    ask(:delete, "/occasions/#{made["id"]}?version=2")
    expect(status).to eq 200
  end

  it "lets its wreaths go when it is deleted, and keeps them" do
    one = wreath(3)
    made = occasion(one)
    ask(:delete, "/occasions/#{made["id"]}?version=1")
    expect(ask(:get, "/wreaths/#{one["id"]}")["occasion"]).to be_nil
  end

  # RFC 5545, read by a program of other people's: ical.js.
  it "goes into a calendar that another program reads" do
    made = occasion(wreath(20), name: "x")
    text = fetch("/occasions/#{made["id"]}/days.ics").body
    expect(last_response.content_type).to start_with "text/calendar"
    script = <<~JS
      const ICAL = require("./web/node_modules/ical.js")
      const c = ICAL.default ?? ICAL
      let text = ""
      const said = (v) => {
        const e = new c.Event(v)
        return [e.summary, e.startDate.toString(), e.endDate.toString(), e.uid]
      }
      process.stdin.on("data", (d) => (text += d)).on("end", () => {
        const calendar = new c.Component(c.parse(text))
        console.log(JSON.stringify(calendar.getAllSubcomponents("vevent").map(said)))
      })
    JS
    out, err, = Open3.capture3("node", "-e", script, stdin_data: text, chdir: File.expand_path("../..", __dir__))
    expect(err).to eq ""
    events = JSON.parse(out)
    dates = ask(:get, "/occasions/#{made["id"]}/worked")["dates"]
    expect(events.to_h { [_1[0], _1[1]] }).to include("The walk" => "2027-06-21", "Buy for The walk" => dates["buy_by"],
      "The walk: everything made" => dates["make_by"], "Bench: The walk" => dates["evenings"].last["day"])
    expect(events.map(&:last).uniq.size).to eq events.size
    expect(events).to all(satisfy { Date.iso8601(_1[2]) == Date.iso8601(_1[1]) + 1 })
    expect(text).to eq fetch("/occasions/#{made["id"]}/days.ics").body
    # A line of a calendar is no longer than 75 bytes.
    expect(text.split("\r\n").map(&:bytesize).max).to be <= 75
    ask(:put, "/occasions/#{made["id"]}", {version: 1, name: "Walk", units: "in", occasion: {}})
    expect(JSON.parse(fetch("/occasions/#{made["id"]}/days.ics").body)["problems"][0]["at"]).to eq "day"
  end

  it "is one occasion of the whole street: buy list, cut sheet, money and days, on screen and on paper, in time for " \
    "one breath" do
    RealStore.load_demo
    id = ask(:get, "/occasions")["occasions"][0]["id"]
    started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    worked = ask(:get, "/occasions/#{id}/worked")
    took = Process.clock_gettime(Process::CLOCK_MONOTONIC) - started
    expect(worked["quantity"]).to eq 30
    expect(worked["saving"]["worse"]).to be false
    expect(BigDecimal(worked["saving"]["saved"])).to be_positive
    expect(worked["dates"]["evenings"].sum { _1["minutes"] }).to be_within(worked["dates"]["evenings"].size)
      .of(worked["minutes"])
    expect(worked["materials"].sum { BigDecimal(_1["cost_to_buy"]) }).to eq BigDecimal(worked["cost"]["to_buy"])
    pdf = PDF::Reader.new(StringIO.new(fetch("/occasions/#{id}/sheet.pdf?paper=a4").body))
    text = pdf.pages.map(&:text).join("\n")
    expect(text).to match(/Lantern walk/).and match(/To buy/).and match(/Labels for the bundles/).and match(/They hang/)
    rows = CSV.parse(fetch("/occasions/#{id}/sheet.csv").body, headers: true)
    expect(rows.map { _1["cut"] }).to include("fillers (Door 7, rope ring)")
    warn "30 wreaths as one occasion: #{took.round(2)} s" if took > 5
  end

  it "shows a shop that says it is simulated, with sale weeks that come round" do
    shop = ask(:get, "/shop")
    expect(shop).to include("simulated" => true, "says" => /simulated/)
    calendar = Server::Shop.new
    days = (0...28).map { Date.new(2027, 3, 1) + _1 }
    expect(days.count { calendar.to_h(_1)["on_sale"] }).to eq 14
    days.each do |day|
      next_sale = Date.iso8601(calendar.sale(day)["sale"])
      expect(calendar.to_h(next_sale)["on_sale"]).to be true
      expect((next_sale - day).to_i).to be_between(-6, 13)
    end
  end
end

RSpec.describe Server::AtomicFile do
  it "leaves the old file as it was when the new one cannot be written whole" do
    Dir.mktmpdir do |directory|
      path = File.join(directory, "sheet.csv")
      File.write(path, "the old one")
      # No more than four kilobytes fit, as on a full disk.
      script = "Signal.trap('XFSZ', 'IGNORE'); Process.setrlimit(:FSIZE, 4096); require " \
        "'#{File.expand_path("../../server/storage/atomic_file", __dir__)}'; begin; " \
        "Server::AtomicFile.write(ARGV[0], 'x' * 10_000); rescue SystemCallError => e; puts e.class; exit 3; end"
      out, = Open3.capture2e("ruby", "-e", script, path)
      expect(out).to match(/Errno::E(FBIG|NOSPC)/)
      expect(Dir.children(directory)).to eq ["sheet.csv"]
      expect(File.read(path)).to eq "the old one"
      described_class.write(path, "the new one")
      expect(File.read(path)).to eq "the new one"
    end
  end
end

RSpec.describe "An occasion cut as one", :api, :store do
  def wreath(count) = ask(:post, "/wreaths",
    {plan: plan(name: "#{count} bows", materials: [ribbon], layers: [layer("row_of", "tape", count:)])})

  let!(:tape) { ask(:post, "/materials", {units: "in", material: ribbon(on_hand: [150])}) }
  let(:wreaths) { [wreath(7), wreath(5)] }
  let(:walk) {
    ask(:post, "/occasions", {name: "The walk", units: "in", occasion: {}})
      .then { |made| ask(:put, "/occasions/#{made["id"]}/wreaths", {wreaths: wreaths.map { _1["id"] }}) }
  }

  def sheet = ask(:get, "/occasions/#{walk["id"]}/worked")["cut_sheet"]

  def on_hand = ask(:get, "/materials/#{tape["id"]}")["material"]["on_hand"]

  it "takes the material of all out of the stash, and puts it back" do
    cut = ask(:post, "/occasions/#{walk["id"]}/cut", {cut_sheet: sheet})
    expect(cut["cut"]).to be true
    # Twelve pieces of 18 in: eight from the 150 in, four from a roll of 108 in. Six and thirty-six inches remain.
    expect(on_hand.sort).to eq [6, 36]
    expect(wreaths.map { ask(:get, "/wreaths/#{_1["id"]}")["cut"] }).to eq [true, true]
    expect(sheet).to eq(cut && sheet)
    one = ask(:get, "/wreaths/#{wreaths[0]["id"]}")
    expect(ask(:post, "/wreaths/#{one["id"]}/uncut", {version: one["version"]})["problems"][0]["says"])
      .to match(/together with the other wreaths/)
    ask(:post, "/occasions/#{walk["id"]}/cut", {cut_sheet: sheet})
    expect(status).to eq 409
    expect(ask(:post, "/occasions/#{walk["id"]}/uncut", {})["cut"]).to be false
    expect(on_hand).to eq [150]
    expect(ask(:get, "/wreaths/#{one["id"]}")["cut"]).to be false
  end

  it "is taken back with any of its wreaths when the occasion itself is gone" do
    ask(:post, "/occasions/#{walk["id"]}/cut", {cut_sheet: sheet})
    ask(:delete, "/occasions/#{walk["id"]}?version=1")
    expect(status).to eq 200
    one = ask(:get, "/wreaths/#{wreaths[0]["id"]}")
    expect(ask(:post, "/wreaths/#{one["id"]}/uncut", {version: one["version"]})["cut"]).to be false
    expect(ask(:get, "/wreaths/#{wreaths[1]["id"]}")["cut"]).to be false
    expect(on_hand).to eq [150]
  end

  it "takes nothing when the stash has changed, and leaves out what was cut already" do
    before = sheet
    ask(:post, "/materials/#{tape["id"]}/ledger", {kind: "thrown_away", piece: 150, change: -1, units: "in"})
    expect(ask(:post, "/occasions/#{walk["id"]}/cut", {cut_sheet: before})["problems"][0]["says"])
      .to match(/stash has changed/)
    one = ask(:get, "/wreaths/#{wreaths[0]["id"]}")
    ask(:post, "/wreaths/#{one["id"]}/cut",
      {version: one["version"], cut_sheet: ask(:post, "/work", one["plan"])["cut_sheet"]})
    expect(ask(:get, "/occasions/#{walk["id"]}")["already_cut"]).to eq 1
    expect(ask(:get, "/occasions/#{walk["id"]}/worked")["quantity"]).to eq 1
  end

  it "says when there is nothing to cut" do
    empty = ask(:post, "/occasions", {name: "Nothing yet", units: "in", occasion: {}})
    expect(ask(:post, "/occasions/#{empty["id"]}/cut", {cut_sheet: []})["problems"][0]["says"])
      .to match(/nothing to cut/)
  end

  it "keeps the ticks of its sheet" do
    expect(ask(:put, "/occasions/#{walk["id"]}/ticks", {place: "tape.1", done: true})["ticks"]).to eq ["tape.1"]
    expect(ask(:put, "/occasions/#{walk["id"]}/ticks", {place: "tape.1", done: false})["ticks"]).to eq []
  end

  it "makes two lengths of a roll that holds a join" do
    expect(ask(:post, "/materials/#{tape["id"]}/splice", {piece: 150, at: "5 ft", units: "in"})["material"]["on_hand"])
      .to eq [60, 90]
    expect(ask(:post, "/materials/#{tape["id"]}/splice", {piece: 60, at: 60, units: "in"})["problems"][0]["at"])
      .to eq "at"
    ask(:post, "/materials/#{tape["id"]}/splice", {piece: 44, at: 10, units: "in"})
    expect(status).to eq 409
    expect(on_hand).to eq [60, 90]
  end
end
