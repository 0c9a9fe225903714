# frozen_string_literal: true

require "yaml"
require_relative "../support/devices"

# Workshops: what belongs to whom, and who may do what with it.
RSpec.describe "A workshop", :api, :store do
  include Devices

  # Every route, and who may ask it.
  let(:contract) do
    YAML.load_file(Server::App::CONTRACT)["paths"].flat_map { |path, verbs|
      verbs.except("parameters").map { |verb, about| [verb.to_sym, path, about["x-who"] || "maker"] }
    }
  end

  # Somebody whom a maker lets in.
  def let_in(by, login, **invited)
    token = on(by, :post, "/workshop/invitations", {role: "helper", **invited})["link"].split("/").last
    device.tap { |browser|
      on(browser, :post, "/invitations/#{token}", {login:, password:})
      expect([login, code(browser)]).to eq [login, 200]
    }
  end

  def wreath(browser, name = "Door 7") = on(browser, :post, "/wreaths", {plan: plan("name" => name)})

  # Every address of the contract, with numbers and names that are there in the first maker's workshop.
  def addresses(there)
    contract.map { |verb, path, who|
      shelf = path[%r{\A/\w+}]
      [verb, path.gsub(/\{(\w+)\}/) { |name| there[shelf + name[1..-2]] || there.fetch(name[1..-2], "1") }, who]
    }
  end

  it "is asked of every route: a stranger, and a helper who may not change it" do
    first = maker
    helper = let_in(first, "Linnet")
    expect(on(helper, :get, "/account")["workshop"]).to include("role" => "helper")
    expect(contract.size).to be > 90
    counts = -> { RealStore::TABLES.to_h { |table| [table, RealStore.database[table].count] } }
    wreath(first)
    before = counts.call
    stranger = device
    addresses({}).each do |verb, path, who|
      body = %i[post put].include?(verb) ? {} : nil
      on(stranger, verb, path, body)
      expect([verb, path, code(stranger)]).to eq [verb, path, 401] unless who == "stranger"
      next unless who == "maker"
      on(helper, verb, path, body)
      expect([verb, path, code(helper)]).to eq [verb, path, 403]
    end
    expect(counts.call).to eq before
  end

  it "lets a helper count and tick, and shows what is made, and changes no plan for them" do
    first = maker
    made = wreath(first)
    helper = let_in(first, "Linnet")
    events = [{event: "count-one-by-linnet", step: "cut", kind: "count", amount: 3}]
    expect(on(helper, :post, "/wreaths/#{made["id"]}/bench", {events:})["counts"]).to eq("cut" => 3)
    expect(on(first, :get, "/wreaths/#{made["id"]}/bench")["counts"]).to eq("cut" => 3)
    on(helper, :put, "/wreaths/#{made["id"]}/ticks", {place: "a", done: true})
    expect(code(helper)).to eq 200
    expect(on(helper, :get, "/wreaths")["wreaths"].map { _1["name"] }).to eq ["Door 7"]
    on(helper, :post, "/work", made["plan"])
    expect(code(helper)).to be_between(200, 422)
    says = on(helper, :put, "/wreaths/#{made["id"]}", {version: 1, plan: made["plan"].merge("name" => "Mine")})
    expect([code(helper), says["problems"][0]["says"]]).to match [403, /A helper counts/]
    expect(on(first, :get, "/wreaths/#{made["id"]}")).to include("name" => "Door 7", "version" => 1)
    %w[/archive.jsonl /backups /bin].each { |path|
      on(helper, :get, path)
      expect([path, code(helper)]).to eq [path, 403]
    }
  end

  # A maker's workshop with something in every table, and the numbers and names of what is there.
  def full_workshop(first)
    RealStore.load_demo
    shown = ->(path, list) { on(first, :get, path)[list] }
    made = shown.call("/wreaths", "wreaths").find { _1["made"].positive? }
    picture = "a" * 64
    RealStore.own[:pictures].insert(id: picture, type: "image/png", width: 1, height: 1, bytes: Sequel.blob("x"))
    RealStore.store.uploads.keep("a-photo-of-mine", 0, "part")
    RealStore.own[:forms].insert(name: "Own", units: "in", document: "{}")
    RealStore.own[:places].insert(name: "Own door", document: JSON.generate(units: "in", wide: 36))
    binned = wreath(first, "Gone")
    on(first, :delete, "/wreaths/#{binned["id"]}?version=1")
    {"/wreathsid" => made["id"], "/materialsid" => shown.call("/materials", "materials")[0]["id"],
     "/occasionsid" => shown.call("/occasions", "occasions")[0]["id"],
     "/formsid" => shown.call("/forms", "forms")[0]["id"],
     "/binid" => binned["id"], "/makesid" => shown.call("/notebook", "makes")[0]["id"], "/picturespicture" => picture,
     "/actionsid" => RealStore.own[:actions].max(:id),
     "/uploadsupload" => "a-photo-of-mine", "/backupsname" => RealStore.store.backups.make("daily", Time.now - 3600),
     "device" => "0" * 16, "token" => "t" * 40}.transform_values(&:to_s)
  end

  it "gives nothing of its own to another workshop's maker, whatever is asked, and is changed by nothing they do" do
    first = maker
    other = let_in(first, "Teasel", own: true)
    there = full_workshop(first)
    kept = RealStore.archive.lines[1..-2]
    # What everybody is told of forms on the shelf is no secret.
    told = JSON.generate(on(other, :get, "/declarations"))
    secrets = %i[wreaths materials].flat_map { RealStore.own[_1].select_map(:name) }.reject { told.include?(_1) }
    expect(secrets.size).to be > 30
    # Every address as the contract has it, and what it answers to who owns nothing of it.
    addresses(there).each do |verb, path, who|
      next if who == "stranger" || path.start_with?("/account", "/workshop", "/example")
      on(other, verb, "#{path}?version=1&part=form&place=1", body_for(verb, path))
      expect([verb, path, other.last_response.status]).not_to match [verb, path, 500]
      text = other.last_response.body.dup.force_encoding("UTF-8").scrub
      found = secrets.select { text.include?(_1) }
      expect([verb, path, found]).to eq [verb, path, []]
      # An action that is not there counts as taken back.
      gone = path.start_with?("/actions") ? 409 : 404
      # What is sent in parts has the name that its sender gave it, in each workshop.
      next if path.start_with?("/uploads")
      expect([verb, path, code(other)]).to eq [verb, path, gone] if path.match?(%r{/\d+|/a{64}|/daily})
    end
    expect(on(other, :get, "/uploads/a-photo-of-mine")["parts"]).to eq []
    # Tables that are written whoever asks (an answer once given) are no part of an archive.
    expect(RealStore.archive.lines[1..-2]).to eq kept
    on(other, :post, "/example", {})
    expect(code(other)).to eq 201
    expect(RealStore.archive.lines[1..-2]).to eq kept
  end

  # What would change something, were it theirs.
  def body_for(verb, path)
    return unless %i[post put].include?(verb)
    case path
    when %r{/ticks$} then {place: "x", done: true}
    when %r{/bench$} then {events: [{event: "an-event-of-theirs", step: "cut", kind: "count", amount: 5}]}
    when %r{/put-away$} then {put_away: true}
    when %r{/bought$} then {version: 1}
    when %r{/cut$|/uncut$} then {version: 1, cut_sheet: []}
    when %r{/late$} then {take: true}
    when %r{/finish$} then {used: {}}
    when %r{/splice$} then {piece: "10 ft", at: "3 ft", units: "in"}
    when %r{^/materials/\d+$} then {version: 1, units: "in", material: rope}
    when %r{/instead$} then {version: 1, instead: {a: "b"}}
    when %r{/place$} then {place: 1}
    when %r{/swap-doors$} then {with: 1}
    when %r{^/places/\d+$} then {version: 1, name: "Theirs", place: {units: "in", wide: 36}}
    when %r{^/occasions/\d+$} then {version: 1, name: "Theirs", units: "in", occasion: {}}
    when %r{^/wreaths/\d+$} then {version: 1, plan: plan("name" => "Taken over")}
    when %r{^/materials/\d+/ledger$} then {kind: "bought", piece: "10 ft", change: 2, units: "in"}
    when %r{^/occasions/\d+/wreaths$} then {wreaths: [1, 2, 3]}
    else {}
    end
  end

  it "keeps its rows to itself, also where two have the same number" do
    first = maker
    other = let_in(first, "Teasel", own: true)
    RealStore.load_demo
    first.get "/api/archive.jsonl"
    archive = first.last_response.body
    other.header("Content-Type", "application/x-ndjson")
    other.post "/api/archive.jsonl", archive
    expect(code(other)).to eq 200
    # The same wreaths under the same numbers, in two workshops.
    mine, theirs = [first, other].map { |each| on(each, :get, "/wreaths")["wreaths"] }
    expect(theirs.map { _1["id"] }).to eq mine.map { _1["id"] }
    id = mine[0]["id"]
    on(other, :put, "/wreaths/#{id}", {version: mine[0]["version"], plan: mine[0]["plan"].merge("name" => "Theirs")})
    expect(on(first, :get, "/wreaths/#{id}")["name"]).to eq mine[0]["name"]
    expect(on(other, :get, "/wreaths/#{id}")["name"]).to eq "Theirs"
    events = [{event: "the-same-name-of-an-event", step: "cut", kind: "count", amount: 2}]
    [first, other].each { |each| on(each, :post, "/wreaths/#{id}/bench", {events:}) }
    expect([first, other].map { |each| on(each, :get, "/wreaths/#{id}/bench")["counts"]["cut"] }).to eq [2, 2]
    rope = on(first, :get, "/materials")["materials"].find { _1["material"]["id"] == "rope" }
    ledger = ->(each) { on(each, :get, "/materials/#{rope["id"]}/ledger")["entries"].size }
    before = [first, other].map(&ledger)
    on(other, :post, "/materials/#{rope["id"]}/ledger", {kind: "bought", piece: "10 ft", change: 1, units: "in"})
    expect([first, other].map(&ledger)).to eq [before[0], before[1] + 1]
  end

  it "is gone for good when it is deleted, and nothing of another is; its name and one's password are asked for" do
    first = maker
    other = let_in(first, "Teasel", own: true)
    [first, other].each { |each| wreath(each) }
    on(other, :put, "/workshop", {name: "Teasel’s loft"})
    id = on(other, :get, "/workshop")["id"]
    {"name" => {name: "Loft", password:}, "password" => {name: "Teasel’s loft", password: "no such word"}}
      .each { |at, said|
        problem = on(other, :post, "/workshop/delete", said)["problems"][0]
        expect(problem).to include("at" => at, "says" => /Nothing was deleted/)
      }
    expect(on(other, :get, "/wreaths")["wreaths"].size).to eq 1
    on(other, :post, "/workshop/delete", {name: "Teasel’s loft", password:})
    expect(code(other)).to eq 200
    left = (RealStore::TABLES - [:requests]).sum { |table| RealStore.database[table].where(workshop_id: id).count }
    expect([left, RealStore.database[:workshops].select_map(:id)]).to eq [0, [1]]
    expect(on(first, :get, "/wreaths")["wreaths"].size).to eq 1
    on(other, :get, "/wreaths")
    expect(code(other)).to eq 403
    on(other, :post, "/workshops", {name: "Another loft"})
    expect(on(other, :get, "/wreaths")["wreaths"]).to eq []
  end

  it "is gone to on one device, and a screen of the other one is told before it changes anything" do
    first = maker
    here = on(first, :get, "/account")["workshop"]["id"]
    wreath(first)
    on(first, :post, "/workshops", {name: "Guild table"})
    expect(on(first, :get, "/workshops")["workshops"].map { _1.values_at("name", "here") })
      .to eq [["Workshop of Wick", false], ["Guild table", true]]
    first.header("Lantern-Workshop", here.to_s)
    says = wreath(first, "For the other one")
    expect([code(first), says["problems"][0]["says"]]).to match [409, /gone to another workshop/]
    expect(first.last_response.headers["lantern-workshop"].to_i).not_to eq here
    on(first, :put, "/workshops/here", {id: here})
    expect(on(first, :get, "/wreaths")["wreaths"].map { _1["name"] }).to eq ["Door 7"]
    on(first, :put, "/workshops/here", {id: here + 100})
    expect(code(first)).to eq 404
  end

  it "is founded once, however often it is asked for under one name" do
    first = maker
    first.header("Idempotency-Key", "found-it-once")
    2.times { on(first, :post, "/workshops", {name: "Guild table"}) }
    first.header("Idempotency-Key", nil)
    expect(on(first, :get, "/workshops")["workshops"].map { _1["name"] }).to eq ["Workshop of Wick", "Guild table"]
  end

  it "always has a maker, and lets its people go at once" do
    first = maker
    helper = let_in(first, "Linnet")
    people = on(first, :get, "/workshop")["people"]
    expect(people.map { _1.values_at("name", "role", "you") })
      .to eq [["Linnet", "helper", false], ["Wick", "maker", true]]
    linnet, wick = people.map { _1["id"] }
    [[:post, "/workshop/leave", {}], [:put, "/workshop/people/#{wick}", {role: "helper"}],
      [:delete, "/workshop/people/#{wick}", nil]].each do |verb, path, body|
      expect(on(first, verb, path, body)["problems"][0]["says"]).to match(/Somebody has to be maker here/)
    end
    on(first, :put, "/workshop/people/#{linnet}", {role: "maker"})
    wreath(helper)
    expect(code(helper)).to eq 201
    on(first, :delete, "/workshop/people/#{linnet}")
    on(helper, :get, "/wreaths")
    expect(code(helper)).to eq 403
  end

  it "is not left with nobody by an account that is closed" do
    first = maker
    other = let_in(first, "Teasel", own: true)
    says = on(other, :post, "/account/close", {password:})["problems"][0]["says"]
    expect([code(other), says]).to match [422, /only maker of Workshop of Teasel/]
    expect(on(other, :get, "/account")["login"]).to eq "Teasel"
    # The first workshop too, as long as anybody else has an account.
    on(first, :post, "/account/close", {password:})
    expect(code(first)).to eq 422
    on(other, :post, "/workshop/delete", {name: "Workshop of Teasel", password:})
    on(other, :post, "/account/close", {password:})
    expect(code(other)).to eq 200
    on(first, :post, "/account/close", {password:})
    expect([code(first), RealStore.database[:accounts].count]).to eq [200, 0]
  end

  it "lets in by a link once and for a week, who has an account already too, and is kept as a digest" do
    first = maker
    other = let_in(first, "Teasel", own: true)
    token = on(first, :post, "/workshop/invitations", {role: "helper"})["link"].split("/").last
    expect(RealStore.database[:invitations].select_map(:digest).join).not_to include token
    expect(on(device, :get, "/invitations/#{token}")).to eq("workshop" => "Workshop of Wick", "role" => "helper")
    on(other, :post, "/invitations/#{token}", {})
    expect(on(other, :get, "/workshops")["workshops"].map { _1.values_at("name", "role", "here") })
      .to eq [["Workshop of Wick", "helper", true], ["Workshop of Teasel", "maker", false]]
    late = device
    on(late, :post, "/invitations/#{token}", {login: "Late", password:})
    expect(code(late)).to eq 422
    expect(RealStore.database[:accounts].where(login: "Late").count).to eq 0
    token = on(first, :post, "/workshop/invitations", {role: "maker"})["link"].split("/").last
    RealStore.database[:invitations].update(until: Sequel.lit("UTC_TIMESTAMP() - INTERVAL 1 SECOND"))
    on(late, :post, "/invitations/#{token}", {login: "Late", password:})
    expect(code(late)).to eq 422
  end

  it "is not come back into by a link that was still open when somebody was let go" do
    first = maker
    second = let_in(first, "Linnet", role: "maker")
    token = on(second, :post, "/workshop/invitations", {role: "maker"})["link"].split("/").last
    linnet = on(first, :get, "/workshop")["people"].find { _1["name"] == "Linnet" }["id"]
    on(first, :delete, "/workshop/people/#{linnet}")
    says = on(second, :post, "/invitations/#{token}", {})["problems"][0]["says"]
    expect([code(second), says]).to match [422, /ask for another one/]
    on(second, :get, "/wreaths")
    expect(code(second)).to eq 403
  end

  it "lets nobody guess at a password where one is asked for, in a workshop either" do
    first = maker
    # One it was already: the first account.
    tried_before("to come in or say a password, by address:127.0.0.1", Server::Auth::TRIES[:limit] - 1,
      Server::Auth::TRIES[:period])
    codes = Array.new(2) { |i|
      on(first, :post, "/workshop/delete", {name: "Workshop of Wick", password: "guess number #{i}"})
      code(first)
    }
    expect(codes.last).to eq 429
    expect(codes.first).to eq 422
  end

  it "has room again for what was deleted, until the bin is as full" do
    store = RealStore.store.of(1, most: {wreaths: 2})
    add = -> { store.wreaths.add(plan("name" => "Wreath")) }
    2.times { add.call }
    2.times do
      store.wreaths.all.first.then { store.wreaths.delete(_1["id"], _1["version"]) }
      add.call
    end
    store.wreaths.all.first.then { store.wreaths.delete(_1["id"], _1["version"]) }
    expect { add.call }.to raise_error(Server::TenantDataset::Holds, /4 wreaths, with those that were deleted lately/)
  end

  it "holds so much and no more, and what it holds stays" do
    store = RealStore.store.of(1, most: {wreaths: 2, materials: 1})
    2.times { |i| store.wreaths.add(plan("name" => "Wreath #{i}")) }
    expect { store.wreaths.add(plan("name" => "One more")) }
      .to raise_error(Server::TenantDataset::Holds, /holds 2 wreaths/)
    store.materials.add(ribbon, "in")
    expect { store.materials.add(rope, "in") }.to raise_error(Server::TenantDataset::Holds, /1 materials/)
    expect(store.wreaths.all.size).to eq 2
    # Another has its own room.
    RealStore.database[:workshops].insert(id: 7, name: "Another")
    RealStore.store.of(7, most: {wreaths: 2}).wreaths.add(plan("name" => "Theirs"))
    expect(store.wreaths.all.size).to eq 2
  end
end

RSpec.describe Server::TenantDataset, :store do
  let(:rows) { described_class.new(RealStore.database, 1)[:wreaths] }

  it "adds the workshop to every statement, and refuses what would let others' rows in" do
    expect(rows.where(id: 3).sql).to eq "SELECT * FROM `wreaths` WHERE ((`wreaths`.`workshop_id` = 1) AND (`id` = 3))"
    expect(rows.insert_sql(name: "A")).to eq "INSERT INTO `wreaths` (`name`, `workshop_id`) VALUES ('A', 1)"
    expect(rows.where(id: 3).update_sql(name: "B"))
      .to eq "UPDATE `wreaths` SET `name` = 'B' WHERE ((`wreaths`.`workshop_id` = 1) AND (`id` = 3))"
    expect(rows.multi_insert_sql(%i[name], [["A"]])).to be_an Array
    expect(rows.join(:ticks, wreath_id: :id).sql).to include "`ticks`.`workshop_id` = `wreaths`.`workshop_id`"
    [-> { rows.or(id: 3) }, -> { rows.unfiltered }, -> { rows.invert }, -> { rows.insert("A", "B") }]
      .each { |asked| expect(&asked).to raise_error(ArgumentError) }
  end

  it "is kept by the database too: a row names rows of its own workshop alone" do
    RealStore.database[:workshops].insert(id: 7, name: "Another")
    id = rows.insert(name: "Mine", plan: "{}")
    theirs = described_class.new(RealStore.database, 7)
    expect { theirs[:ticks].insert(wreath_id: id, place: "x") }.to raise_error(Sequel::ForeignKeyConstraintViolation)
    expect { RealStore.database[:wreaths].insert(name: "Nobody's", plan: "{}") }
      .to raise_error(Sequel::DatabaseError, /workshop_id/)
  end
end
