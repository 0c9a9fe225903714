# frozen_string_literal: true

module Server
  module Routes
    # The doors that wreaths are looked at on, and pictures of wreaths on them.
    module Places
      # Pixels to an inch where several doors are beside one another.
      SMALL = 6

      module Asking
        # @return [String] a JPEG file
        def door_picture(plan, place, at, back: false, scale: nil)
          photo = place["photo"] && store.pictures.find(place["photo"]["id"])[:bytes]
          asked = {"plan" => plan, "place" => place, "at" => at, "back" => back}.compact
          asked_as_is(:door_picture, asked, store.pictures.of(plan), photo, scale)
        end

        def one_door = @one_door ||= store.places.doors([store.wreaths.find(id)]).first

        def doors = store.places.doors(store.wreaths.some(store.occasions.find(id)["wreaths"]))

        def door_digest(each) = store.kept.digest("door", [each[:wreath]["plan"], each[:document], each[:at]])

        # A door as it is beside others; made once.
        def small_door(each)
          store.kept.fetch(door_digest(each)) {
            [door_picture(each[:wreath]["plan"], each[:document], each[:at], scale: SMALL)].pack("m0")
          }.unpack1("m")
        end

        def door(each)
          wreath, place, document = each.values_at(:wreath, :place, :document)
          {"wreath" => wreath["id"], "name" => wreath["name"], "place" => place && place["id"],
           "called" => place && place["name"], "says" => (wide_says(*document.values_at("wide", "units")) if place),
           "picture" => door_digest(each)[0, 16]}.compact
        end

        # One that cannot be worked says so in the place of its picture, and the others are on the sheet all the same.
        def on_paper(each)
          said = door(each)
          about = {"wreath" => said["name"], "place" => said["called"], "says" => said["says"]}
          about.merge("picture" => small_door(each))
        rescue Lantern::Plan::Refused => refused
          about.merge("says" => "cannot be drawn yet: #{refused.problems.first.says}")
        end

        def wide_says(wide, units) = wide && "#{wide}#{" #{units}" if wide.is_a?(Numeric)} wide"
      end

      def self.registered(app)
        app.helpers Asking
        app.instance_eval do
          get("/api/places") { JSON.generate("places" => store.places.all) }

          changes("/api/places", code: 201) { store.places.add(sent["name"], sent["place"]) }

          get("/api/places/:id") { JSON.generate(store.places.find(id)) }

          put("/api/places/:id") {
            JSON.generate(store.places.change(id, sent["version"], sent["name"], sent["place"]))
          }

          deletes("/api/places/:id") { store.places }

          get("/api/wreaths/:id/place") { JSON.generate(store.places.of(store.wreaths.find(id)["id"])) }

          put("/api/wreaths/:id/place") { JSON.generate(store.places.hang(id, sent["place"], sent["at"])) }

          put("/api/wreaths/:id/swap-doors") {
            store.places.swap(id, sent["with"])
            JSON.generate("ok" => true)
          }

          get "/api/wreaths/:id/on-place.jpg" do
            place = store.places.find(params["place"].to_i)["place"]
            at = params.values_at("x", "y").map(&:to_f) if params["x"]
            attachment "wreath-#{id}-on-its-door.jpg"
            content_type "image/jpeg"
            door_picture(store.wreaths.find(id)["plan"], place, at, back: params["back"] == "yes")
          end

          get("/api/occasions/:id/doors") { JSON.generate("doors" => doors.map { door(_1) }) }

          get "/api/wreaths/:id/door.jpg" do
            digest = door_digest(one_door)
            # Asked for by what it follows from, it never changes.
            if params["of"] == digest[0, 16] then cache_control :private, :immutable, max_age: 31_536_000
            else cache_control :private, :no_cache
            end
            etag digest
            content_type "image/jpeg"
            small_door(one_door)
          end

          get "/api/occasions/:id/doors.pdf" do
            attachment "doors-#{id}.pdf"
            content_type "application/pdf"
            asked_as_is(:doors_pdf, store.occasions.find(id)["name"],
              doors.map { |each| on_paper(each) }, paper)
          end
        end
      end
    end
  end
end
