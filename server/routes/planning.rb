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

          get "/api/declarations" do
            JSON.generate("forms" => Lantern::Form.declare, "coverings" => Lantern::Cover.all.map(&:declare), "materials" => Lantern::Plan::Material.declare,
              "money" => Lantern::Cost::Terms.field.fields.map(&:declare), "cutting" => Lantern::Plan::Document.fields.select { %i[sureness smallest_mark smallest_remnant].include?(_1.name) }.map(&:declare), "occasion" => Lantern::Occasion::Document.fields.map(&:declare))
          end

          post("/api/work") { JSON.generate(Lantern.work(sent)) }

          post("/api/units") { JSON.generate(Lantern::Plan::Units.change(sent["plan"], to: sent["to"])) }

          post "/api/coverings" do
            JSON.generate("coverings" => Lantern::Cover::Comparison.new(with_stash(sent)).to_a)
          end

          post("/api/backwards") { JSON.generate("answers" => Lantern::Cover::Backwards.new(sent["plan"], layer: sent["layer"], budget:).to_a) }

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
