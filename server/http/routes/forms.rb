# frozen_string_literal: true

module Server
  module Routes
    module Forms
      def self.registered(app)
        app.instance_eval do
          get("/api/forms") do
            JSON.generate("forms" => store.forms.all.map { |each|
              about = each.values_at("form", "units")
              drawn = store.kept.fetch(store.kept.digest("drawn_form", about)) { asked(:drawn_form, *about) }
              each.merge("drawing" => JSON.parse(drawn)).compact
            })
          end

          changes("/api/forms", code: 201) { store.forms.add(sent["name"], sent["form"], sent["units"]) }

          deletes("/api/forms/:id") { store.forms }
        end
      end
    end
  end
end
