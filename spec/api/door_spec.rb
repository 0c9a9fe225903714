# frozen_string_literal: true

require_relative "../support/devices"
require_relative "../support/trial/strangers"

# What a path is, who is believed where it comes from, and what is told of who has an account.
RSpec.describe "Before the door", :api, :store do
  include Devices

  def asked_as_it_is(verb, path, cookie: nil, from: "192.168.1.20", **headers)
    device
    env = Rack::MockRequest.env_for("/", :method => verb, "HTTP_HOST" => "lantern.home:9292", "REMOTE_ADDR" => from,
      "HTTP_COOKIE" => cookie.to_s, **headers.transform_keys(&:to_s))
    env["PATH_INFO"], env["QUERY_STRING"] = path.split("?", 2).then { [_1, _2.to_s] }
    status, answered, body = @door.call(env)
    [status, answered["content-type"], body.respond_to?(:each) ? body.to_enum(:each).to_a.join : "", answered]
  ensure
    body.close if body.respond_to?(:close)
  end

  def cookie_of(browser) = Array(browser.last_response.headers["set-cookie"]).join[/\A[^;]+/].to_s

  def let_in(by, login, **invited)
    token = on(by, :post, "/workshop/invitations", {role: "helper", **invited})["link"].split("/").last
    device.tap { on(_1, :post, "/invitations/#{token}", {login:, password:}) }
  end

  # Somebody of each kind, by their cookies.
  def cookies
    first = maker
    on(first, :post, "/wreaths", {plan: plan(name: Trial::Strangers::MARK)})
    helper, elsewhere, removed = let_in(first, "Linnet"), let_in(first, "Moss", own: true), let_in(first, "Fern")
    out = device
    on(out, :post, "/account/sign-in", {login: "Wick", password:})
    shut = cookie_of(out)
    on(first, :delete, "/account/devices/#{on(out, :get, "/account/devices")["devices"].find { _1["here"] }["id"]}")
    gone = on(first, :get, "/workshop")["people"].find { _1["name"] == "Fern" }["id"]
    on(first, :delete, "/workshop/people/#{gone}")
    {stranger: "", helper: cookie_of(helper), maker_elsewhere: cookie_of(elsewhere), removed: cookie_of(removed),
     shut_out: shut, stale: "lantern=#{"A" * 200}"}
  end

  it "is one spelling of every path: no other is answered, whoever asks and however" do
    who = cookies
    before = RealStore.archive.lines.drop(1)
    asked, found = Trial::Strangers.new(Server::App::CONTRACT).call(methods: %w[GET POST DELETE]) { |verb, path, as|
      asked_as_it_is(verb, path, cookie: who.fetch(as))
    }
    expect(asked).to be > 50_000
    expect(found).to eq []
    expect(RealStore.archive.lines.drop(1).reject { _1.include?("sha256") })
      .to eq(before.reject { _1.include?("sha256") })
  end

  it "answers each of those paths by its own spelling, so that none was refused for another reason" do
    who = cookies
    Trial::Strangers.new(Server::App::CONTRACT).paths.each do |path|
      expect(Server::HTTP::RequestPath.canonical?(path)).to be true
    end
    expect(asked_as_it_is("GET", "/api/wreaths", cookie: who[:helper])[2]).to include Trial::Strangers::MARK
    expect(asked_as_it_is("GET", "/api/wreaths", cookie: who[:maker_elsewhere])[2]).to eq '{"wreaths":[]}'
    expect(who.slice(:stranger, :shut_out, :stale).map { asked_as_it_is("GET", "/api/wreaths", cookie: _2)[0] })
      .to eq [401] * 3
    expect(asked_as_it_is("GET", "/api/wreaths", cookie: who[:removed])[0]).to eq 403
  end

  it "passes encoded spaces and letters of other alphabets, once decoded" do
    # RFC 3986, 2.1 and 2.3.
    {"/words/fran%C3%A7ais" => true, "/a%20b" => true, "/a b" => true, "/caf\u00e9" => true, "/a%2Db" => false,
     "/a%7Eb" => false, "/a%5Fb" => false, "/a%30" => false, "/a%25" => false, "/%E2%82" => false, "a" => false,
     "" => false, "*" => false, "/.well-known/x" => true, "/a..b" => true, "/a/..b" => true, "/a/.." => false,
     "/" => true}
      .each { |path, canonical| expect([path, Server::HTTP::RequestPath.canonical?(path)]).to eq [path, canonical] }
  end

  it "believes what is said of where a request comes from only of proxies that are named" do
    on_loopback = {from: "127.0.0.1", HTTP_HOST: "x.example"}
    first = ->(**said) { JSON.parse(asked_as_it_is("GET", "/api/account", **said)[2])["first"] }
    expect(first.call(from: "127.0.0.1", HTTP_HOST: "localhost:9292")).to be true
    [{HTTP_X_FORWARDED_HOST: "localhost"}, {HTTP_FORWARDED: "host=localhost"}, {HTTP_X_FORWARDED_FOR: "127.0.0.1"},
      {HTTP_X_REAL_IP: "127.0.0.1"}].each do |said|
      expect([said, first.call(**on_loopback, **said)]).to eq [said, false]
      expect([said, first.call(from: "192.168.1.20", HTTP_HOST: "localhost", **said)]).to eq [said, false]
      # Whoever hands a request on is not the machine itself, believed or not.
      expect([said, first.call(from: "127.0.0.1", HTTP_HOST: "localhost", **said)]).to eq [said, false]
    end
    seen = nil
    app = Server::HTTP::ForwardedHeaders.new(->(env) { seen = env }, proxies: ["10.0.0.0/24"])
    said = {"HTTP_X_FORWARDED_FOR" => "1.2.3.4, 192.168.1.7", "HTTP_X_FORWARDED_PROTO" => "https",
            "HTTP_X_FORWARDED_HOST" => "lantern.home", "HTTP_HOST" => "inside", "HTTP_FORWARDED" => "for=6.6.6.6"}
    believed = ["192.168.1.7", "https", "lantern.home"]
    {"10.0.0.9" => believed, "::ffff:10.0.0.9" => believed,
     "10.0.1.9" => ["10.0.1.9", "http", "inside"], "odd" => %w[odd http inside]}.each do |from, believed|
      app.call(Rack::MockRequest.env_for("/").merge(said, "REMOTE_ADDR" => from))
      request = Rack::Request.new(seen)
      expect([from, request.ip, request.scheme, request.host]).to eq([from, *believed])
    end
  end

  it "has no store for whom no workshop is known of" do
    app = Class.new(Server::App) { set :house, true }
    env = Rack::MockRequest.env_for("/api/wreaths", "HTTP_HOST" => "localhost")
    expect(app.new.call(env)[0]).to eq 403
    expect(Server::App.new.call(env)[0]).to eq 403
    expect(Server::App.without_sign_in.new.call(env)[0]).to eq 200
  end

  it "says so when a workshop is deleted while something is put into it" do
    app = Class.new(Server::App) { set :house, true }
    ask = ->(workshop, route) {
      app.new.call(Rack::MockRequest.env_for("/api/wreaths", :method => "POST", "HTTP_HOST" => "localhost",
        "CONTENT_TYPE" => "application/json", :input => JSON.generate("plan" => plan),
        "lantern.workshop" => workshop, Server::Auth::ROUTE => route))
    }
    status, _, body = ask.call(4_711, "POST /api/wreaths")
    expect([status, body.join]).to match [409, /deleted in the meantime/]
    # And nothing else answers than the route that the door has looked at.
    expect(ask.call(1, "GET /api/ping")[0]).to eq 403
  end

  it "sets a cookie only where somebody is meant, and says of every answer how it may be kept" do
    first = maker
    kept = ->(path, cookie = nil) { asked_as_it_is("GET", path, cookie:)[3].values_at("set-cookie", "cache-control") }
    page = asked_as_it_is("GET", "/")[2]
    [nil, cookie_of(first)].each do |cookie|
      expect(kept.call("/", cookie)).to eq [nil, "no-cache"]
      set, cached = kept.call(page[%r{/assets/[^"]+\.js}], cookie)
      expect([set, cached]).to match [nil, /max-age/]
    end
    %w[/api/account /api/health /api/wreaths].each { expect([_1, kept.call(_1)]).to eq [_1, [nil, "no-store"]] }
    expect(kept.call("/api/wreaths", cookie_of(first))).to match [/lantern=/, "no-store"]
  end

  it "takes in little of what somebody sends who is not signed in, and whatever a maker does" do
    first = maker
    policy = Server::Auth.body_limit(RealStore.database, "s" * 64)
    head = {"CONTENT_LENGTH" => "2000000000", "HTTP_COOKIE" => cookie_of(first)}
    expect(policy.call(head)).to be_nil
    [{"HTTP_COOKIE" => ""}, {"HTTP_COOKIE" => "lantern=nonsense"}].each do |other|
      expect(policy.call({**head, **other})).to eq Server::Auth::MOST_OF_A_STRANGER
      expect(policy.call({"HTTP_TRANSFER_ENCODING" => "chunked", **other})).to eq Server::Auth::MOST_OF_A_STRANGER
    end
  end
end

RSpec.describe "Who has an account", :api, :store do
  include Devices

  let(:refused) { /do not belong together/ }

  # What is hashed by bcrypt, each with its salt's cost ("$2a$12$..."): nearly all of the time that a try takes.
  let(:hashed) { [] }

  before do
    allow(BCrypt::Engine).to receive(:hash_secret).and_wrap_original { |hash, secret, salt, *more|
      hashed << salt.split("$")[1, 2]
      hash.call(secret, salt, *more)
    }
  end

  def wrong_ones(times)
    times.times { |i|
      on(device(from: "192.168.2.#{i}"), :post, "/account/sign-in", {login: "Wick", password: "wrong #{i} wrong"})
    }
  end

  it "is one person, however the name is typed" do
    maker
    ["WICK", " wick ", "Wi\u200bck", "\uff37\uff49\uff43\uff4b", "wick\u00ad"].each do |typed|
      phone = device
      on(phone, :post, "/account/sign-in", {login: typed, password:})
      expect([typed, code(phone)]).to eq [typed, 200]
      # It is shown as it was first typed.
      expect(on(phone, :get, "/account")["login"]).to eq "Wick"
    end
    # Unicode, CaseFolding.txt: sharp s folds to two letters.
    expect(Server::Auth::LoginName.normal("STRA\u1e9eE")).to eq "strasse"
  end

  it "cannot be told from the answers, the work or the tries, known, unknown or shut" do
    maker
    tries = ->(name, from) {
      each = device(from:)
      before = hashed.size
      answer = on(each, :post, "/account/sign-in", {login: name, password: "wrong wrong wrong"})
      [answer["problems"].map { _1.values_at("at", "says") }, code(each), hashed.drop(before)]
    }
    # Shut after eight of them.
    shut = Array.new(10) { tries.call("Wick", "192.168.2.#{_1}") }
    unknown = Array.new(10) { tries.call("Nobody", "192.168.3.#{_1}") }
    # The same work too: one hash of one cost.
    expect([*shut, *unknown].uniq.size).to eq 1
    expect(shut[0][2].size).to eq 1
    expect(shut[0][0][0][1]).to match(refused).and match(/quarter of an hour/)
    # What is shut is so for whoever knows the password, and no other device is signed out.
    far = device(from: "192.168.4.1")
    on(far, :post, "/account/sign-in", {login: "wick", password:})
    expect(code(far)).to eq 401
  end

  it "is let in again once the quarter of an hour is over, and counted anew after coming in" do
    maker
    wrong_ones(7)
    in_time = device
    on(in_time, :post, "/account/sign-in", {login: "Wick", password:})
    expect(code(in_time)).to eq 200
    # Those before it are forgotten.
    wrong_ones(7)
    again = device
    on(again, :post, "/account/sign-in", {login: "Wick", password:})
    expect(code(again)).to eq 200
  end

  it "has no password that a guesser tries first, however long" do
    near = device(from: "127.0.0.1")
    ["password1234", "123456789012", "aaaaaaaaaaaaaaaa", "abcabcabcabcabc", "qwertyuiop123", "wick wick wick",
      "lantern12345", "1qaz2wsx3edc"].each do |weak|
      problem = on(near, :post, "/account/first", {login: "Wick", password: weak})["problems"][0]
      expect([weak, problem["at"], problem["says"]]).to match [weak, "password", /tried first|guessed soon/]
    end
    expect(RealStore.database[:accounts].count).to eq 0
  end

  it "is nobody whose name cannot be seen, and nobody who sends no name" do
    near = device(from: "127.0.0.1")
    ["", " ", "\u200b", "\u0000", "x" * 121].each do |login|
      on(near, :post, "/account/first", {login:, password:})
      expect([login, code(near)]).to eq([login, 422]).or eq([login, 400])
    end
    maker
    ["[]", "1", "null", "\"x\"", "{}", '{"login":[],"password":{}}', '{"login":"\u0000"}'].each_with_index do |sent, i|
      phone = device(from: "192.168.5.#{i}")
      phone.header("Content-Type", "application/json")
      phone.post("/api/account/sign-in", sent)
      expect([sent, code(phone)]).to eq [sent, 401]
    end
  end

  it "is made once by an invitation, however many ask at once, and the invitation is good still when it was refused" do
    first = maker
    token = on(first, :post, "/workshop/invitations", {role: "helper"})["link"].split("/").last
    weak = device
    on(weak, :post, "/invitations/#{token}", {login: "Fern", password: "password1234"})
    expect([code(weak), RealStore.database[:accounts].count]).to eq [422, 1]
    codes = Array.new(6) { |i|
      Thread.new(device(from: "192.168.6.#{i}")) do |phone|
        on(phone, :post, "/invitations/#{token}", {login: "Fern #{i}", password:})
        code(phone)
      end
    }.map(&:value)
    expect(codes.tally).to eq(200 => 1, 422 => 5)
    expect(RealStore.database[:accounts].count).to eq 2
  end

  it "lets nobody in by a link of before the password was changed or the device was shut out" do
    first = maker
    links = -> {
      [on(first, :post, "/account/pairings", {}), on(first, :post, "/workshop/invitations", {role: "helper"}),
        on(first, :post, "/workshop/invitations", {role: "maker", own: true})].map { _1["link"].split("/").last }
    }
    tried = ->(pairing, *invitations) {
      [["/account/pairings/#{pairing}", {}],
        *invitations.map { ["/invitations/#{_1}", {login: "Thief", password:}] }].map { |path, body|
        device.then { |thief|
          on(thief, :post, path, body)
          code(thief)
        }
      }
    }
    made = links.call
    on(first, :post, "/account/password", {password:, "new-password": "ten lanterns hung"})
    expect(tried.call(*made)).to eq [422] * 3
    made = links.call
    phone = device
    on(phone, :post, "/account/sign-in", {login: "Wick", password: "ten lanterns hung"})
    other = on(first, :get, "/account/devices")["devices"].find { !_1["here"] }
    on(first, :delete, "/account/devices/#{other["id"]}")
    expect(tried.call(*made)).to eq [422] * 3
    expect(RealStore.database[:accounts].count).to eq 1
  end

  it "leaves none of what lets somebody in in the log" do
    log = StringIO.new
    app = Server::RequestGuard.new(Server::Auth.around(RealStore.database, "s" * 64) { |each| each.new }, log:)
    token = Server::Auth::OneTimeTokens.token
    ["/pair/#{token}", "/join/#{token}", "/api/invitations/#{token}", "/api/account/pairings/#{token}"].each do |path|
      Rack::MockRequest.new(app).get(path, "HTTP_HOST" => "localhost")
      Rack::MockRequest.new(app)
        .post(path, "HTTP_HOST" => "localhost", "CONTENT_TYPE" => "application/json", :input => "{}")
    end
    expect(log.string).to include("/api/invitations/:id").and include("/pair/:id")
    expect(log.string).not_to include token
  end

  it "keeps to what a workshop may hold when several ask at once" do
    own = Server::TenantDataset.new(RealStore.database, 1, most: {forms: 5})
    results = Array.new(12) { |i|
      Thread.new do
        own.atomically { own[:forms].insert(name: "Form #{i}", units: "in", document: "{}") } && :kept
      rescue Server::TenantDataset::Holds
        :full
      end
    }.map(&:value)
    expect(results.tally).to eq(kept: 5, full: 7)
  end

  it "lets no more people in than there is room for when their invitations are used at once" do
    stub_const("Server::Tenancy::Workshops::MOST_PEOPLE", 3)
    people = Server::Tenancy::Workshops.new(RealStore.database)
    accounts = Array.new(6) { |i| RealStore.database[:accounts].insert(login: "guest-#{i}", password_hash: "none") }
    tokens = accounts.map { people.invite(1, "helper", by: accounts.first) }
    before = RealStore.database[:memberships].where(workshop_id: 1).count
    results = tokens.zip(accounts).map { |token, account|
      Thread.new do
        people.join(token) { [account, "Guest"] } && :in
      rescue Server::Tenancy::Workshops::TooMany
        :full
      end
    }.map(&:value)
    expect(results.tally).to eq(in: 3 - before, full: 3 + before)
  end
end
