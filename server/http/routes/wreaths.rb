# frozen_string_literal: true

module Server
  module Routes
    # Wreaths, and what is printed of them.
    module Wreaths
      # What goes along in a picture, if it is asked for.
      module Along
        def photos(plan) = (params["photos"] == "yes") ? store.pictures.of(plan) : {}

        def along(plan) = (Lantern::Plan::Shared.outgoing(plan, prices: params.key?("prices")) if params["plan"])
      end

      def self.registered(app)
        app.helpers(Along)
        app.instance_eval do
          get "/api/wreaths/:id/form.svg" do
            wreath = store.wreaths.find(id)
            attachment "form-#{id}.svg"
            content_type "image/svg+xml"
            asked(:form_svg, wreath["plan"])
          end

          get "/api/wreaths/:id/cut-sheet.pdf" do
            attachment "cut-sheet-#{id}.pdf"
            content_type "application/pdf"
            asked(:cut_sheet_pdf, store.wreaths.find(id)["plan"], paper)
          end

          get "/api/wreaths/:id/pattern-card.pdf" do
            attachment "pattern-card-#{id}.pdf"
            content_type "application/pdf"
            plan = store.wreaths.find(id)["plan"]
            asked(:pattern_card, plan, paper, store.pictures.of(plan), request.base_url)
          end

          get("/api/wreaths/:id/thumbnail.png") {
            redirect "/api/wreaths/#{store.wreaths.find(id)["id"]}/thumbnail.webp", 301
          }

          get "/api/wreaths/:id/thumbnail.webp" do
            plan = store.wreaths.find(id)["plan"]
            digest = store.kept.digest("thumbnail", plan)
            content_type "image/webp"
            # Asked for by what it follows from, it never changes: whoever has it asks no more.
            if params["of"] == digest[0, 16] then cache_control :private, :immutable, max_age: 31_536_000
            else cache_control :private, :no_cache
            end
            etag digest
            store.kept.fetch(digest) { asked(:thumbnail, plan, store.pictures.of(plan)) }.unpack1("m")
          end

          get "/api/wreaths/:id/picture.svg" do
            plan = store.wreaths.find(id)["plan"]
            digest = store.kept.digest("picture", plan)
            attachment "wreath-#{id}.svg"
            content_type "image/svg+xml"
            # To send to somebody, with the photos in it; the list does without them.
            next asked(:picture, plan, photos(plan), along(plan)) if params["photos"] || params["plan"]
            # The same plan gives the same picture: whoever has it need not be sent it again.
            cache_control :private, :no_cache
            etag digest
            store.kept.fetch(digest) { asked(:picture, plan) }
          end

          get "/api/wreaths/:id/picture.png" do
            attachment "wreath-#{id}.png"
            content_type "image/png"
            plan = store.wreaths.find(id)["plan"]
            photos = (params["photos"] == "no") ? {} : store.pictures.of(plan)
            asked(:picture_png, plan, photos, along(plan), (request.base_url if params["code"]))
          end

          # Lines of JSON: how many frames are done, of how many, and in the last one the film, or why there is none.
          get "/api/wreaths/:id/film" do
            plan = store.wreaths.find(id)["plan"]
            photos, format = store.pictures.of(plan), params.fetch("format", "webp")
            content_type "application/x-ndjson"
            stream do |out|
              film = asked(:film, plan, photos, format, params["step"]) { out << "#{JSON.generate(_1)}\n" }
              out << JSON.generate("type" => "image/#{format}", "film" => [film].pack("m0"))
            rescue Lantern::Problem => refused
              out << JSON.generate("problems" => refused.problems.map(&:to_h))
            end
          end

          get("/api/wreaths/list") {
            JSON.generate("wreaths" => store.wreaths.listed_with(store.kept), "example" => !store.done?("demo"))
          }

          get "/api/wreaths/:id/summary" do
            plan = store.wreaths.find(id)["plan"]
            store.kept.fetch(store.kept.digest("summary", plan)) { asked(:summary, plan) }
          end

          get "/api/wreaths/:id/cut-sheet.csv" do
            attachment "cut-sheet-#{id}.csv"
            content_type "text/csv"
            asked(:cut_sheet_csv, store.wreaths.find(id)["plan"])
          end

          get("/api/wreaths") { JSON.generate("wreaths" => store.wreaths.all) }

          changes("/api/wreaths", code: 201) { store.wreaths.add(sent["plan"]) }

          changes("/api/wreaths/linked", code: 201) {
            store.wreaths.take_in(asked_as_is(:linked_plan, sent["link"].to_s))
          }

          get("/api/wreaths/:id") { JSON.generate(store.wreaths.find(id)) }

          get("/api/wreaths/:id/history") { JSON.generate("versions" => store.wreaths.history(id)) }

          put("/api/wreaths/:id") { JSON.generate(store.wreaths.change(id, sent["version"], sent["plan"])) }

          put("/api/wreaths/:id/instead") {
            JSON.generate(store.wreaths.instead(id, sent["version"], sent["instead"]))
          }

          deletes("/api/wreaths/:id") { store.wreaths }

          changes("/api/wreaths/:id/bought") { store.wreaths.buy(id, sent["version"], only: sent["only"]) }

          changes("/api/wreaths/:id/cut") { store.wreaths.cut(id, sent["version"], sent["cut_sheet"]) }

          changes("/api/wreaths/:id/uncut") { store.wreaths.uncut(id, sent["version"]) }

          put("/api/wreaths/:id/put-away") { JSON.generate(store.wreaths.put_away(id, sent["put_away"])) }

          put("/api/wreaths/:id/ticks") { JSON.generate(store.wreaths.tick(id, sent["place"], sent["done"])) }
        end
      end
    end
  end
end
