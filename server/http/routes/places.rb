# frozen_string_literal: true

module Server
  module Routes
    # The doors that wreaths are looked at on, and pictures of wreaths on them.
    module Places
      def self.registered(app)
        app.instance_eval do
          get("/api/places") { JSON.generate("places" => store.places.all) }

          changes("/api/places", code: 201) { store.places.add(sent["name"], sent["place"]) }

          get("/api/places/:id") { JSON.generate(store.places.find(id)) }

          put("/api/places/:id") {
            JSON.generate(store.places.change(id, sent["version"], sent["name"], sent["place"]))
          }

          deletes("/api/places/:id") { store.places }

          get "/api/wreaths/:id/on-place.jpg" do
            plan = store.wreaths.find(id)["plan"]
            place = store.places.find(params["place"].to_i)["place"]
            at = [params["x"], params["y"]].map(&:to_f) if params["x"]
            asked = {"plan" => plan, "place" => place, "at" => at, "back" => params["back"] == "yes"}.compact
            photo = place["photo"] && store.pictures.find(place["photo"]["id"])[:bytes]
            attachment "wreath-#{id}-on-its-door.jpg"
            content_type "image/jpeg"
            asked_as_is(:door_picture, asked, store.pictures.of(plan), photo)
          end
        end
      end
    end
  end
end
