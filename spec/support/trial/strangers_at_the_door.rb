# frozen_string_literal: true

require "net/http"
require_relative "../proxy"
require_relative "application"
require_relative "strangers"

module Trial
  # {Strangers} before a real start, straight and through the proxy's example configuration: whoever may not come in,
  # each with the cookie that they have.
  class StrangersAtTheDoor
    PASSWORD = "nine lanterns hung"

    # @param folder [String]
    def initialize(folder)
      @folder = folder
      @application = Application.new(File.join(folder, "application").tap { Dir.mkdir(_1) }, "--house",
        env: {"HOST" => "127.0.0.1", "PROXIES" => "127.0.0.1", "WEB_CONCURRENCY" => "1"})
    end

    # @return [Hash]
    def call
      @application.start
      @straight = Net::HTTP.new(@application.address.host, @application.address.port).start
      cookies = let_in
      before = archive
      found = {"straight" => @straight, "through the proxy" => begin_proxy}.to_h { |way, line|
        asked, leaks = ask_all(line, cookies)
        leaks.first(9).each { warn "  #{way}: #{_1.to_h}" }
        [way, [asked, leaks.size]]
      }
      found.flat_map { |way, (asked, leaks)| {"asked #{way}" => asked, "answered #{way}" => leaks}.to_a }.to_h
        .merge("changed" => (archive == before) ? 0 : 1)
    ensure
      @proxy&.stop
      @application.stop
    end

    private

    def begin_proxy
      @proxy = Proxy.new(File.join(@folder, "proxy").tap { Dir.mkdir(_1) }, to: @application.address.port).start
      @proxy.connection.start
    end

    def ask_all(line, cookies)
      secure = line.use_ssl?
      Strangers.new(File.join(Application::ROOT, "server/openapi.yaml")).call do |verb, path, who|
        cookie = secure ? cookies[who].sub("lantern=", "__Host-lantern=") : cookies[who]
        answer = send(line, verb, path, cookie)
        answer && [answer.code.to_i, answer["content-type"], answer.body]
      end
    end

    # As it is, whether a client would send it or not.
    def send(line, verb, path, cookie, body = nil)
      request = Net::HTTPGenericRequest.new(verb, %w[POST PUT PATCH].include?(verb), verb != "HEAD", path)
      request["host"], request["cookie"] = "127.0.0.1", cookie
      request["content-type"] = "application/json" if request.request_body_permitted?
      request.body = JSON.generate(body || {}) if request.request_body_permitted?
      line.request(request)
    rescue SystemCallError, IOError, Net::HTTPBadResponse, Net::ProtocolError
      line.finish if line.started?
      line.start
      nil
    end

    def asked(verb, path, body = nil, cookie: @maker)
      answer = send(@straight, verb, "/api#{path}", cookie.to_s, body)
      @last = answer["set-cookie"].to_s[/\A[^;]+/] || cookie
      JSON.parse(answer.body)
    end

    def enter(login, **invited)
      token = asked("POST", "/workshop/invitations", {role: "helper", **invited})["link"].split("/").last
      asked("POST", "/invitations/#{token}", {login:, password: PASSWORD}, cookie: nil)
      @last
    end

    def let_in
      asked("POST", "/account/first", {login: "Wick", password: PASSWORD}, cookie: nil)
      @maker = @last
      asked("POST", "/wreaths", {plan: {format: "crisp-lantern/plan", version: 1, units: "in", name: Strangers::MARK,
                                        form: {base: "wire", shape: "ring", outside: 14, inside: 8}}})
      people = {helper: enter("Linnet"), maker_elsewhere: enter("Moss", own: true), removed: enter("Fern")}
      fern = asked("GET", "/workshop")["people"].find { _1["name"] == "Fern" }
      asked("DELETE", "/workshop/people/#{fern["id"]}")
      asked("POST", "/account/sign-in", {login: "Wick", password: PASSWORD}, cookie: nil)
      out = @last
      here = asked("GET", "/account/devices", cookie: out)["devices"].find { _1["here"] }
      asked("DELETE", "/account/devices/#{here["id"]}")
      {stranger: "", **people, shut_out: out, stale: "lantern=#{"A" * 200}"}
    end

    # All of the first workshop, but for when it was asked.
    def archive = send(@straight, "GET", "/api/archive.jsonl", @maker).body.lines[1..-2]
  end
end
