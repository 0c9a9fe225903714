# frozen_string_literal: true

require_relative "../../export/stash_file"

module Server
  module Routes
    # The stash, its ledger, and both as files.
    module Stash
      def self.registered(app)
        app.instance_eval do
          get "/api/stash.csv" do
            units = (params["units"] == "cm") ? "cm" : "in"
            attachment "stash.csv"
            content_type "text/csv"
            Export::StashFile.write(store.materials.all(units).map { _1["material"] }, units)
          end

          post "/api/stash.csv" do
            take_in = ->(dry) {
              JSON.generate(store.materials.take_in(Export::StashFile.read(sent["csv"], sent["units"]), sent["units"],
                dry:))
            }
            sent["dry"] ? take_in.call(true) : once(200) { take_in.call(false) }.last
          end

          get("/api/materials/:id/ledger") {
            JSON.generate("entries" => store.materials.entries(id,
              params["units"] || "in"))
          }

          changes("/api/materials/:id/ledger") {
            store.materials.move(id, sent["kind"], sent["piece"], sent["change"], sent["units"])
          }

          changes("/api/materials/:id/splice") { store.materials.splice(id, sent["piece"], sent["at"], sent["units"]) }

          changes("/api/actions/:id/undo") {
            store.undo(id)
            {"ok" => true}
          }

          get("/api/materials") { JSON.generate("materials" => store.materials.all(params["units"])) }

          changes("/api/materials", code: 201) { store.materials.add(sent["material"], sent["units"]) }

          get("/api/materials/:id") { JSON.generate(store.materials.find(id)) }

          put("/api/materials/:id") {
            JSON.generate(store.materials.change(id, sent["version"], sent["material"],
              sent["units"]))
          }

          deletes("/api/materials/:id") { store.materials }
        end
      end
    end
  end
end
