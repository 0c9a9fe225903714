# frozen_string_literal: true

require_relative "../files/template"

module Server
  module Routes
    # The bench, the notebook, and templates at their true size.
    module Bench
      # What the routes below ask for.
      module Asking
        def template
          plan = store.wreaths.find(id)["plan"]
          found = Lantern.templates(plan).find { _1.name == params["part"] } or raise Store::Missing
          Files::Template.new(found, plan["units"])
        end
      end

      def self.registered(app)
        app.helpers Asking
        app.instance_eval do
          get("/api/wreaths/:id/bench") { JSON.generate(store.bench.state(id)) }

          post("/api/wreaths/:id/bench") { JSON.generate(store.bench.take(id, sent["events"])) }

          get("/api/wreaths/:id/finish") { JSON.generate("materials" => store.notebook.form(id)) }

          post "/api/wreaths/:id/finish" do
            status 201
            JSON.generate(store.notebook.finish(id, sent))
          end

          get("/api/notebook") { JSON.generate("makes" => store.notebook.all, "learned" => store.notebook.learned) }

          get "/api/makes/:id/photo" do
            type, bytes = store.notebook.photo_of(id)
            content_type type
            bytes
          end

          deletes("/api/makes/:id") { store.notebook }

          get "/api/wreaths/:id/templates" do
            found = tried { Lantern.templates(store.wreaths.find(id)["plan"]).map(&:to_h) }
            JSON.generate("templates" => found["worked"] || [])
          end

          get "/api/wreaths/:id/template.svg" do
            content_type "image/svg+xml"
            attachment "#{params["part"]}-#{id}.svg"
            template.svg
          end

          get "/api/wreaths/:id/template.pdf" do
            file = template.pdf(params["paper"].to_s)
            content_type "application/pdf"
            attachment "#{params["part"]}-#{id}.pdf"
            file
          end
        end
      end
    end
  end
end
