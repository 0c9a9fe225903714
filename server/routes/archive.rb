# frozen_string_literal: true

require_relative "../archive"

module Server
  module Routes
    # Everything as one file, out and in.
    module Archive
      def self.registered(app)
        app.instance_eval do
          get "/api/archive.json" do
            attachment "crisp-lantern.json"
            JSON.generate(store.archive.write)
          end

          post("/api/archive.json") { JSON.generate("restored" => store.archive.restore(sent)) }
        end
      end
    end
  end
end
