# frozen_string_literal: true

require_relative "../svg/reader"
require_relative "../svg/true_size"

module Server
  module Routes
    # Questions about a plan. Nothing is stored.
    module Planning
      def self.registered(app)
        app.instance_eval do
          get("/api/ping") { JSON.generate("ok" => true) }

          get("/api/declarations") { JSON.generate(Lantern.declarations) }

          post("/api/work") { JSON.generate(Lantern.work(sent)) }

          # Problems are an answer too: a maker in the middle of typing makes them all the time.
          post("/api/work/try") { JSON.generate(tried { Lantern.work(sent) }) }

          post("/api/units") { JSON.generate(Lantern::Plan::Units.change(sent["plan"], to: sent["to"])) }

          post "/api/coverings" do
            JSON.generate("coverings" => Lantern::Ask::Comparison.new(with_stash(sent)).to_a)
          end

          post("/api/backwards") {
            JSON.generate("answers" => Lantern::Ask::Backwards.new(sent["plan"],
              layer: sent["layer"], budget:).to_a)
          }

          post("/api/bare") { JSON.generate(Lantern.bare(sent)) }

          post("/api/outlines") { JSON.generate("outlines" => Svg::Reader.read(sent["svg"])) }

          post "/api/form.svg" do
            content_type "image/svg+xml"
            Svg::TrueSize.write(Lantern.work(sent))
          end
        end
      end
    end
  end
end
