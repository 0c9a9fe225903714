# frozen_string_literal: true

require "json"

module Trial
  # Two actions that touch the same lots, side by side, so often: no lot goes below nothing, what is on hand is the
  # sum of what came and went, and nobody is answered with an error.
  class Pairs
    # @param application [#ask] an API
    # @param database [Sequel::Database] its database
    def initialize(ask, store, database)
      @ask, @store, @database = ask, store, database
    end

    # @return [Hash]
    def call(times)
      names = actions.keys
      pairs = names.combination(2).to_a + names.map { [_1, _1] }
      @statuses, wrong = Hash.new(0), []
      pairs.each { |pair| times.times { wrong << pair unless right?(pair) } }
      {"pairs" => pairs.size, "times" => pairs.size * times, "lots wrong" => wrong.size,
       "500s" => @statuses.sum { |status, count| (status >= 500) ? count : 0 },
       **@statuses.sort.to_h { ["#{_1}s", _2] }}
        .tap { wrong.uniq.first(9).each { |pair| warn "  #{pair.join(" and ")}" } }
    end

    private

    ROPE = {"id" => "rope", "kind" => "rope", "name" => "Cord", "diameter" => 0.3125,
            "offers" => [{"length" => 120, "price" => "1.75"}], "on_hand" => [120] * 14 + [60]}.freeze
    RING = {"format" => "crisp-lantern/plan", "version" => 1, "name" => "Ring", "units" => "in",
            "form" => {"base" => "wire", "shape" => "ring", "outside" => 14, "inside" => 8},
            "materials" => [ROPE.merge("on_hand" => [])],
            "layers" => [{"id" => "base", "method" => "rope_coil", "material" => "rope"}]}.freeze
    private_constant :ROPE, :RING

    def actions = @actions ||= {
      cut: -> { ask("post", "/wreaths/#{@wreaths[0]}/cut", {version: 1, cut_sheet: @sheet}) },
      cut_another: -> { ask("post", "/wreaths/#{@wreaths[1]}/cut", {version: 1, cut_sheet: @sheet}) },
      cut_back: -> { ask("post", "/wreaths/#{@wreaths[2]}/uncut", {version: 2}) },
      finish: -> { ask("post", "/wreaths/#{@wreaths[2]}/finish", {used: {"rope" => "70 ft"}}) },
      save: -> {
        ask("put", "/materials/#{@rope}", {version: 1, units: "in", material: ROPE.merge("on_hand" => [120, 60])})
      },
      buy: -> { ask("post", "/materials/#{@rope}/ledger", {kind: "bought", piece: 120, change: 1, units: "in"}) },
      throw_away: -> {
        ask("post", "/materials/#{@rope}/ledger", {kind: "thrown_away", piece: 120, change: -5, units: "in"})
      },
      splice: -> { ask("post", "/materials/#{@rope}/splice", {piece: 60, at: 20, units: "in"}) },
      take_in: -> { ask("post", "/stash.csv", {csv: @csv, units: "in", dry: false}) },
      undo: -> { ask("post", "/actions/#{@bought}/undo", {}) },
      delete: -> { ask("delete", "/materials/#{@rope}?version=1") },
      walk: -> { ask("post", "/occasions/#{@walk}/cut", {cut_sheet: @walk_sheet}) }
    }

    def ask(verb, path, body = nil) = @ask.call(verb, path, body)

    def right?(pair)
      prepare
      pair.map { |name| Thread.new { @statuses[actions.fetch(name).call.first] += 1 } }.each(&:join)
      sums == lots && lots.values.none?(&:negative?)
    end

    def prepare
      @store.empty
      @rope = ask("post", "/materials", {units: "in", material: ROPE}).last["id"]
      @wreaths = Array.new(4) { ask("post", "/wreaths", {plan: RING}).last["id"] }
      sheet = -> { ask("post", "/work", ask("get", "/wreaths/#{@wreaths[0]}").last["plan"]).last["cut_sheet"] }
      ask("post", "/wreaths/#{@wreaths[2]}/cut", {version: 1, cut_sheet: sheet.call})
      ask("post", "/materials/#{@rope}/ledger", {kind: "bought", piece: 120, change: 2, units: "in"})
      @bought = ask("get", "/materials/#{@rope}/ledger?units=in").last["entries"].first["action"]
      @walk = ask("post", "/occasions", {name: "Walk", units: "in", occasion: {}}).last["id"]
      ask("put", "/occasions/#{@walk}/wreaths", {wreaths: [@wreaths[3]]})
      @walk_sheet = ask("get", "/occasions/#{@walk}/worked").last["cut_sheet"]
      @sheet = sheet.call
      @csv = @store.csv.gsub("Cord", "Another cord")
    end

    SIDES = %i[material_id length width end_width].freeze
    private_constant :SIDES

    def sums = @database[:entries].group(*SIDES).select(*SIDES, Sequel.function(:sum, :change).as(:count)).all
      .to_h { [_1.values_at(*SIDES), _1[:count].to_i] }.reject { |_, count| count.zero? }

    def lots = @database[:lots].select(*SIDES, :count).all.to_h { [_1.values_at(*SIDES), _1[:count]] }
      .reject { |_, count| count.zero? }
  end
end
