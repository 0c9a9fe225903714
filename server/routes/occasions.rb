# frozen_string_literal: true

require_relative "../files/calendar"
require_relative "../files/occasion_sheet"
require_relative "../shop"

module Server
  module Routes
    # Occasions: several wreaths for one day, and what is printed of them; and the simulated shop.
    module Occasions
      SHOP = Shop.new

      # What the routes below ask for.
      module Asking
        def today = Date.today

        def occasion_document = store.occasions.document(id, today:, sale: SHOP.sale(today))

        def worked_occasion = Lantern::Ask::Occasion.work(occasion_document)
      end

      def self.registered(app)
        app.helpers Asking
        app.instance_eval do
          get("/api/shop") { JSON.generate(SHOP.to_h(today)) }

          post("/api/shop/prices") { JSON.generate("changed" => store.materials.price(SHOP.offers)) }

          post("/api/occasions/work") { JSON.generate(Lantern::Ask::Occasion.work(sent)) }

          get("/api/occasions") { JSON.generate("occasions" => store.occasions.all) }

          post "/api/occasions" do
            status 201
            JSON.generate(store.occasions.add(sent["name"], sent["units"], sent["occasion"]))
          end

          get("/api/occasions/:id") { JSON.generate(store.occasions.find(id)) }

          put("/api/occasions/:id") {
            JSON.generate(store.occasions.change(id, sent["version"], sent["name"],
              sent["units"], sent["occasion"]))
          }

          deletes("/api/occasions/:id") { store.occasions }

          put("/api/occasions/:id/wreaths") { JSON.generate(store.occasions.gather(id, sent["wreaths"])) }

          post("/api/occasions/:id/cut") {
            JSON.generate(store.occasions.cut(id, sent["cut_sheet"],
              -> { occasion_document }))
          }

          post("/api/occasions/:id/uncut") { JSON.generate(store.occasions.uncut(id)) }

          put("/api/occasions/:id/ticks") { JSON.generate(store.occasions.tick(id, sent["place"], sent["done"])) }

          get("/api/occasions/:id/worked") { JSON.generate(worked_occasion) }

          get("/api/occasions/:id/try") { JSON.generate(tried { worked_occasion }) }

          get "/api/occasions/:id/sheet.pdf" do
            attachment "occasion-#{id}.pdf"
            content_type "application/pdf"
            Files::OccasionSheet.new(worked_occasion).pdf(params["paper"].to_s)
          end

          get "/api/occasions/:id/sheet.csv" do
            attachment "occasion-#{id}.csv"
            content_type "text/csv"
            Files::OccasionSheet.new(worked_occasion).csv
          end

          get "/api/occasions/:id/days.ics" do
            attachment "occasion-#{id}.ics"
            content_type "text/calendar"
            Files::Calendar.write(id, worked_occasion, store.occasions.changed_at(id))
          end
        end
      end
    end
  end
end
