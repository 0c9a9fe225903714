# frozen_string_literal: true

require_relative "../support/api"
require_relative "../support/trial/stash"

# Whatever moves the stash, by two devices with retries: what is on hand is what a model of lengths says, every time.
RSpec.describe "What moves the stash", :api, :store do
  def asked(verb, path, body, name)
    env = {"HTTP_HOST" => "localhost", :method => verb.upcase, :input => body && JSON.generate(body)}
    env["CONTENT_TYPE"] = "application/json" if body
    env["HTTP_IDEMPOTENCY_KEY"] = name if name
    answer = Rack::MockRequest.new(app).request(verb.upcase, "/api#{path}", env)
    [answer.status, (JSON.parse(answer.body) unless answer.body.empty?)]
  end

  def csv = Rack::MockRequest.new(app).get("/api/stash.csv?units=in", "HTTP_HOST" => "localhost").body

  it "leaves on hand what came less what went, in two hundred random sequences" do
    trial = Trial::Stash.new(method(:asked), method(:csv), Random.new(20_261))
    wrong = Array.new(200) { |i|
      RealStore.empty
      trial.call(10)&.then { "#{i}: #{_1}" }
    }.compact
    expect(wrong.first(5)).to eq []
    # None of them was only ever refused.
    expect(trial.accepted.keys).to match_array Trial::Stash::KINDS
    expect(trial.accepted.values.min).to be >= 3
  end
end
