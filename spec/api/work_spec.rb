# frozen_string_literal: true

require_relative "../support/api"

RSpec.describe "POST /api/work", :api do
  it "answers what the command line prints" do
    Dir[File.expand_path("../../docs/examples/*.json", __dir__)].sort.each_slice(6).map(&:first).each do |file|
      expect(ask(:post, "/work", File.read(file))).to eq JSON.parse(`bin/lantern work #{file}`)
      expect(status).to eq 200
    end
  end

  it "answers every problem with its place, as 422" do
    bad = plan(form: {"inside" => 15}, quantity: 0)
    expect(ask(:post, "/work", bad)["problems"])
      .to include({"at" => "form.inside", "says" => "The opening (15 in) must be smaller than the form (14 in)."},
        include("at" => "quantity"))
    expect(status).to eq 422
  end

  it "answers what is no plan, no JSON, or far too much, and never fails" do
    {"[]" => 400, "3" => 400, "{" => 400, "" => 400, "\xff\xfe" => 400, "{}" => 422, "[" * 200 => 400,
     "{\"a\":#{"[" * 39}#{"]" * 39}}" => 422, "{\"name\": NaN}" => 400}.each do |body, code|
      expect(ask(:post, "/work", body)["problems"]).not_to be_empty
      expect(status).to eq(code), "#{body[0, 20]} answered #{status}"
    end
    expect(ask(:post, "/work", "{\"name\": \"#{"x" * 10_000_000}\"}")["problems"][0]["says"])
      .to match(/more than a million bytes/)
    expect(status).to eq 413
  end

  it "keeps markup as the text it is" do
    name = "<script>alert('x')</script>"
    expect(ask(:post, "/work", plan(name:))["name"]).to eq name
    expect(last_response.content_type).to eq "application/json"
  end

  it "stores nothing" do
    Server::App.set :store, nil
    ask(:post, "/work", plan)
    expect(status).to eq 200
  end

  it "changes a plan's units" do
    metric = ask(:post, "/ask/units", {plan: example_plan("door-7-rope-ring"), to: "cm"})
    expect(metric["form"]["outside"]).to eq 35.56
    expect(ask(:post, "/ask/units", {plan: {}, to: "ell"})["problems"][0]["says"]).to match(/isn't part of the enum/)
    expect(status).to eq 400
  end

  it "declares every form, covering and material" do
    declared = ask(:get, "/declarations")
    expect(declared["coverings"].map { _1["method"] }).to include("knotted_strips", "rope_coil", "spiral_wrap")
    expect(declared["forms"]["shapes"].map { _1["name"] }).to include("ring")
    expect(declared["materials"].map { _1["kind"] }).to eq %w[ribbon fabric rope mesh tie wire glue piece
      coat form]
    # Whoever has it asks whether it is still so.
    header "If-None-Match", last_response["etag"]
    get "/api/declarations"
    expect([last_response.status, last_response.body]).to eq [304, ""]
  end

  it "refuses hosts it does not know, so that no other page can reach it" do
    get "/api/ping", {}, "HTTP_HOST" => "evil.example"
    expect(status).to eq 403
  end
end
