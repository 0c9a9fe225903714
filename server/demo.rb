# frozen_string_literal: true

require "date"
require "json"

module Server
  # Tannery Row: the wreaths and the stash that a first visitor finds. Made up, every bit of it.
  module Demo
    PLANS = File.expand_path("../docs/examples", __dir__)

    module_function

    # The first day of summer after today: the walk is always ahead.
    def walk_day(today = Date.today) = [today.year, today.year + 1].map { Date.new(_1, 6, 21) }.find { _1 > today + 60 }.iso8601

    # Loads the demo into an empty store, once; what was deleted since stays deleted.
    def load(store)
      store.once("demo") do
        plans = Dir[File.join(PLANS, "*.json")].map { JSON.parse(File.read(_1)) }.sort_by { _1["name"][/\d+/].to_i }
        plans.flat_map { |plan| plan["materials"].map { [_1, plan["units"]] } }.uniq { |material, _| material["id"] }
          .each { |material, units| store.materials.add(material, units) }
        wreaths = plans.map { store.wreaths.add(_1) }
        walk = store.occasions.add("Lantern walk", "in", {"day" => walk_day, "budget" => "120.00", "evenings" => %w[monday tuesday thursday sunday], "hours" => 2.5, "drying" => 1, "delivery" => 2})
        store.occasions.gather(walk["id"], wreaths.map { _1["id"] })
      end
    end
  end
end
