# frozen_string_literal: true

require_relative "../files/cut_sheet"
require_relative "../svg/true_size"

module Server
  module Routes
    # Wreaths, and what is printed of them.
    module Wreaths
      def self.registered(app)
        app.instance_eval do
          get "/api/wreaths/:id/form.svg" do
            wreath = store.wreaths.find(id)
            attachment "form-#{id}.svg"
            content_type "image/svg+xml"
            Svg::TrueSize.write(Lantern.work(wreath["plan"]))
          end

          get "/api/wreaths/:id/cut-sheet.pdf" do
            attachment "cut-sheet-#{id}.pdf"
            content_type "application/pdf"
            Files::CutSheet.new(Lantern.work(store.wreaths.find(id)["plan"])).pdf(params["paper"].to_s)
          end

          get "/api/wreaths/:id/cut-sheet.csv" do
            attachment "cut-sheet-#{id}.csv"
            content_type "text/csv"
            Files::CutSheet.new(Lantern.work(store.wreaths.find(id)["plan"])).csv
          end

          get("/api/wreaths") { JSON.generate("wreaths" => store.wreaths.all) }

          post "/api/wreaths" do
            status 201
            JSON.generate(store.wreaths.add(sent["plan"]))
          end

          get("/api/wreaths/:id") { JSON.generate(store.wreaths.find(id)) }

          put("/api/wreaths/:id") { JSON.generate(store.wreaths.change(id, sent["version"], sent["plan"])) }

          deletes("/api/wreaths/:id") { store.wreaths }

          post("/api/wreaths/:id/cut") { JSON.generate(store.wreaths.cut(id, sent["version"], sent["cut_sheet"])) }

          post("/api/wreaths/:id/uncut") { JSON.generate(store.wreaths.uncut(id, sent["version"])) }

          put("/api/wreaths/:id/ticks") { JSON.generate(store.wreaths.tick(id, sent["place"], sent["done"])) }
        end
      end
    end
  end
end
