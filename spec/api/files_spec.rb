# frozen_string_literal: true

require "csv"
require "pdf-reader"
require_relative "../support/api"

RSpec.describe "Files in and out", :api, :store do
  def fetch(path)
    header "Host", "localhost"
    get "/api#{path}"
    last_response
  end

  def take_in(csv, dry: false, units: "in") = ask(:post, "/stash.csv", {csv:, units:, dry:})

  def stash_now = ask(:get, "/materials")["materials"].map { _1["material"] }

  it "prints the cut sheet on A4 and on Letter: every length with its cuts, what to buy, and the cautions" do
    wreath = ask(:post, "/wreaths", {plan: example_plan("door-7-rope-ring")})
    # ISO 216 and ANSI/ASME Y14.1: 210 x 297 mm, 8 1/2 x 11 in.
    {"a4" => [210 / 25.4 * 72, 297 / 25.4 * 72], "letter" => [612, 792]}.each do |paper, size|
      pdf = PDF::Reader.new(StringIO.new(fetch("/wreaths/#{wreath["id"]}/cut-sheet.pdf?paper=#{paper}").body))
      expect(last_response.content_type).to eq "application/pdf"
      page = pdf.pages.first
      expect(page.attributes[:MediaBox].last(2)).to match(size.map { be_within(0.1).of(_1) })
      expect(page.text).to match(/Door 7, rope ring/).and match(/Packages 2 to 5, 10 ft each, all alike/)
        .and match(/10\.50/).and match(/Glue is hot/).and match(/Have ready: scissors,.*glue gun/m)
      expect(page.text).to include "31\u2009¹⁄₂ in"
    end
    expect(fetch("/wreaths/#{wreath["id"]}/cut-sheet.pdf").body).to eq fetch("/wreaths/#{wreath["id"]}/cut-sheet.pdf")
      .body
  end

  it "prints names as they are, and many lengths over many pages" do
    tape = ribbon(name: "Ma̧rigold <b>“τape”</b>", offers: [{"length" => 20, "price" => "1.00"}])
    wreath = ask(:post, "/wreaths",
      {plan: plan(materials: [tape], layers: [layer("knotted_strips", "tape", spare: 1)], quantity: 6)})
    many = ask(:post, "/wreaths", {plan: plan(name: "Odd ones", materials: [ribbon(on_hand: (1..60).map { 20 + _1 })],
      layers: [layer("knotted_strips", "tape")], quantity: 3)})
    expect(PDF::Reader.new(StringIO.new(fetch("/wreaths/#{wreath["id"]}/cut-sheet.pdf").body)).pages.first.text)
      .to include "τape"
    expect(PDF::Reader.new(StringIO.new(fetch("/wreaths/#{many["id"]}/cut-sheet.pdf").body)).page_count).to be > 1
  end

  it "writes the cut sheet as rows that add up to what is opened" do
    wreath = ask(:post, "/wreaths", {plan: example_plan("door-7-rope-ring")})
    rows = CSV.parse(fetch("/wreaths/#{wreath["id"]}/cut-sheet.csv").body, headers: true)
    rows.group_by { _1.values_at("from", "length") }.each_value do |bar|
      used = bar.sum { _1["count"].to_i * _1["cut_length"].to_f }
      expect(used + bar[0]["left"].to_f).to be_within(1e-3).of(bar[0]["length"].to_f)
    end
    fillers = rows.select { _1["cut"] == "fillers" }.sum { _1["count"].to_i * _1["times"].to_i }
    expect(fillers).to eq 13
  end

  it "says lengths of cloth as the maker's tape does, to a mark, on both sheets" do
    wreath = ask(:post, "/wreaths", {plan: example_plan("door-11-knotted-check")})
    rows = CSV.parse(fetch("/wreaths/#{wreath["id"]}/cut-sheet.csv").body, headers: true)
    sheets = rows.select { _1["material"] == "Check cotton" }
    expect(sheets.map { _1.values_at("width", "length", "cut_width", "cut_length") })
      .to include(%w[18 21 1 12.125], %w[44 36 1 12.125])
    printed = PDF::Reader.new(StringIO.new(fetch("/wreaths/#{wreath["id"]}/cut-sheet.pdf").body)).pages.map(&:text).join
    expect(printed).not_to match(/\d\.\d{3}/)
    expect(printed).to include "Check cotton"
    expect(printed).not_to match(/\b1 (strips|rings)\b/)
  end

  it "lose nothing that was found by practising, when they come in again" do
    tried = [{"method" => "rope_coil", "test_piece" => {"turns" => 10, "took" => "80 in"}, "on" => "2026-12-01"}]
    ask(:post, "/materials", {units: "in", material: rope(id: "yarn", tried:)})
    text = fetch("/stash.csv").body
    expect(take_in(text)).to include("same" => be_positive, "changed" => 0)
    expect(take_in(text.sub("1.75", "1.80"))).to include("changed" => 1)
    kept = ask(:get, "/materials")["materials"].find { _1["material"]["id"] == "yarn" }["material"]
    expect(kept["tried"]).to eq tried
  end

  it "keeps a tie's sort and an offer's shop through CSV, and takes in a file without them" do
    ties = {"id" => "ties", "kind" => "tie", "sort" => "cable", "name" => "Ties",
            "offers" => [{"count" => 50, "price" => "2.20", "shop" => "The corner"}]}
    ask(:post, "/materials", {units: "in", material: ties})
    text = fetch("/stash.csv").body
    RealStore.empty
    take_in(text)
    expect(ask(:get, "/materials")["materials"][0]["material"]).to include(ties)
    older = CSV.parse(text, headers: true).by_col!.delete_if { |head, _| %w[sort shop].include?(head) }
    RealStore.empty
    take_in(older.to_csv)
    expect(ask(:get, "/materials")["materials"][0]["material"]["offers"]).to eq [{"count" => 50, "price" => "2.20"}]
  end

  it "keeps what was cut out of its photo through CSV, and refuses an outline that is none" do
    fox = {"id" => "fox", "kind" => "piece", "name" => "Felt fox", "picture" => "a" * 64, "picture_width" => 4,
           "cut_out" => {"outline" => [[0, 0], [1000, 20], [480, 1300]], "high" => 1300}}
    ask(:post, "/materials", {units: "in", material: fox})
    text = fetch("/stash.csv").body
    RealStore.empty
    take_in(text)
    expect(stash_now[0]["cut_out"]).to eq fox["cut_out"]
    expect(take_in(text.sub(/"\{.*\}"/, "a fox"))["problems"][0]["says"]).to match(/Line 2: cut_out: .*“a fox”/)
    short = text.sub("[[0,0],[1000,20],[480,1300]]", "[[0,0],[1000,20]]")
    expect(take_in(short)["problems"][0]["says"]).to match(/Its outline must hold at least 3/)
  end

  it "defuses what a spreadsheet would take for a formula, and takes it in again as it was" do
    ask(:post, "/materials",
      {units: "in", material: rope(name: "=HYPERLINK(\"http://evil\")", notes: "@cmd", on_hand: [44])})
    text = fetch("/stash.csv").body
    expect(CSV.parse(text, headers: true)[0].values_at("name", "notes")).to eq ["'=HYPERLINK(\"http://evil\")", "'@cmd"]
    RealStore.empty
    take_in(text)
    expect(stash_now[0].slice("name", "notes", "on_hand")).to eq("name" => "=HYPERLINK(\"http://evil\")",
      "notes" => "@cmd", "on_hand" => [44])
  end

  it "brings the whole stash out and in again, the same" do
    all = stash.map { |each|
      each.merge("on_hand" => {"fabric" => [{"width" => 18, "length" => 21, "end_width" => 9}],
                               "tie" => [14], "piece" => [7], "coat" => [2]}.fetch(each["kind"], [44, 31.5]))
    }
    all.each { ask(:post, "/materials", {units: "in", material: _1}) }
    before = all.map { |each| Lantern::Plan::Material.check(each, units: "in") }.sort_by(&:id)
    text = fetch("/stash.csv?units=cm").body
    RealStore.empty
    expect(take_in(text, units: "cm")).to eq("added" => all.size, "changed" => 0, "same" => 0)
    after = ask(:get, "/materials?units=in")["materials"]
      .map { Lantern::Plan::Material.check(_1["material"], units: "in") }.sort_by(&:id)
    expect(after.map { [_1.id, _1.kind, _1.name, _1.offers.map { |offer| offer[:price] }] })
      .to eq(before.map { [_1.id, _1.kind, _1.name, _1.offers.map { |offer| offer[:price] }] })
    after.zip(before).each { |a, b|
      expect(a.on_hand.flat_map { _1.is_a?(Hash) ? _1.values.compact : _1 }.map(&:to_f))
        .to match(b.on_hand.flat_map { _1.is_a?(Hash) ? _1.values.compact : _1 }.map { be_within(1e-4).of(_1) })
    }
  end

  it "only says what it would do, when asked to try" do
    text = "row,id,kind,name,diameter,length,price\nmaterial,cord,rope,Cord,1/4,,\noffer,cord,,,,10 " \
      "ft,1.75\npiece,cord,,,,44,\n"
    expect(take_in(text, dry: true)).to eq("added" => 1, "changed" => 0, "same" => 0)
    expect(stash_now).to eq []
    expect(take_in(text)["added"]).to eq 1
    expect(stash_now[0]).to include("id" => "cord", "on_hand" => [44],
      "offers" => [{"length" => "10 ft", "price" => "1.75"}])
    expect(take_in(text.sub("44", "60"))).to eq("added" => 0, "changed" => 1, "same" => 0)
    expect(stash_now[0]["on_hand"]).to eq [60]
  end

  it "takes in what it wrote, and nothing has changed" do
    materials = Lantern.declarations["materials"].map { _1["kind"] }
    plans = Dir[File.expand_path("../../docs/examples/*.json", __dir__)].map { JSON.parse(File.read(_1)) }
    all = plans.flat_map { _1["materials"] }.uniq { _1["id"] }
    expect(all.map { _1["kind"] }.uniq.size).to be > materials.size / 2
    all.each { |material| ask(:post, "/materials", {units: "in", material:}) }
    %w[in cm].each do |units|
      text = fetch("/stash.csv?units=#{units}").body
      expect(take_in(text, units:)).to eq("added" => 0, "changed" => 0, "same" => all.size)
    end
  end

  # As office programs of other countries write the same: semicolons or tabs, decimal commas, empty columns at the end,
  # columns in another order.
  it "takes in what a spreadsheet wrote" do
    rows = [%w[name id row kind diameter length price], ["Cord", "cord", "material", "rope", "0,25", "", ""],
      ["", "cord", "offer", "", "", "120", "1,75"], ["", "cord", "piece", "", "", "31,5 in", ""]]
    [";", "\t"].each do |separator|
      text = rows.map { [*_1, "", ""].join(separator) }.join("\r\n")
      expect(take_in(text).values_at("added", "same")).to eq((separator == ";") ? [1, 0] : [0, 1])
    end
    expect(stash_now[0]).to include("name" => "Cord", "diameter" => "0.25", "on_hand" => [31.5],
      "offers" => [{"length" => "120", "price" => "1.75"}])
  end

  it "names every bad line, and takes in nothing" do
    text = <<~CSV
      row,id,kind,name,diameter,length,price
      material,cord,rope,Cord,1/4,,

      offer,cord,,,,ten,1.75
      material,cord,rope,Cord,1/4,,
      swatch,cord,,,,,
      offer,tape,,,,10,1
      material,tape,ribbon,Tape,,,
    CSV
    problems = take_in(text)["problems"]
    expect(status).to eq 422
    expect(problems.map { _1["at"] }).to include("line 2", "line 4", "line 5", "line 6", "line 7")
    expect(problems.map { _1["says"] }).to include(match(/Line 2: offers.0.length: .*“ten” is none/),
      match(/Line 4: The material “cord” stands in this file twice/), match(/Line 5: “row” must be/),
      match(/Line 6: There is no material “tape” above/))
    expect(stash_now).to eq []
  end

  it "refuses what is no such file, in a sentence" do
    expect(take_in("row,id,\"kind\nmaterial")["problems"][0]["says"]).to match(/not CSV that can be read/)
    expect(take_in("id,name\n1,2")["problems"][0]["says"]).to match(/must name the columns/)
    expect(take_in("row,id,flavour\n")["problems"][0]["says"]).to match(/“flavour” is not known/)
    expect(take_in("row,id\nmaterial,\uFFFD")["problems"][0]["says"]).to match(/UTF-8/)
    expect(take_in("\uFEFFrow,id,kind,name,diameter\r\nmaterial,a,rope,A,1\r\n")["added"]).to eq 1
  end

  it "reads a hundred thousand lines, and names a bad one at the end" do
    good = "row,id,kind,name,diameter,length\nmaterial,cord,rope,Cord,1/4,\n"
    text = good + "piece,cord,,,,44\n" * 400 + "\n" * 99_000 + "piece,rope,,,,44\n"
    expect(take_in(text)["problems"]).to match [include("says" => /There is no material “rope” above/)]
    expect(take_in(text.lines[0..-2].join)["added"]).to eq 1
  end
end
