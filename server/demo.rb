# frozen_string_literal: true

require "date"
require "json"
require_relative "storage/photo"

module Server
  # Tannery Row: the wreaths and the stash that a first visitor finds. Made up, every bit of it.
  module Demo
    PLANS = File.expand_path("../docs/examples", __dir__)

    module_function

    # The first day of summer after today: the walk is always ahead.
    def walk_day(today = Date.today) = [today.year, today.year + 1].map { Date.new(_1, 6, 21) }.find { _1 > today + 60 }
      .iso8601

    # What last year's wreaths took: rope a little more than the sum, tape a little less.
    TOOK = {"Door 7, rope ring" => {"rope" => [1.06, 1.09, 1.04, 1.08]},
            "Door 3, marigold wrap" => {"tape" => [0.97, 0.99]},
            "Door 18, rust stripes" => {"rust" => [1.03, 0.95, 1.07, 0.93, 1.01, 1.05, 0.98, 0.94, 1.09, 1.0]},
            "Door 2, over and under" => {"thin-cord" => [1.05, 0.93, 1.12, 0.97, 1.02, 0.9]}}.freeze
    NOTES = ["Lay them, do not haul them.", "The last coil wanted glue.", "", "Better with the hanger first.", "", ""]
      .freeze

    def makes(store, wreaths)
      notes = NOTES.cycle
      TOOK.each do |name, materials|
        wreath = wreaths.find { _1["name"] == name } or next
        materials.each do |material, ratios|
          worked = Lantern.work(wreath["plan"])
          # What the maker has under the same id is another thing: the street's own has a number behind it then.
          used = worked["materials"].find { _1["id"].match?(/\A#{material}(?:-\d+)?\z/) } or next
          longest = worked["steps"].max_by { _1["minutes"] }
          ratios.each do |ratio|
            store.bench.take(wreath["id"], [{"event" => "demo-#{wreath["id"]}-#{ratio}", "step" => longest["id"],
                                             "kind" => "time", "amount" => (longest["minutes"] * 60 * ratio).round}])
            store.notebook.finish(wreath["id"],
              {"used" => {used["id"] => (used["needed"] * ratio).round(2)}, "note" => notes.next})
          end
        end
      end
    end

    # Doors of the street: one as a photo of it would show it (a drawing that stands in for one), others that are drawn.
    def places(store, wreaths)
      Dir[File.join(PLANS, "places/*.json")].sort.each do |file|
        name, place, on_it = JSON.parse(File.read(file)).values_at("name", "place", "wreaths")
        if place["photo"]
          bytes = File.binread(file.sub(/json\z/, "jpg"))
          store.pictures.keep(Photo::Safe.new("image/jpeg", bytes, *place["photo"].values_at("width", "height")))
        end
        kept = store.places.put(name, place)
        wreaths.select { on_it.include?(_1["name"]) }.each { |wreath| store.places.hang(wreath["id"], kept["id"], nil) }
      end
    end

    # Loads the demo into an empty store, once; what was deleted since stays deleted.
    def load(store)
      store.once("demo") do
        # What the maker has under the same name stays theirs.
        own = store.materials.by_slug
        plans = Dir[File.join(PLANS, "*.json")].sort.map { JSON.parse(File.read(_1)) }
        doors, others = plans.partition { _1["name"].match?(/\ADoor \d/) }
        plans = doors.sort_by { _1["name"][/\d+/].to_i } + others
        plans.flat_map { |plan| plan["materials"].map { [_1, plan["units"]] } }.uniq { |material, _| material["id"] }
          .reject { |material, _| own.key?(material["id"]) }
          .each { |material, units| store.materials.add(material, units) }
        wreaths = plans.map { store.wreaths.add(_1) }
        walk = store.occasions.add("Lantern walk", "in",
          {"day" => walk_day, "budget" => "190.00", "evenings" => %w[monday tuesday thursday sunday], "hours" => 2.5,
           "drying" => 1, "delivery" => 2})
        store.occasions.gather(walk["id"], wreaths.first(doors.size).map { _1["id"] })
        makes(store, wreaths)
        places(store, wreaths)
      end
    end
  end
end
