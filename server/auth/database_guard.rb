# frozen_string_literal: true

require_relative "../database/errors"
require_relative "../http/problem"

module Server
  module Auth
    # The door asks the database before the application does, and answers as it does when that is away.
    class DatabaseGuard
      # @param database [Sequel::Database]
      def initialize(app, database)
        @app, @database = app, database
      end

      def call(env)
        DatabaseErrors.translate(@database, again: env["REQUEST_METHOD"] == "GET") { @app.call(env) }
      rescue DatabaseErrors::Unavailable => away
        Problem.response(away.status, away.message)
      end
    end
  end
end
