# frozen_string_literal: true

module Server
  module Routes
    # Everything as one file, out and in; and the backups that the application makes of its own.
    module Archive
      def self.registered(app)
        app.instance_eval do
          get "/api/archive.jsonl" do
            attachment "crisp-lantern-#{Time.now.utc.strftime("%Y-%m-%d")}.jsonl"
            content_type "application/x-ndjson"
            stream { |out| store.archive.each_line { out << _1 } }
          end

          post("/api/archive.jsonl") {
            JSON.generate(Backups.open(env["rack.input"]) { |file| store.backups.restore(file) })
          }

          get "/api/backups" do
            backups = store.backups
            said = {backups: backups.list, passed_over: backups.passed_over, last_good: backups.last_good,
                    failed: backups.failed}
            JSON.generate(said.compact)
          end

          post("/api/backups") { JSON.generate("name" => store.backups.make("by-hand")) }

          post("/api/backups/:name/bring-back") { JSON.generate(store.backups.bring_back(params["name"])) }
        end
      end
    end
  end
end
