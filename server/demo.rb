# frozen_string_literal: true

require "json"

module Server
  # Tannery Row: the wreaths and the stash that a first visitor finds. Made up, every bit of it.
  module Demo
    PLANS = File.expand_path("../docs/examples", __dir__)

    module_function

    # Loads the demo into an empty store, once; what was deleted since stays deleted.
    def load(store)
      store.once("demo") do
        plans = Dir[File.join(PLANS, "*.json")].map { JSON.parse(File.read(_1)) }.sort_by { _1["name"][/\d+/].to_i }
        plans.flat_map { |plan| plan["materials"].map { [_1, plan["units"]] } }.uniq { |material, _| material["id"] }
          .each { |material, units| store.materials.add(material, units) }
        plans.each { store.wreaths.add(_1) }
      end
    end
  end
end
