# frozen_string_literal: true

require "json"

module Server
  module House
    # Nobody who has not signed in gets past it: the screens are for everyone, what they show is not.
    class Gate
      # What a stranger may ask: whether it is there, whether an account is needed, and to come in.
      OPEN = [%r{\A/api/(?:ping|health)\z}, %r{\A/api/account(?:/first|/pairings/[\w-]+)?\z}].freeze

      def initialize(app)
        @app = app
      end

      def call(env)
        path = env["PATH_INFO"].to_s
        return @app.call(env) if env["lantern.account"] || !path.start_with?("/api/") || open?(env, path)
        [401, {"content-type" => "application/json"},
          [JSON.generate("problems" => [{"at" => "", "says" => "Sign in first. What is on this screen is kept."}])]]
      end

      private

      # Making a pairing is for who is in; bringing one is for who is not.
      def open?(env, path) = OPEN.any? { path.match?(_1) } && (path != "/api/account" || env["REQUEST_METHOD"] == "GET")
    end
  end
end
