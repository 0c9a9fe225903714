# frozen_string_literal: true

module Server
  module Routes
    # Questions about a plan. Nothing is stored.
    module Planning
      def self.registered(app)
        app.instance_eval do
          get("/api/ping") { JSON.generate("ok" => true) }

          # Answers whether the database does or not, from what was last seen of it.
          # Where it does not, a proxy is told to ask another process.
          get("/api/health") {
            status(settings.database_there ? 200 : 503)
            failed = settings.store&.backups&.failed unless settings.house
            JSON.generate({"ok" => settings.database_there, "database" => settings.database_there,
                           "backup_failed" => failed}.compact)
          }

          get("/api/declarations") { JSON.generate(Lantern.declarations) }

          post("/api/work") { asked(:advised, sent) }

          # Problems are an answer too: a maker in the middle of typing makes them all the time.
          post("/api/work/try") { tried { asked(:work, sent) } }

          get("/api/revisions") { JSON.generate("revisions" => store.revisions.all) }

          get("/api/settings") { JSON.generate(store.settings.all) }

          put("/api/settings") { JSON.generate(store.settings.change(sent)) }

          post("/api/units") { JSON.generate(Lantern::Plan::Units.change(sent["plan"], to: sent["to"])) }

          post("/api/advice") {
            today = Date.today
            asked(:advice, sent, stash_in(sent["units"]), today.iso8601, Occasions::SHOP.sale(today)["sale"])
          }

          post("/api/coverings") { asked(:coverings, with_stash(sent)) }

          post("/api/backwards") { asked(:backwards, sent["plan"], sent["layer"], budget) }

          post("/api/bare") { asked(:bare, sent) }

          post("/api/outlines") { asked(:outlines, sent["svg"]) }

          post "/api/form.svg" do
            content_type "image/svg+xml"
            asked(:form_svg, sent)
          end
        end
      end
    end
  end
end
