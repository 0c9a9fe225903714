# frozen_string_literal: true

module Server
  module Routes
    # What is sent in parts: each as it arrives, and what becomes of the whole.
    module Uploads
      def self.registered(app)
        app.instance_eval do
          get("/api/uploads/:upload") { JSON.generate(store.uploads.there(params["upload"])) }

          put("/api/uploads/:upload/:number") {
            JSON.generate(store.uploads.keep(params["upload"], params["number"].to_i,
              env["rack.input"].read(Store::Uploads::MOST_BYTES + 1).to_s))
          }

          changes("/api/uploads/:upload/picture", code: 201) {
            store.uploads.open(params["upload"], sent["parts"]) do |file|
              # More than a photo may have is no photo, however many parts there are.
              address = Photo.address(file.read(Photo::MOST + 1).to_s)
              store.pictures.keep(asked(:safe_picture, address, "picture", *sent.values_at("square", "cut_out")))
            end
          }

          changes("/api/uploads/:upload/wreath", code: 201) {
            store.uploads.open(params["upload"], sent["parts"]) do |file|
              store.wreaths.take_in(asked_as_is(:carried_plan, file.read(Photo::MOST + 1).to_s))
            end
          }

          # Everything is replaced, names of requests with it; sent again because its answer was lost, it is not put
          # back a second time over what was done since.
          post("/api/uploads/:upload/archive") {
            store.once_replaced(params["upload"], "an archive in parts") {
              JSON.generate(store.uploads.open(params["upload"], sent["parts"]) { |whole|
                Backups.open(whole) { |file| store.backups.restore(file) }
              })
            }
          }
        end
      end
    end
  end
end
