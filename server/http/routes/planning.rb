# frozen_string_literal: true

require_relative "../declarations"

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

          declarations = Declarations.new
          get("/api/declarations") {
            text, digest = declarations.written
            cache_control :private, :no_cache
            # Weak: it is the same packed and not (RFC 9110, 8.8.1).
            etag digest, :weak
            text
          }

          get "/api/moves/:key" do
            move = Lantern::Place::Move::ALL.find(params["key"]) or raise Store::Missing
            JSON.generate(move.to_h)
          end

          post("/api/work") { asked(:advised, sent) }

          get("/api/revisions") { JSON.generate("revisions" => store.revisions.all) }

          get("/api/settings") { JSON.generate(store.settings.all) }

          put("/api/settings") { JSON.generate(store.settings.change(sent)) }

          post("/api/ask/outlines") { asked(:outlines, sent["svg"]) }

          post "/api/ask/form.svg" do
            content_type "image/svg+xml"
            asked(:form_svg, sent)
          end
        end
      end
    end
  end
end
