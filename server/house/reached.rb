# frozen_string_literal: true

require_relative "../reaching"
require_relative "../refusal"

module Server
  module House
    # The door asks the database before the application does, and answers as it does when that is away.
    class Reached
      # @param database [Sequel::Database]
      def initialize(app, database)
        @app, @database = app, database
      end

      def call(env)
        Reaching.call(@database, again: env["REQUEST_METHOD"] == "GET") { @app.call(env) }
      rescue Reaching::Trouble => trouble
        Refusal.answer(trouble.class.status, trouble.class.says)
      end
    end
  end
end
