# frozen_string_literal: true

module Server
  module Routes
    # The maker's own forms.
    module Forms
      def self.registered(app)
        app.instance_eval do
          get("/api/forms") { JSON.generate("forms" => store.forms.all) }

          changes("/api/forms", code: 201) { store.forms.add(sent["name"], sent["form"], sent["units"]) }

          deletes("/api/forms/:id") { store.forms }
        end
      end
    end
  end
end
