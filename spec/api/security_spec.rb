# frozen_string_literal: true

require_relative "../support/devices"

# What docs/security.md claims and no other spec tries, by doing. The numbers are those of OWASP ASVS 4.0.
RSpec.describe "What the page on security says", :api, :store do
  include Devices

  it "2.1.3, 2.1.4: of a password nothing is cut off, and any character is one" do
    odd = "  ab\u00e9 \u{1F3EE} lantern\u5b57 walk  "
    near = device(from: "127.0.0.1")
    on(near, :post, "/account/first", {login: "Wick", password: odd})
    expect(code(near)).to eq 200
    {odd => 200, odd.strip => 401, odd[0..-2] => 401}.each_with_index do |(typed, answer), i|
      phone = device(from: "192.168.8.#{i}")
      on(phone, :post, "/account/sign-in", {login: "Wick", password: typed})
      expect([typed, code(phone)]).to eq [typed, answer]
    end
  end

  it "6.2.1: a cookie that was changed, or made with another secret, is a stranger's" do
    first = maker
    cookie = Array(first.last_response.headers["set-cookie"]).join[/lantern=([^;]+)/, 1]
    expect(cookie).to match(/[g-zG-Z]{3}/)
    other = Rack::Session::Encryptor.new("x" * 64, purpose: "lantern").encrypt({"account_id" => 1})
    [cookie, cookie.sub(/(?<=[g-zG-Z]{2})[g-zG-Z]/, &:swapcase), other, ""].zip([200, 401, 401, 401])
      .each do |sent, answer|
        phone = device
        phone.header("Cookie", "lantern=#{sent}")
        on(phone, :get, "/wreaths")
        expect([sent[0, 20], code(phone)]).to eq [sent[0, 20], answer]
      end
  end

  it "4.3.2: no folder is listed" do
    phone = device
    ["/assets/", "/assets", "/fonts/", "/../", "/assets/../../server/app.rb"].each do |path|
      phone.get(path)
      expect([path, phone.last_response.body.match?(/index-\w+\.js"?>index|module Server/)]).to eq [path, false]
    end
  end

  it "14.3.2, 14.3.3: nothing says what it is made of, and an error shows nothing of the inside" do
    phone = device
    on(phone, :get, "/health")
    on(phone, :get, "/nothing/here")
    expect(phone.last_response.headers.keys & %w[server x-powered-by x-runtime via]).to eq []
    expect(phone.last_response.body).not_to match(/Sinatra|Rack|\.rb|\/var\//)
  end

  it "13.2.1: only methods that the contract has are taken" do
    first = maker
    %w[PATCH TRACE CONNECT PROPFIND].each do |verb|
      first.request("/api/wreaths", method: verb)
      expect([verb, code(first)]).to eq [verb, 405]
    end
  end
end
