# frozen_string_literal: true

require "rack/attack"
require "rack/session"
require "securerandom"
require_relative "contract"
require_relative "house/attempts"
require_relative "house/gate"
require_relative "house/pairings"
require_relative "house/sign_in"
require_relative "house/workshops"

module Server
  # The application open to the house: who asks has to have signed in, on a device that was not shut out.
  module House
    COOKIE = "lantern"
    # Seconds that a device stays signed in when nobody shuts it out.
    STAYS = SignIn::LONGEST
    # So many tries to sign in or to pair from one address, and heavy questions of one account, in so many seconds.
    TRIES, HEAVY = {limit: 20, period: 300}.freeze, {limit: 240, period: 60}.freeze
    COMING_IN = %r{\A/api/(?:account/(?:sign-in|first|pairings/)|invitations/)}
    # So many changes of one account in so many seconds: more than two hands make on several devices.
    CHANGES = {limit: 1_200, period: 60}.freeze
    LOOPBACK = %w[127.0.0.1 ::1 ::ffff:127.0.0.1].freeze

    class << self
      # @param database [Sequel::Database]
      # @param secret [String] at least 64 characters
      # @yieldparam app [Class] the application, for a house
      # @yieldreturn [#call] the same with whatever stands between it and the door
      # @return [#call] the same behind a door
      def around(database, secret)
        app = yield(behind_a_door)
        database.extension(:date_arithmetic)
        contract = Contract.new(App::CONTRACT)
        limit(database, contract)
        session = {key: COOKIE, secrets: [secret], same_site: :lax, httponly: true, expire_after: STAYS, path: "/"}
        sign_in = SignIn.on(database, secret)
        Rack::Builder.app do
          use Safe
          use Reached, database
          use Rack::Session::Cookie, **session
          use Rack::Attack
          use sign_in
          use Gate, database, contract
          run app
        end
      end

      # A secret that is made once and kept in a file that nobody else may read.
      def secret(folder)
        path = File.join(folder, "secret")
        File.write(path, SecureRandom.hex(64), perm: 0o600) unless File.exist?(path)
        File.read(path)
      end

      # Whether a request came from this machine, by no proxy.
      def here?(env) = LOOPBACK.include?(env["REMOTE_ADDR"]) && !env.key?("HTTP_X_FORWARDED_FOR")

      # Where a request comes from: what it says itself of that is believed of a proxy on this machine alone.
      def address(env)
        said = env["HTTP_X_FORWARDED_FOR"].to_s.split(",").last&.strip if LOOPBACK.include?(env["REMOTE_ADDR"])
        said || env["REMOTE_ADDR"]
      end

      # Whether a name in an address means anything to another machine.
      def elsewhere?(host) = !["localhost", "[::1]", *LOOPBACK].include?(host)

      private

      # The application as it is reached from elsewhere in the house, by whatever name its machine has there.
      def behind_a_door
        Class.new(App) do
          set :house, true
          set :host_authorization, permitted_hosts: []
        end
      end

      def limit(database, contract)
        Rack::Attack.cache.store = Attempts.new(database)
        Rack::Attack.throttle("to come in, by address", **TRIES) { |request|
          address(request.env) if request.post? && request.path.match?(COMING_IN)
        }
        Rack::Attack.throttle("heavy questions, by account", **HEAVY) { |request|
          request.env["rack.session"]["account_id"] if contract.heavy?(request.request_method, request.path)
        }
        Rack::Attack.throttle("changes, by account", **CHANGES) { |request|
          request.env["rack.session"]["account_id"] unless request.get? || request.head?
        }
        Rack::Attack.throttled_responder = lambda do |request|
          wait = request.env["rack.attack.match_data"].then { _1[:period] - _1[:epoch_time] % _1[:period] }
          [429, {"content-type" => "application/json", "retry-after" => wait.to_s},
            [JSON.generate("problems" => [{"at" => "", "says" => "That was too often: wait " \
              "#{(wait / 60.0).ceil} min, then try again. Nothing was changed."}])]]
        end
      end
    end

    # The door asks the database before the application does, and answers as it does when that is away.
    class Reached
      def initialize(app, database)
        @app, @database = app, database
      end

      def call(env)
        Reaching.call(@database, again: env["REQUEST_METHOD"] == "GET") { @app.call(env) }
      rescue Reaching::Trouble => trouble
        [trouble.class.status, {"content-type" => "application/json"},
          [JSON.generate("problems" => [{"at" => "", "says" => trouble.class.says}])]]
      end
    end

    # Behind TLS, the cookie goes over nothing else, and has the name that only such a one may have. A proxy on this
    # machine says that there is.
    class Safe
      # Source: RFC 6265bis, 4.1.3.2: Secure, for this host alone, for all of it.
      SECURE = "__Host-#{COOKIE}"

      def initialize(app)
        @app = app
      end

      def call(env)
        return @app.call(env) unless tls?(env)
        status, headers, body = @app.call(env.merge("HTTP_COOKIE" => within(env["HTTP_COOKIE"].to_s)))
        headers = headers.merge("strict-transport-security" => "max-age=31536000")
        headers["set-cookie"] = Array(headers["set-cookie"]).map { without(_1) } if headers["set-cookie"]
        [status, headers, body]
      end

      private

      def tls?(env)
        env["rack.url_scheme"] == "https" ||
          (LOOPBACK.include?(env["REMOTE_ADDR"]) && env["HTTP_X_FORWARDED_PROTO"] == "https")
      end

      # Only the cookie that came over TLS counts there: one of the same name from before it does not.
      def within(cookies)
        cookies.split(/;\s*/).reject { _1.start_with?("#{COOKIE}=") }.map { _1.sub(/\A#{SECURE}=/o, "#{COOKIE}=") }
          .join("; ")
      end

      def without(cookie) = "#{cookie.sub(/\A#{COOKIE}=/o, "#{SECURE}=")}; secure"
    end
  end
end
