# frozen_string_literal: true

require_relative "../support/api"
require_relative "../../server/export/carried"
require_relative "../support/pictures"

RSpec.describe "A change that is sent twice", :api, :store do
  def counts = (RealStore::TABLES - [:requests]).to_h { [_1, RealStore.database[_1].count] }

  # Every route that changes something, and what it is asked; each in a stash and with wreaths of its own.
  def changes
    rope_id = ask(:post, "/materials",
      {units: "in", material: rope(on_hand: [120, 120, 120, 120, 120, 120, 120])})["id"]
    entry = ask(:post, "/materials/#{rope_id}/ledger", {kind: "bought", piece: "10 ft", change: 2, units: "in"})
    bought = ask(:get, "/materials/#{rope_id}/ledger?units=in")["entries"].first["action"]
    wreaths = Array.new(4) { |i|
      # The first asks for more than is on hand.
      quantity = i.zero? ? 3 : 1
      ask(:post, "/wreaths",
        {plan: plan(name: "Ring #{i}", quantity:, materials: [rope], layers: [layer("rope_coil", "rope")])})
    }
    walk = ask(:post, "/occasions", {name: "Walk", units: "in", occasion: {}})
    gone = [ask(:post, "/wreaths", {plan:}), ask(:post, "/occasions", {name: "Past", units: "in", occasion: {}}),
      ask(:post, "/materials", {units: "in", material: ribbon})]
    %w[wreaths occasions materials].zip(gone) { |shelf, row| ask(:delete, "/#{shelf}/#{row["id"]}?version=1") }
    ask(:put, "/occasions/#{walk["id"]}/wreaths", {wreaths: [wreaths[3]["id"]]})
    sheet = ->(row) { ask(:post, "/work", ask(:get, "/wreaths/#{row["id"]}")["plan"])["cut_sheet"] }
    cut = ask(:post, "/wreaths/#{wreaths[1]["id"]}/cut", {version: 1, cut_sheet: sheet.call(wreaths[1])})
    expect(entry["material"]["on_hand"]).not_to be_empty
    RealStore.store.uploads.keep("a-wreath-of-mine", 0, Server::Export::Carried.into_svg("<svg><defs>", plan))
    RealStore.store.uploads.keep("a-photo-of-mine", 0, picture(width: 9).split(",").last.unpack1("m"))
    {
      "/wreaths" => {plan: plan(name: "New")},
      "/materials" => {units: "in", material: cloth},
      "/forms" => {name: "Mine", units: "in", form: {base: "wire", shape: "ring", outside: 9, inside: 5}},
      "/places" => {name: "Our door", place: {units: "in", wide: 36}},
      "/occasions" => {name: "Market", units: "in", occasion: {}},
      "/materials/#{rope_id}/ledger" => {kind: "bought", piece: "10 ft", change: 1, units: "in"},
      "/materials/#{rope_id}/splice" => {piece: 120, at: 50, units: "in"},
      "/wreaths/#{wreaths[0]["id"]}/bench" =>
        {events: [{event: "one-event-1", step: "base.coil", kind: "count", amount: 3}]},
      "/wreaths/#{wreaths[0]["id"]}/finish" => {used: {}, note: "Once"},
      "/wreaths/#{wreaths[0]["id"]}/bought" => {version: 1},
      "/wreaths/#{cut["id"]}/uncut" => {version: cut["version"]},
      "/wreaths/#{wreaths[2]["id"]}/cut" => -> { {version: 1, cut_sheet: sheet.call(wreaths[2])} },
      "/occasions/#{walk["id"]}/cut" =>
        -> { {cut_sheet: ask(:get, "/occasions/#{walk["id"]}/worked")["cut_sheet"]} },
      "/occasions/#{walk["id"]}/uncut" => {},
      "/actions/#{bought}/undo" => {},
      "/shop/prices" => {}, "/pictures" => {picture: picture},
      "/wreaths/linked" => {link: "http://localhost/#plan=#{Server::Export::Carried.packed(plan)}"},
      "/uploads/a-photo-of-mine/picture" => {parts: 1}, "/uploads/a-wreath-of-mine/wreath" => {parts: 1},
      "/stash.csv" => -> { {csv: stash_csv.sub("Hemp cord", "Jute cord"), units: "in", dry: false} },
      "/bin/wreaths/#{gone[0]["id"]}" => {}, "/bin/occasions/#{gone[1]["id"]}" => {},
      "/bin/materials/#{gone[2]["id"]}" => {},
      # Last: it brings materials of its own, of which some are in the bin until then.
      "/example" => {}
    }
  end

  def stash_csv
    get "/api/stash.csv?units=in"
    last_response.body
  end

  it "happens once, and is answered alike both times", :aggregate_failures do
    asked = changes
    asked.each_with_index do |(path, body), number|
      body = body.call if body.respond_to?(:call)
      first = ask(:post, path, body, as: "change-number-#{number}")
      expect([path, status]).to eq([path, 200]).or eq([path, 201])
      after, code = counts, status
      again = ask(:post, path, body, as: "change-number-#{number}")
      expect([path, status, again]).to eq [path, code, first]
      expect([path, counts]).to eq [path, after]
    end
    routes = YAML.load_file(Server::App::CONTRACT)["paths"].select { |_, verbs| verbs.key?("post") }.keys
    questions = ["/work", *routes.grep(%r{\A/ask/})]
    # Everything as one file, and backups, replace everything, and do the same however often.
    rest = %w[/archive.jsonl /backups /backups/{name}/bring-back /uploads/{upload}/archive]
    # Who comes in and goes out has its own once (and spec/api/workshops_spec.rb).
    account = routes.grep(%r{\A/(?:account|invitations|workshops?)(?:/|\z)})
    named = asked.keys.map { _1.gsub(/\d+/, "{id}").sub(%r{a-\w+-of-mine}, "{upload}") }
    expect(named).to match_array(routes - questions - rest - account)
  end

  it "happens again under another name, and is refused for another thing under the same" do
    2.times { |i| ask(:post, "/wreaths", {plan:}, as: "wreath-#{i}-abc") }
    expect(ask(:get, "/wreaths")["wreaths"].size).to eq 2
    ask(:post, "/occasions", {name: "Walk", units: "in", occasion: {}}, as: "wreath-1-abc")
    expect(status).to eq 409
    ask(:post, "/wreaths", {plan:}, as: "no")
    expect(status).to eq 422
  end

  it "leaves nothing of one that was refused, so that it can be sent again when it is right" do
    ask(:post, "/materials", {units: "in", material: rope(diameter: -1)}, as: "mended-later")
    expect(status).to eq 422
    ask(:post, "/materials", {units: "in", material: rope}, as: "mended-later")
    expect(status).to eq 201
  end

  it "happens once when both come at the same moment" do
    id = ask(:post, "/wreaths", {plan: plan(materials: [rope], layers: [layer("rope_coil", "rope")])})["id"]
    answers = Array.new(4) {
      Thread.new {
        Rack::MockRequest.new(app).post("/api/wreaths/#{id}/finish", :input => "{\"used\":{}}",
          "CONTENT_TYPE" => "application/json", "HTTP_HOST" => "localhost", "HTTP_IDEMPOTENCY_KEY" => "finish-at-once")
      }
    }.map(&:value)
    expect(answers.map(&:status).uniq).to eq [201]
    expect(answers.map(&:body).uniq.size).to eq 1
    expect(RealStore.database[:makes].count).to eq 1
  end

  it "is forgotten after a day" do
    ask(:post, "/wreaths", {plan:}, as: "yesterday-1")
    RealStore.database[:requests].update(at: Time.now.utc - 90_000)
    RealStore.store.tidy
    expect(RealStore.database[:requests].count).to eq 0
  end
end

RSpec.describe "Changes at the same moment", :api, :store do
  # Two things done side by side, so often.
  def race(times, one, other)
    times.times do |i|
      before = yield i
      [Thread.new { one.call(*before) }, Thread.new { other.call(*before) }].each(&:join)
      sums = RealStore.database[:entries].group(:material_id, :length, :width, :end_width)
        .select(:material_id, :length, :width, :end_width, Sequel.function(:sum, :change).as(:count)).all
      lots = RealStore.database[:lots].select(:material_id, :length, :width, :end_width, :count).all
      whole = ->(rows) { rows.map { _1.merge(count: _1[:count].to_i) }.reject { |row| row[:count].zero? } }
      expect(whole.call(lots)).to match_array whole.call(sums)
      expect(lots.map { _1[:count] }).to all be >= 0
    end
  end

  def send_to(verb, path, body)
    Rack::MockRequest.new(app).request(verb, "/api#{path}", :input => JSON.generate(body),
      "CONTENT_TYPE" => "application/json", "HTTP_HOST" => "localhost")
  end

  def coiled(name) = plan(name:, materials: [rope], layers: [layer("rope_coil", "rope")])

  def prepared(i)
    RealStore.empty
    id = ask(:post, "/materials", {units: "in", material: rope(on_hand: Array.new(8, 120))})["id"]
    wreath = ask(:post, "/wreaths", {plan: coiled("Ring #{i}")})
    sheet = ask(:post, "/work", ask(:get, "/wreaths/#{wreath["id"]}")["plan"])["cut_sheet"]
    [id, wreath, sheet]
  end

  it "never take a lot below nothing: a wreath cut while a CSV is taken in" do
    answers = []
    cut = ->(_, wreath, sheet) {
      answers << send_to("POST", "/wreaths/#{wreath["id"]}/cut", {version: 1, cut_sheet: sheet}).status
    }
    take_in = ->(*) { answers << send_to("POST", "/stash.csv", {csv: @csv, units: "in", dry: false}).status }
    race(6, cut, take_in) do |i|
      prepared(i).tap do
        get "/api/stash.csv?units=in"
        @csv = last_response.body.sub("Hemp cord", "Hemp cord #{i}")
      end
    end
    expect(answers).to all satisfy { [200, 409].include?(_1) }
  end

  it "never take a lot below nothing: a material saved while another is finished" do
    answers = []
    save = ->(id, *) {
      answers << send_to("PUT", "/materials/#{id}", {version: 1, units: "in", material: rope(on_hand: [60])}).status
    }
    finish = ->(_, wreath, _) {
      answers << send_to("POST", "/wreaths/#{wreath["id"]}/finish", {used: {"rope" => "90 ft"}}).status
    }
    race(6, save, finish) do |i|
      prepared(i).tap { |_, wreath, sheet|
        ask(:post, "/wreaths/#{wreath["id"]}/cut", {version: 1, cut_sheet: sheet})
        expect(status).to eq 200
      }
    end
    expect(answers).to all satisfy { [200, 201, 409].include?(_1) }
  end

  it "never end in an error: an occasion cut, its wreaths gathered elsewhere, one of them deleted" do
    answers = []
    6.times do |i|
      _, wreath, = prepared(i)
      more = Array.new(2) { |n| ask(:post, "/wreaths", {plan: coiled("More #{n}")})["id"] }
      walks = Array.new(2) { |n| ask(:post, "/occasions", {name: "Walk #{n}", units: "in", occasion: {}})["id"] }
      ask(:put, "/occasions/#{walks[0]}/wreaths", {wreaths: [wreath["id"], *more]})
      sheet = ask(:get, "/occasions/#{walks[0]}/worked")["cut_sheet"]
      [["POST", "/occasions/#{walks[0]}/cut", {cut_sheet: sheet}],
        ["PUT", "/occasions/#{walks[1]}/wreaths", {wreaths: more.reverse}],
        ["DELETE", "/wreaths/#{more[0]}?version=1", {}],
        ["DELETE", "/occasions/#{walks[0]}?version=1", {}]]
        .map { |asked| Thread.new { send_to(*asked).status } }.each { answers << _1.value }
    end
    expect(answers).to all satisfy { [200, 404, 409, 422].include?(_1) }
  end

  it "are tried again when they wait for each other: four files at once" do
    materials = Array.new(12) { |i| rope(id: "rope-#{i}", name: "Cord #{i}", on_hand: [120]) }
    materials.each { ask(:post, "/materials", {units: "in", material: _1}) }
    get "/api/stash.csv?units=in"
    lines = last_response.body.lines
    statuses = Array.new(4) { |i|
      csv = [lines[0], *lines.drop(1).rotate(i * 3)].join.gsub("120", (60 + i).to_s)
      Thread.new { send_to("POST", "/stash.csv", {csv:, units: "in", dry: false}).status }
    }.map(&:value)
    expect(statuses).to all eq 200
  end
end

RSpec.describe "Material that was cut", :api, :store do
  def cut_ring
    id = ask(:post, "/materials", {units: "in", material: rope(on_hand: Array.new(8, 120))})["id"]
    wreath = ask(:post, "/wreaths", {plan: plan(materials: [rope], layers: [layer("rope_coil", "rope")])})
    sheet = ask(:post, "/work", ask(:get, "/wreaths/#{wreath["id"]}")["plan"])["cut_sheet"]
    [id, ask(:post, "/wreaths/#{wreath["id"]}/cut", {version: 1, cut_sheet: sheet})]
  end

  it "is taken back with its wreath when it is taken back in the ledger" do
    id, wreath = cut_ring
    action = ask(:get, "/materials/#{id}/ledger?units=in")["entries"].first["action"]
    ask(:post, "/actions/#{action}/undo", {})
    expect(status).to eq 200
    after = ask(:get, "/wreaths/#{wreath["id"]}")
    expect(after["cut"]).to be false
    expect(ask(:get, "/materials/#{id}")["material"]["on_hand"]).to eq Array.new(8, 120)
    ask(:post, "/wreaths/#{wreath["id"]}/uncut", {version: after["version"]})
    expect(status).to eq 409
  end

  it "may be deleted, and its wreath be taken back all the same" do
    id, wreath = cut_ring
    ask(:delete, "/materials/#{id}?version=#{ask(:get, "/materials/#{id}")["version"]}")
    expect(ask(:post, "/wreaths/#{wreath["id"]}/uncut", {version: wreath["version"]})["cut"]).to be false
    ask(:post, "/bin/materials/#{id}", {})
    expect(ask(:get, "/materials/#{id}")["material"]["on_hand"]).to eq Array.new(8, 120)
  end

  it "may be gone for good, and its wreath be taken back all the same" do
    id, wreath = cut_ring
    RealStore.database[:materials].where(id:).delete
    expect(ask(:post, "/wreaths/#{wreath["id"]}/uncut", {version: wreath["version"]})["cut"]).to be false
  end
end
