# frozen_string_literal: true

require_relative "../support/devices"

# Open to the house: who is let in, on which devices, and what a stranger can have.
RSpec.describe "The door", :api, :store do
  include Devices

  it "lets the first account be made on the machine itself, and nowhere else, and no second one" do
    far = device
    expect(on(far, :get, "/account")).to eq("house" => true, "first" => false)
    on(far, :post, "/account/first", {login: "Thief", password:})
    expect(code(far)).to eq 404
    near = device(from: "127.0.0.1")
    expect(on(near, :get, "/account")).to include("first" => true)
    expect(on(near, :post, "/account/first", {login: "Wick", password: "short"})["problems"][0])
      .to match("at" => "password", "says" => /minimum 12/i)
    # Among the ten thousand that are used most (the list that comes with rodauth).
    expect(on(near, :post, "/account/first", {login: "Wick", password: "1qaz2wsx3edc"})["problems"][0])
      .to match("at" => "password", "says" => /tried first/)
    # OWASP ASVS 4.0, 2.1.2: sixty-four are taken.
    expect(on(near, :post, "/account/first", {login: "Wick", password: "l" * 80})["problems"][0]["at"]).to eq "password"
    on(near, :post, "/account/first", {login: "Wick", password:})
    expect(on(near, :get, "/account")).to include("login" => "Wick", "first" => false)
    on(device(from: "127.0.0.1"), :post, "/account/first", {login: "Second", password:})
    expect(RealStore.database[:accounts].select_map(%i[login name])).to eq [%w[wick Wick]]
    on(far, :post, "/account/sign-in", {login: "Wick", password: "x" * 10_000})
    expect(code(far)).to eq 413
    expect(RealStore.database[:accounts].get(:password_hash)).to start_with "$2"
  end

  it "shows a stranger the screens, and nothing of what they show" do
    maker
    stranger = device
    stranger.get "/"
    expect(code(stranger)).to eq 200
    on(stranger, :get, "/wreaths")
    expect(code(stranger)).to eq 401
  end

  it "signs in by name and password, with a cookie that scripts and other sites do not get" do
    maker
    phone = device
    expect(on(phone, :post, "/account/sign-in", {login: "Wick", password: "wrong wrong wrong"})["problems"][0]["says"])
      .to match(/do not belong together/)
    nobody = on(phone, :post, "/account/sign-in", {login: "Nobody", password:})["problems"][0]["says"]
    expect(nobody).to match(/do not belong together/)
    on(phone, :post, "/account/sign-in", {login: "Wick", password:})
    # RFC 6265bis, 4.1.2: HttpOnly, SameSite; Secure where there is TLS.
    cookie = phone.last_response.headers["set-cookie"].to_s
    expect(cookie).to match(/HttpOnly/i).and match(/SameSite=Lax/i).and match(%r{path=/}i)
    expect(cookie).not_to match(/secure/i)
    expect(on(phone, :get, "/wreaths")).to include "wreaths"
    proxied = device(from: "127.0.0.1")
    proxied.header("X-Forwarded-Proto", "https")
    proxied.header("X-Forwarded-For", "192.168.1.44")
    on(proxied, :post, "/account/sign-in", {login: "Wick", password:})
    # RFC 6265bis, 4.1.3.2: what begins with __Host- is Secure, has no Domain, and is for all of it.
    expect(Array(proxied.last_response.headers["set-cookie"]).join)
      .to match(/\A__Host-lantern=/).and match(/secure/i).and match(%r{path=/}i)
    expect(Array(proxied.last_response.headers["set-cookie"]).join).not_to match(/domain=/i)
    kept = Array(proxied.last_response.headers["set-cookie"]).join[/\A[^;]+/]
    # It is taken under that name alone.
    {kept => 200, kept.delete_prefix("__Host-") => 401}.each do |cookie, answer|
      other = device(from: "127.0.0.1")
      other.header("X-Forwarded-Proto", "https")
      other.header("X-Forwarded-For", "192.168.1.45")
      other.header("Cookie", cookie)
      on(other, :get, "/wreaths")
      expect(code(other)).to eq answer
    end
    expect(proxied.last_response.headers).to include("strict-transport-security" => /max-age/)
  end

  it "pairs a device by a link that is good once and for ten minutes" do
    first = maker
    pairing = on(first, :post, "/account/pairings", {})
    expect(pairing).to include("minutes" => 10, "link" => %r{\Ahttp://lantern.home:9292/pair/[\w-]{40,}\z})
    expect(pairing["qr"]).to include "<svg"
    token = pairing["link"].split("/").last
    expect(RealStore.database[:pairings].select_map(:digest).join).not_to include token
    phone, other = device, device
    on(phone, :post, "/account/pairings/#{token}", {})
    expect(on(phone, :get, "/account")["login"]).to eq "Wick"
    expect(on(other, :post, "/account/pairings/#{token}", {})["problems"][0]["says"]).to match(/used already/)
    expect(code(other)).to eq 422
    late = on(first, :post, "/account/pairings", {})["link"].split("/").last
    RealStore.database[:pairings].update(until: Sequel.lit("UTC_TIMESTAMP() - INTERVAL 1 SECOND"))
    on(other, :post, "/account/pairings/#{late}", {})
    expect(code(other)).to eq 422
  end

  it "begins another session at every sign-in, and ends it after two weeks of rest or thirty days" do
    maker
    phone = device
    keys = Array.new(2) {
      on(phone, :post, "/account/sign-in", {login: "Wick", password:})
      RealStore.database[:account_active_session_keys].select_map(:session_id)
    }
    expect(keys[1] - keys[0]).not_to be_empty
    sessions = RealStore.database[:account_active_session_keys]
    {last_use: 15, created_at: 31}.each do |column, days|
      expect(on(phone, :get, "/wreaths")).to include "wreaths"
      sessions.update(column => Sequel.lit("UTC_TIMESTAMP() - INTERVAL #{days} DAY"))
      on(phone, :get, "/wreaths")
      expect([column, code(phone)]).to eq [column, 401]
      on(phone, :post, "/account/sign-in", {login: "Wick", password:})
    end
  end

  it "notes when a device was last used, to the minute" do
    first = maker
    sessions = RealStore.database[:account_active_session_keys]
    sessions.update(last_use: Sequel.lit("UTC_TIMESTAMP() - INTERVAL 1 DAY"))
    on(first, :get, "/wreaths")
    noted = sessions.get(:last_use)
    expect(Time.now - noted).to be < 60
    on(first, :get, "/wreaths")
    expect(sessions.get(:last_use)).to eq noted
  end

  it "answers in a sentence when the database is away, also before it is known who asks", :killing do
    first = maker
    RealStore.server.kill
    on(first, :get, "/wreaths")
    expect([code(first), first.last_response.body]).to match [503, /database does not answer/]
    RealStore.server.start
    expect(on(first, :get, "/wreaths")).to include "wreaths"
  ensure
    RealStore.server.start
  end

  it "lists devices and shuts one out at once" do
    first, phone = maker, device
    token = on(first, :post, "/account/pairings", {})["link"].split("/").last
    on(phone, :post, "/account/pairings/#{token}", {})
    devices = on(first, :get, "/account/devices")["devices"]
    expect(devices.map { _1["name"] }).to contain_exactly("Firefox on Linux", "Safari on iPhone")
    expect(devices.select { _1["here"] }.map { _1["name"] }).to eq ["Firefox on Linux"]
    on(first, :delete, "/account/devices/#{devices.find { !_1["here"] }["id"]}")
    expect(on(phone, :get, "/wreaths")["problems"]).not_to be_empty
    expect(code(phone)).to eq 401
    expect(on(first, :get, "/wreaths")).to include "wreaths"
  end

  it "signs out, changes the password and closes the account, each only who knows it" do
    first, phone = maker, device
    on(phone, :post, "/account/sign-in", {login: "Wick", password:})
    on(first, :post, "/account/password", {password: "not this one", "new-password": "ten lanterns hung"})
    expect(code(first)).not_to eq 200
    on(first, :post, "/account/password", {password:, "new-password": "ten lanterns hung"})
    expect(code(first)).to eq 200
    # The other devices have to sign in again.
    on(phone, :get, "/wreaths")
    expect(code(phone)).to eq 401
    on(phone, :post, "/account/sign-out", {})
    on(phone, :get, "/wreaths")
    expect(code(phone)).to eq 401
    on(phone, :post, "/account/sign-in", {login: "Wick", password:})
    expect(code(phone)).to eq 401
    on(first, :post, "/account/close", {password: "ten lanterns hung"})
    expect(RealStore.database[:accounts].count).to eq 0
  end

  it "is shut after too many wrong passwords, and says for how long; other devices stay in" do
    first, thief = maker, device
    says = Array.new(12) { |i|
      on(device(from: "192.168.7.#{i}"), :post, "/account/sign-in", {login: "Wick", password: "guess number #{i}"})
    }
    expect(says.last["problems"][0]["says"]).to match(/wait a quarter of an hour/)
    on(thief, :post, "/account/sign-in", {login: "Wick", password:})
    expect(code(thief)).not_to eq 200
    expect(on(first, :get, "/wreaths")).to include "wreaths"
  end

  it "lets one address try only so often" do
    maker
    thief = device
    tried_before("to come in or say a password, by address:192.168.1.20", Server::Auth::TRIES[:limit] - 1,
      Server::Auth::TRIES[:period])
    codes = Array.new(2) { |i|
      on(thief, :post, "/account/sign-in", {login: "name #{i}", password:})
      code(thief)
    }
    expect(codes).to eq [401, 429]
    expect(thief.last_response.headers["retry-after"].to_i).to be_between(1, 300)
    # What it says of where it comes from is not believed.
    thief.header("X-Forwarded-For", "10.1.2.3")
    on(thief, :post, "/account/sign-in", {login: "another", password:})
    expect(code(thief)).to eq 429
    on(device(from: "192.168.1.99"), :post, "/account/sign-in", {login: "Wick", password:})
  end

  it "lets one account ask what is heavy only so often, on all its devices, and another one as before" do
    first, phone = maker, device
    on(phone, :post, "/account/sign-in", {login: "Wick", password:})
    account = RealStore.database[:accounts].get(:id)
    tried_before("heavy questions, by account:#{account}", Server::Auth::HEAVY[:limit] - 2,
      Server::Auth::HEAVY[:period])
    codes = [first, phone, first, phone].map { |each|
      on(each, :post, "/ask/coverings", {})
      code(each)
    }
    expect(codes.map { _1 == 429 }).to eq [false, false, true, true]
    # What is not heavy is answered as ever.
    expect(on(first, :get, "/wreaths")).to include "wreaths"
    token = on(first, :post, "/workshop/invitations", {role: "helper"})["link"].split("/").last
    other = device
    on(other, :post, "/invitations/#{token}", {login: "Linnet", password:})
    on(other, :post, "/ask/coverings", {})
    expect(code(other)).not_to eq 429
  end

  it "puts nobody's password into the file of everything, and is as it was when one is put back" do
    first = maker
    first.get "/api/archive.jsonl"
    archive = first.last_response.body
    expect(archive).not_to match(/\$2a|Wick|session/)
    first.header("Content-Type", "application/x-ndjson")
    first.post "/api/archive.jsonl", archive
    expect(code(first)).to eq 200
    expect(on(first, :get, "/account")["login"]).to eq "Wick"
  end

  it "changes nothing for another site" do
    first = maker
    first.header("Origin", "http://elsewhere.example")
    on(first, :post, "/account/sign-out", {})
    expect(code(first)).to eq 403
    first.header("Origin", nil)
    expect(on(first, :get, "/wreaths")).to include "wreaths"
  end
end

RSpec.describe "Without a door", :api, :store do
  it "asks nobody to sign in, and has no account to give away" do
    expect(ask(:get, "/account")).to eq("house" => false, "first" => false)
    ask(:post, "/account/first", {login: "Wick", password: "nine lanterns hung"})
    expect(status).to eq 404
    ask(:post, "/account/pairings", {})
    expect(status).to eq 404
  end
end
