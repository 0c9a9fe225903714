# frozen_string_literal: true

module Server
  module Routes
    # The maker's own forms.
    module Forms
      def self.registered(app)
        app.instance_eval do
          get("/api/forms") { JSON.generate("forms" => store.forms.all) }

          post "/api/forms" do
            status 201
            JSON.generate(store.forms.add(sent["name"], sent["form"], sent["units"]))
          end

          deletes("/api/forms/:id") { store.forms }
        end
      end
    end
  end
end
