# frozen_string_literal: true

require "stringio"
require_relative "../support/api"

RSpec.describe Server::RequestGuard, :api, :store do
  let(:log) { StringIO.new }
  let(:app) { described_class.new(Server::App.without_sign_in.new, log:) }

  def answer(verb, path, body = nil, **headers)
    env = {"HTTP_HOST" => "localhost", :input => body}
    env["CONTENT_TYPE"] = "application/json" if body
    # As it came, whether it is an address or not.
    env["PATH_INFO"], env["QUERY_STRING"] = path.split("?", 2)
    env["QUERY_STRING"] ||= ""
    Rack::MockRequest.new(app).request(verb, "/", env.merge(headers.transform_keys(&:to_s)))
  end

  it "changes nothing for a page of another site, whatever it says it sends" do
    plan = JSON.generate(plan: plan())
    {{HTTP_ORIGIN: "http://elsewhere.example"} => 403, {HTTP_SEC_FETCH_SITE: "cross-site"} => 403,
     {HTTP_SEC_FETCH_SITE: "same-site"} => 403, {HTTP_ORIGIN: "null"} => 403,
     {CONTENT_TYPE: "text/plain"} => 415, {CONTENT_TYPE: "application/x-www-form-urlencoded"} => 415,
     {HTTP_HOST: "elsewhere.example", HTTP_ORIGIN: "http://elsewhere.example"} => 403,
     {HTTP_ORIGIN: "http://localhost", HTTP_SEC_FETCH_SITE: "same-origin"} => 201}.each do |headers, code|
      expect([headers, answer("POST", "/api/wreaths", plan, **headers).status]).to eq [headers, code]
    end
    expect(answer("DELETE", "/api/wreaths/1?version=1", nil, HTTP_ORIGIN: "http://elsewhere.example").status).to eq 403
    expect(RealStore.store.wreaths.all.size).to eq 1
  end

  it "lets no cache keep data, and says what pages may load, static ones too" do
    data, page = answer("GET", "/api/wreaths"), answer("GET", "/wreaths/1/cover")
    expect(data.headers).to include("cache-control" => "no-store", "cross-origin-resource-policy" => "same-origin")
    asset = answer("GET", page.body[%r{/assets/[^"]+\.js}])
    expect([page, asset].map(&:status)).to eq [200, 200]
    expect([page, asset].map { _1.headers["content-security-policy"] }).to all include("default-src 'self'")
  end

  it "notes what was asked and how long it took, and nothing of what it held" do
    answer("POST", "/api/wreaths", JSON.generate(plan: plan(name: "Secret name")))
    answer("GET", "/api/wreaths/4711?secret=1")
    lines = log.string.lines
    expect(lines.map { _1[/Z (.*) [\d.]+ms$/, 1] }).to eq ["POST /api/wreaths 201", "GET /api/wreaths/:id 404"]
    expect(log.string).not_to match(/secret|4711/i)
  end

  it "answers what no address and no method is, in a sentence" do
    ["/api/wreaths?%", "/api/wreaths?a=1&a[b]=2", "/api/wreaths/1/template.svg?part=%00",
      "/api/wreaths/%FF"].each do |path|
      found = answer("GET", path)
      expect([path, found.status, JSON.parse(found.body)["problems"].size]).to eq [path, 400, 1]
    end
    expect(answer("PATCH", "/api/wreaths/1", "{}").status).to eq 405
    expect(answer("TRACE", "/api/ping").status).to eq 405
  end

  it "reads nothing that is larger than its route needs, and nothing that is no JSON" do
    {["/api/wreaths", 1_100_000] => 413, ["/api/stash.csv", 5_100_000] => 413,
     ["/api/wreaths/1/finish", 9_100_000] => 413}
      .each do |(path, bytes), code|
      expect([path, answer("POST", path, "\"#{"x" * bytes}\"").status]).to eq [path, code]
    end
    ["", "{", "\xFF", "{\"plan\":{\"name\":\"\\u0000\"}}", "[1e400]", "[#{"9" * 400}.0]",
      "[" * 41 + "]" * 41].each do |body|
      found = answer("POST", "/api/ask/units", body)
      expect([body[0, 9], found.status]).to eq [body[0, 9], 400]
    end
    boundary = answer("POST", "/api/archive.jsonl", "--x--\r\n", CONTENT_TYPE: "multipart/form-data; boundary=x")
    expect(boundary.status).to eq 415
  end

  it "says how it is while the database stands still, within a second" do
    RealStore.server.hold(true)
    began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    expect([answer("GET", "/api/ping").status, answer("GET", "/api/health").status]).to eq [200, 200]
    expect(Process.clock_gettime(Process::CLOCK_MONOTONIC) - began).to be < Patience.seconds(1)
  ensure
    RealStore.server.hold(false)
  end

  it "names a full disk, and goes on reading" do
    full = Class.new { def translating_errors(**) = raise(Server::DatabaseErrors::Full) }.new
    Server::App.set :store, full
    found = answer("POST", "/api/wreaths", JSON.generate(plan:))
    expect(found.status).to eq 507
    expect(JSON.parse(found.body)["problems"][0]["says"]).to include("disk is full")
    Server::App.set :store, RealStore.store
    says = "Trilogy::ProtocolError: 1021: Disk full (/tmp/#sql); waiting for someone to free some space"
    expect { RealStore.store.translating_errors { raise Sequel::DatabaseError, says } }
      .to raise_error(Server::DatabaseErrors::Full)
  end

  it "writes nothing to the log of errors for what is refused" do
    errors = StringIO.new
    expect {
      Server::App.set :store, Class.new { def translating_errors(**) = raise(Server::DatabaseErrors::Away) }.new
      expect(answer("GET", "/api/wreaths", nil, "rack.errors": errors).status).to eq 503
      Server::App.set :store, RealStore.store
      answer("POST", "/api/work", JSON.generate(plan("units" => "x")))
      answer("POST", "/api/work", "{")
      answer("GET", "/api/wreaths/999")
      answer("POST", "/api/materials", JSON.generate(units: "in", material: {}))
    }.not_to output.to_stderr
    expect(errors.string).to eq ""
  end
end
