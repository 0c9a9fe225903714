# frozen_string_literal: true

module Server
  module Routes
    # What was deleted, for thirty days, and back from there.
    module Bin
      def self.registered(app)
        app.instance_eval do
          get "/api/bin" do
            JSON.generate("wreaths" => store.wreaths.binned, "materials" => store.materials.binned,
              "occasions" => store.occasions.binned)
          end

          changes("/api/bin/wreaths/:id") { store.wreaths.bring_back(id) }

          changes("/api/bin/materials/:id") { store.materials.bring_back(id) }

          changes("/api/bin/occasions/:id") { store.occasions.bring_back(id) }
        end
      end
    end
  end
end
