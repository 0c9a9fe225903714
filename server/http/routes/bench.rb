# frozen_string_literal: true

module Server
  module Routes
    # The bench, the notebook, and templates at their true size.
    module Bench
      module Asking
        def template(task, *given)
          asked(task, store.wreaths.find(id)["plan"], params["part"], *given) or raise Store::Missing
        end
      end

      def self.registered(app)
        app.helpers Asking
        app.instance_eval do
          get("/api/wreaths/:id/bench") { JSON.generate(store.bench.state(id)) }

          changes("/api/wreaths/:id/bench") { store.bench.take(id, sent["events"]) }

          get("/api/wreaths/:id/finish") { JSON.generate(store.notebook.form(id, (params["count"] || 1).to_i)) }

          changes("/api/wreaths/:id/finish", code: 201) { store.notebook.finish(id, sent) }

          get("/api/notebook") {
            JSON.generate("makes" => store.notebook.all, "learned" => store.notebook.learned,
              "paces" => store.notebook.paces, "calibration" => store.notebook.calibration)
          }

          get "/api/makes/:id/photo" do
            type, bytes = store.notebook.photo_of(id)
            content_type type
            bytes
          end

          deletes("/api/makes/:id") { store.notebook }

          put("/api/makes/:id/late") { JSON.generate(store.notebook.settle_late(id, sent["take"])) }

          get "/api/wreaths/:id/templates" do
            JSON.generate("templates" => asked(:templates, store.wreaths.find(id)["plan"]))
          rescue Lantern::Plan::Refused
            JSON.generate("templates" => [])
          end

          get "/api/wreaths/:id/template.svg" do
            file = template(:template_svg)
            content_type "image/svg+xml"
            attachment "#{params["part"]}-#{id}.svg"
            file
          end

          get "/api/wreaths/:id/template.pdf" do
            file = template(:template_pdf, paper)
            content_type "application/pdf"
            attachment "#{params["part"]}-#{id}.pdf"
            file
          end
        end
      end
    end
  end
end
