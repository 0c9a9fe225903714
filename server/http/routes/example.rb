# frozen_string_literal: true

require_relative "../../demo"

module Server
  module Routes
    # The example street, for who began with nothing and wants to look round.
    module Example
      def self.registered(app)
        app.instance_eval do
          changes("/api/example", code: 201) {
            Demo.load(store)
            {"ok" => true}
          }
        end
      end
    end
  end
end
