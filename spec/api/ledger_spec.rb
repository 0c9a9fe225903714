# frozen_string_literal: true

require_relative "../support/api"

RSpec.describe "The ledger of the stash", :api, :store do
  let(:database) { RealStore.database }

  def stashed(material) = ask(:post, "/materials", {units: "in", material:})

  def on_hand(id) = ask(:get, "/materials/#{id}")["material"]["on_hand"]

  def ledger(id) = ask(:get, "/materials/#{id}/ledger")["entries"]

  def move(id, kind, piece, change) = ask(:post, "/materials/#{id}/ledger", {kind:, piece:, change:, units: "in"})

  def wreath(**more) = ask(:post, "/wreaths",
    {plan: plan(form: foam(12, 8), materials: [ribbon], layers: [layer("spiral_wrap", "tape")], **more)})

  def cut(wreath, sheet = nil) = ask(:post, "/wreaths/#{wreath["id"]}/cut",
    {version: wreath["version"], cut_sheet: sheet || ask(:post, "/work", wreath["plan"])["cut_sheet"]})

  it "is what is on hand, entry by entry, in any units" do
    tape = stashed(ribbon(on_hand: [44, "31 1/2 in", "80 cm"]))
    expect(on_hand(tape["id"])).to eq [44, 31.5, 31.4961]
    expect(ask(:get, "/materials?units=cm")["materials"][0]["material"]["on_hand"]).to eq [111.76, 80.01, 80]
    expect(ledger(tape["id"]).map { _1.values_at("kind", "change") }).to eq [["corrected", 1]] * 3
    move(tape["id"], "bought", "9 ft", 2)
    expect(on_hand(tape["id"])).to eq [44, 31.5, 31.4961, 108, 108]
    move(tape["id"], "thrown_away", 44, -1)
    expect(ledger(tape["id"]).first).to include("kind" => "thrown_away", "change" => -1, "size" => "44 in",
      "can_undo" => true)
    ask(:post, "/actions/#{ledger(tape["id"]).first["action"]}/undo", {})
    expect(on_hand(tape["id"])).to include 44
    ask(:post, "/actions/#{ledger(tape["id"])[1]["action"]}/undo", {})
    expect(status).to eq 409
  end

  it "takes in what was bought for a wreath, whole packages in one action, which is taken back as one" do
    tape = stashed(ribbon(on_hand: [44]))
    ring = wreath
    worked = ask(:post, "/work", ring["plan"])
    count = worked["materials"][0]["buy"].sum { _1["count"] }
    expect(count).to be_positive
    bought = ask(:post, "/wreaths/#{ring["id"]}/bought", {version: ring["version"]})
    expect(on_hand(tape["id"])).to eq [44, *[108] * count]
    expect(ledger(tape["id"]).first).to include("kind" => "bought", "change" => count, "wreath_name" => ring["name"])
    now = ask(:post, "/work", bought["plan"])
    expect(now["cost"]["to_buy"]).to eq "0.00"
    ask(:post, "/wreaths/#{ring["id"]}/bought", {version: bought["version"]})
    expect([status, on_hand(tape["id"]).size]).to eq [409, 1 + count]
    ask(:post, "/actions/#{bought["action"]}/undo", {})
    expect(on_hand(tape["id"])).to eq [44]
    # What was cut has had its material.
    done = cut(ask(:get, "/wreaths/#{ring["id"]}"))
    ask(:post, "/wreaths/#{ring["id"]}/bought", {version: done["version"]})
    expect(status).to eq 409
  end

  it "writes a change of the list as corrections, and nothing where nothing changed" do
    tape = stashed(ribbon(on_hand: [44, "80 cm"]))
    again = ask(:get, "/materials/#{tape["id"]}")
    ask(:put, "/materials/#{tape["id"]}", {version: again["version"], units: "in", material: again["material"]})
    expect(ledger(tape["id"]).size).to eq 2
    ask(:put, "/materials/#{tape["id"]}",
      {version: again["version"] + 1, units: "in", material: again["material"].merge("on_hand" => [44, 44])})
    expect(on_hand(tape["id"])).to eq [44, 44]
    expect(ledger(tape["id"]).first(2).map { _1["change"] }).to contain_exactly(1, -1)
  end

  it "counts what is counted, and keeps sheets by both their sides" do
    ties = stashed(stash[6].merge("on_hand" => [14]))
    expect(on_hand(ties["id"])).to eq [14]
    move(ties["id"], "bought", 50, 1)
    expect(on_hand(ties["id"])).to eq [64]
    sail = stashed(cloth("on_hand" => [{"width" => 18, "length" => 21}] * 2))
    expect(on_hand(sail["id"])).to eq [{"width" => 18, "length" => 21}] * 2
    move(sail["id"], "thrown_away", {"width" => 18, "length" => 21}, -1)
    expect(on_hand(sail["id"]).size).to eq 1
  end

  it "never goes below nothing" do
    tape = stashed(ribbon(on_hand: [44]))
    expect(move(tape["id"], "thrown_away", 30, -1)["problems"][0]["says"]).to match(/not as much on hand/)
    expect(status).to eq 409
    move(tape["id"], "thrown_away", 44, -2)
    expect(status).to eq 409
    expect(on_hand(tape["id"])).to eq [44]
  end

  it "takes what a wreath is cut from, keeps the remnants, and can be traced to it" do
    tape = stashed(ribbon(on_hand: [150, 20]))
    first = wreath
    done = cut(first)
    expect(done).to include("cut" => true)
    sheet = ask(:post, "/work", done["plan"])["cut_sheet"]
    expect(sheet).not_to be_empty
    entries = ledger(tape["id"])
    expect(entries.map { _1["wreath_name"] }.compact.uniq).to eq ["A wreath"]
    # Conservation: what was on hand and bought is what was cut and what is left.
    bars = sheet.flat_map { |bar| [bar] * bar["times"] }
    taken = bars.sum { |bar| bar["cuts"].sum { _1["length"] * _1["count"] } }
    scraps = bars.reject { _1["keep"] }.sum { _1["left"] }
    bought = bars.reject { _1["from"].start_with?("remnant") }.sum { _1["length"] }
    expect(on_hand(tape["id"]).sum).to be_within(1e-3).of(170 + bought - taken - scraps)
  end

  it "leaves a cut wreath's own numbers as they were, and others with what is left" do
    stashed(ribbon(on_hand: [300]))
    before, other = wreath, wreath(name: "Another")
    done = cut(before)
    expect(done["plan"]["materials"][0]["on_hand"]).to eq [300]
    expect(ask(:get, "/wreaths/#{other["id"]}")["plan"]["materials"][0]["on_hand"].sum).to be < 150
    expect(cut(done)["problems"][0]["says"]).to match(/done already/)
  end

  it "cuts a length kept in centimetres for a plan in inches" do
    cord = ask(:post, "/materials", {units: "cm",
      material: rope(diameter: 0.6, on_hand: [150, 87.3], offers: [{"length" => "6 m", "price" => "2.40"}])})
    made = ask(:post, "/wreaths",
      {plan: plan(materials: [rope(diameter: "6 mm")], layers: [layer("rope_coil", "rope")])})
    cut(made)
    expect(status).to eq 200
    expect(ledger(cord["id"]).select { _1["kind"] == "cut" }.map { _1["size"] }).to include("59.055 in", "34.37 in")
    expect(on_hand(cord["id"])).to all(be > 15)
  end

  it "takes a wrong cut back, and everything is as it was" do
    tape = stashed(ribbon(on_hand: [150, 20]))
    done = cut(wreath)
    back = ask(:post, "/wreaths/#{done["id"]}/uncut", {version: done["version"]})
    expect(back).to include("cut" => false)
    expect(on_hand(tape["id"]).sort).to eq [20, 150]
    ask(:post, "/wreaths/#{done["id"]}/uncut", {version: back["version"]})
    expect(status).to eq 409
    expect(ledger(tape["id"]).sum { _1["change"] }).to eq 2
  end

  it "does not take a cut back whose remnant went into something else" do
    tape = stashed(ribbon(on_hand: [400]))
    done = cut(wreath)
    remnant = on_hand(tape["id"]).first
    move(tape["id"], "thrown_away", remnant, -1)
    expect(status).to eq 200
    ask(:post, "/wreaths/#{done["id"]}/uncut", {version: done["version"]})
    expect(status).to eq 409
    expect(ask(:get, "/wreaths/#{done["id"]}")["cut"]).to be true
  end

  it "lets one of two cut the last roll, and tells the other" do
    tape = stashed(ribbon(on_hand: [220], offers: []))
    wreaths = [wreath, wreath(name: "Another")]
    sheets = wreaths.map { ask(:post, "/work", _1["plan"])["cut_sheet"] }
    expect(sheets.uniq.size).to eq 1
    outcomes = wreaths.zip(sheets).map { |each, sheet|
      Thread.new do
        RealStore.store.wreaths.cut(each["id"], each["version"], sheet)
        :cut
      rescue Server::Ledger::TooLittle
        :told
      end
    }.map(&:value)
    expect(outcomes).to contain_exactly(:cut, :told)
    expect(on_hand(tape["id"]).sum).to be_between(0, 30)
    loser = wreaths.find { ask(:get, "/wreaths/#{_1["id"]}")["cut"] == false }
    expect(cut(loser, sheets[0])["problems"][0]["says"]).to match(/The stash has changed/)
  end

  it "keeps the ticks of a cut sheet" do
    each = wreath
    expect(ask(:put, "/wreaths/#{each["id"]}/ticks", {place: "tape.1", done: true})["ticks"]).to eq ["tape.1"]
    ask(:put, "/wreaths/#{each["id"]}/ticks", {place: "tape.1", done: true})
    expect(ask(:put, "/wreaths/#{each["id"]}/ticks", {place: "tape.2", done: true})["ticks"])
      .to contain_exactly("tape.1", "tape.2")
    expect(ask(:put, "/wreaths/#{each["id"]}/ticks", {place: "tape.1", done: false})["ticks"]).to eq ["tape.2"]
  end

  # The sum of the entries is the stock, and nothing is ever below nothing, whoever did what when.
  it "adds up after a thousand operations from eight clients at once" do
    ids = [ribbon(on_hand: [44, 60, 60]), rope(on_hand: [120]), stash[6].merge("on_hand" => [30])]
      .map { stashed(_1)["id"] }
    ledger = RealStore.store.ledger
    counts = Array.new(8) do |client|
      Thread.new do
        random = Random.new(client)
        done = Hash.new(0)
        actions = []
        125.times do
          id = ids.sample(random:)
          length = (id == ids[2]) ? 0 : [44, 60, 120].sample(random:) * Server::Ledger::PER_INCH
          change = [-2, -1, 1, 1].sample(random:)
          if random.rand < 0.2 && actions.any?
            ledger.undo(actions.delete_at(random.rand(actions.size)))
          else
            actions << ledger.write("corrected", [{material_id: id, kind: "corrected", length:, change:}])
          end
          done[:written] += 1
        rescue Server::Ledger::TooLittle, Server::Ledger::Undone
          done[:refused] += 1
        end
        done
      end
    end.map(&:value)
    expect(counts.sum { _1[:written] + _1[:refused] }).to eq 1000
    expect(counts.sum { _1[:refused] }).to be > 0
    sums = database[:entries].group(:material_id, :length, :width).select(:material_id, :length,
      Sequel.function(:sum, :change).as(:total)).map(&:values)
    expect(sums.map { _3.to_i }).to all(be >= 0)
    stock = ledger.stock.values.flatten.to_h { [[_1.material_id, _1.length], _1.count] }
    expect(stock).to eq sums.to_h { |id, length, sum| [[id, length], sum.to_i] }.reject { |_, sum| sum.zero? }
    expect(database[:actions].count).to eq counts.sum { _1[:written] } + 3
  end

  # What was cut is out of the stash whole, or not at all, wherever the database was when it died.
  it "adds up after the database is killed in the middle of cutting", :killing do
    tape = stashed(ribbon(on_hand: [400] * 8, offers: []))
    # Nothing is kept as a remnant, so that the same sheet holds for all of them.
    wreaths = Array.new(8) { |i| wreath(name: "Wreath #{i}", smallest_remnant: 399) }
    sheet = ask(:post, "/work", wreaths[0]["plan"])["cut_sheet"]
    first = Queue.new
    cutting = Thread.new do
      wreaths.each do |each|
        RealStore.store.translating_errors { RealStore.store.wreaths.cut(each["id"], each["version"], sheet) }
        first << true
      rescue Server::DatabaseErrors::Away, Server::Ledger::TooLittle, Sequel::DatabaseError
        first << false
      end
    end
    3.times { first.pop }
    RealStore.server.kill
    cutting.join
    RealStore.server.start
    # The connections that died are let go of.
    database.disconnect
    kept = wreaths.map { ask(:get, "/wreaths/#{_1["id"]}") }
    done = kept.count { _1["cut"] }
    expect(done).to be_between(3, 8)
    entries = ledger(tape["id"]).select { _1["kind"] == "cut" }
    expect(entries.group_by { _1["wreath"] }.keys).to match_array(kept.select { _1["cut"] }.map { _1["id"] })
    expect(on_hand(tape["id"])).to eq [400] * (8 - done)
  end
end
