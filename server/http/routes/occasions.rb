# frozen_string_literal: true

require_relative "../../export/calendar"
require_relative "../../shop"

module Server
  module Routes
    # Occasions: several wreaths for one day, and what is printed of them; and the simulated shop.
    module Occasions
      SHOP = Shop.new

      module Asking
        def today = Date.today

        def occasion_document = store.occasions.document(id, today:, sale: SHOP.sale(today))

        def worked_occasion = asked(:occasion, occasion_document)
      end

      def self.registered(app)
        app.helpers Asking
        app.instance_eval do
          get("/api/shop") { JSON.generate(SHOP.to_h(today)) }

          changes("/api/shop/prices") { {"changed" => store.materials.price(SHOP.offers)} }

          get("/api/occasions") { JSON.generate("occasions" => store.occasions.all) }

          changes("/api/occasions", code: 201) {
            store.occasions.add(sent["name"], sent["units"], sent["occasion"])
          }

          get("/api/occasions/:id") { JSON.generate(store.occasions.find(id)) }

          put("/api/occasions/:id") {
            JSON.generate(store.occasions.change(id, sent["version"], sent["name"],
              sent["units"], sent["occasion"]))
          }

          deletes("/api/occasions/:id") { store.occasions }

          put("/api/occasions/:id/wreaths") {
            gathered = sent["wreaths"] ? store.occasions.gather(id, sent["wreaths"]) :
              store.occasions.hang(id, sent["wreath"], sent["hangs"])
            JSON.generate(gathered)
          }

          changes("/api/occasions/:id/cut") { store.occasions.cut(id, sent["cut_sheet"], -> { occasion_document }) }

          changes("/api/occasions/:id/uncut") { store.occasions.uncut(id) }

          put("/api/occasions/:id/ticks") { JSON.generate(store.occasions.tick(id, sent["place"], sent["done"])) }

          get("/api/occasions/:id/worked") { worked_occasion }

          get("/api/occasions/:id/advice") { asked(:occasion_advice, occasion_document) }

          get("/api/occasions/:id/try") { tried { worked_occasion } }

          get "/api/occasions/:id/sheet.pdf" do
            attachment "occasion-#{id}.pdf"
            content_type "application/pdf"
            asked(:occasion_pdf, occasion_document, paper)
          end

          get "/api/occasions/:id/class.pdf" do
            attachment "class-#{id}.pdf"
            content_type "application/pdf"
            document = occasion_document
            asked(:class_pdf, document, document["plans"].map { store.pictures.of(_1) }, paper)
          end

          get "/api/occasions/:id/sheet.csv" do
            attachment "occasion-#{id}.csv"
            content_type "text/csv"
            asked(:occasion_csv, occasion_document)
          end

          get "/api/occasions/:id/days.ics" do
            attachment "occasion-#{id}.ics"
            content_type "text/calendar"
            Export::Calendar.write(id, JSON.parse(worked_occasion), store.occasions.changed_at(id))
          end
        end
      end
    end
  end
end
