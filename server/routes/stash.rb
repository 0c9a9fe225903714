# frozen_string_literal: true

require_relative "../files/stash_file"

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
            Files::StashFile.write(store.materials.all(units).map { _1["material"] }, units)
          end

          post("/api/stash.csv") {
            JSON.generate(store.materials.take_in(
              Files::StashFile.read(sent["csv"], sent["units"]), sent["units"], dry: sent["dry"]
            ))
          }

          get("/api/materials/:id/ledger") {
            JSON.generate("entries" => store.materials.entries(id,
              params["units"] || "in"))
          }

          post("/api/materials/:id/ledger") {
            JSON.generate(store.materials.move(id, sent["kind"], sent["piece"],
              sent["change"], sent["units"]))
          }

          post("/api/materials/:id/splice") {
            JSON.generate(store.materials.splice(id, sent["piece"], sent["at"],
              sent["units"]))
          }

          post "/api/actions/:id/undo" do
            store.ledger.undo(id)
            JSON.generate("ok" => true)
          end

          get("/api/materials") { JSON.generate("materials" => store.materials.all(params["units"])) }

          post "/api/materials" do
            status 201
            JSON.generate(store.materials.add(sent["material"], sent["units"]))
          end

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
