# frozen_string_literal: true

module Server
  module Routes
    # Pictures, and what can be measured on them.
    module Pictures
      def self.registered(app)
        app.instance_eval do
          changes("/api/pictures", code: 201) {
            store.pictures.keep(asked(:safe_picture, sent["picture"], "picture", *sent.values_at("square", "cut_out")))
          }

          get "/api/pictures/:picture" do
            picture = store.pictures.find(params["picture"])
            # What has this name never changes.
            cache_control :private, :immutable, max_age: 31_536_000
            content_type picture[:type]
            picture[:bytes]
          end

          post "/api/ask/photo-sizes" do
            photo = store.pictures.find(sent["photo"])
            asked_as_is(:photo_sizes, sent.except("photo").merge("picture" => photo.slice(:width, :height)
              .transform_keys(&:to_s)), photo[:bytes])
          end
        end
      end
    end
  end
end
