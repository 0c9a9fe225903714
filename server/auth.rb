# frozen_string_literal: true

require "rack/attack"
require "rack/session"
require "securerandom"
require_relative "http/contract"
require_relative "http/body_limit"
require_relative "http/forwarded_headers"
require_relative "auth/attempt_store"
require_relative "auth/gate"
require_relative "auth/pairings"
require_relative "auth/database_guard"
require_relative "auth/secure_cookie"
require_relative "auth/session_cookie"
require_relative "auth/sign_in"
require_relative "tenancy/workshops"

module Server
  # The application open to the house: who asks has to have signed in, on a device that was not shut out.
  module Auth
    # Seconds that a device stays signed in when nobody shuts it out.
    STAYS = SignIn::LONGEST
    # So many tries to come in or to say a password from one address, and heavy questions of one account, in so many
    # seconds.
    TRIES, HEAVY = {limit: 20, period: 300}.freeze, {limit: 240, period: 60}.freeze
    TRYING = %r{\A/api/(?:account/(?:sign-in|first|password|close|pairings/)|invitations/|workshop/delete)}
    # So many changes of one account in so many seconds: more than two hands make on several devices.
    CHANGES = {limit: 1_200, period: 60}.freeze
    LOOPBACK = %w[127.0.0.1 ::1 ::ffff:127.0.0.1].freeze
    # Where the route is noted that will answer.
    ROUTE = "lantern.route"
    # Bytes of a stranger's body: a name, a password, and what stands about them.
    MOST_OF_A_STRANGER = 16_000

    class << self
      # @param database [Sequel::Database]
      # @param secret [String] at least 64 characters
      # @param hsts [Boolean] as of {SecureCookie}
      # @yieldparam app [Class] the application, for a house
      # @yieldreturn [#call] the same with whatever stands between it and the door
      # @return [#call] the same behind a door
      def around(database, secret, hsts: true)
        app = yield(behind_a_door)
        database.extension(:date_arithmetic)
        contract = Contract.of(App::CONTRACT)
        limit(database, contract)
        SecureCookie.new(screens_before(door_of(app, database, contract, secret), app), hsts:)
      end

      # How much is taken in of a request before anybody looks at it: little, unless who sends it is signed in.
      # @return [Proc] as {HTTP::BodyLimit} asks it
      def body_limit(database, secret)
        known = knowing(database, secret) { |env| [env["lantern.account"] ? 200 : 401, {}, []] }
        lambda do |head|
          chunked = head.key?("HTTP_TRANSFER_ENCODING")
          next MOST_OF_A_STRANGER unless chunked || head["CONTENT_LENGTH"].to_i > MOST_OF_A_STRANGER
          cookies = head["HTTP_COOKIE"].to_s.gsub(SecureCookie::SECURE, COOKIE)
          asked = {"HTTP_COOKIE" => cookies, "HTTP_USER_AGENT" => head["HTTP_USER_AGENT"]}
          MOST_OF_A_STRANGER unless known.call(Rack::MockRequest.env_for("/api/", asked)).first == 200
        rescue Sequel::Error
          MOST_OF_A_STRANGER
        end
      end

      # A secret that is made once and kept in a file that nobody else may read.
      def secret(folder)
        path = File.join(folder, "secret")
        File.write(path, SecureRandom.hex(64), perm: 0o600) unless File.exist?(path)
        File.read(path)
      end

      # Whether a request came from this machine, by no proxy.
      def here?(env) = LOOPBACK.include?(env["REMOTE_ADDR"]) && !env[HTTP::ForwardedHeaders::HANDED_ON]

      # Whether a name in an address means anything to another machine.
      def elsewhere?(host) = !["localhost", "[::1]", *LOOPBACK].include?(host)

      private

      # Screens are for everybody; whoever asks for data goes by the door.
      def screens_before(door, app)
        lambda do |env|
          next app.call(env) unless env["PATH_INFO"].start_with?("/api/")
          env[ROUTE] = App.route_of(env["REQUEST_METHOD"], env["PATH_INFO"])
          door.call(env)
        end
      end

      def door_of(app, database, contract, secret)
        sign_in, session = SignIn.on(database, secret), session(secret)
        Rack::Builder.app do
          use DatabaseGuard, database
          use Rack::Session::Cookie, **session
          use SessionCookie
          use Rack::Attack
          use sign_in
          use Gate, database, contract
          run app
        end
      end

      # Only who asks is found out.
      def knowing(database, secret, &answer)
        sign_in, session = SignIn.on(database, secret), session(secret)
        Rack::Builder.app do
          use Rack::Session::Cookie, **session
          use sign_in
          run answer
        end
      end

      def session(secret) = {key: COOKIE, secrets: [secret], same_site: :lax, httponly: true, expire_after: STAYS,
                             path: "/"}

      # The application as it is reached from elsewhere in the house, by whatever name its machine has there.
      def behind_a_door
        Class.new(App) do
          set :house, true
          set :host_authorization, permitted_hosts: []
        end
      end

      def limit(database, contract)
        Rack::Attack.cache.store = AttemptStore.new(database)
        Rack::Attack.throttle("to come in or say a password, by address", **TRIES) { |request|
          request.env["REMOTE_ADDR"] if request.post? && request.path.match?(TRYING)
        }
        Rack::Attack.throttle("heavy questions, by account", **HEAVY) { |request|
          request.env["rack.session"]["account_id"] if contract.heavy?(request.env[ROUTE])
        }
        Rack::Attack.throttle("changes, by account", **CHANGES) { |request|
          request.env["rack.session"]["account_id"] unless request.get? || request.head?
        }
        Rack::Attack.throttled_responder = lambda do |request|
          wait = request.env["rack.attack.match_data"].then { _1[:period] - _1[:epoch_time] % _1[:period] }
          minutes = (wait / 60.0).ceil
          Problem.response(429, "That was too often: wait #{minutes} min, then try again. Nothing was changed.",
            "retry-after" => wait.to_s)
        end
      end
    end
  end
end
