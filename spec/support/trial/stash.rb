# frozen_string_literal: true

require "json"
require "securerandom"

module Trial
  # Whatever moves the stash, in any order, by two devices that now and then know only what was a while ago, and send
  # again what they have sent: against a model that knows only lengths.
  class Stash
    # What is on hand, in inches; and every change by its name, so that it can be taken back.
    class Lengths
      attr_reader :hand

      def initialize = (@hand, @done = [], {})

      # @return [Boolean] false when not all that goes is there
      # @param of [Object] what it belongs to, of which it settles a share: a name, whose, and how many
      def change(name, gone: [], come: [], of: nil)
        rest = @hand.dup
        return false unless gone.all? { |each| (at = nearest(rest, each)) && rest.delete_at(at) }
        @hand = (rest + come).sort
        @done[name] = {gone:, come:, of:}
      end

      # Becomes what somebody says it is: what is in both neither goes nor comes.
      def become(name, list)
        come = list.dup
        gone = @hand.reject { |each| (at = nearest(come, each)) && come.delete_at(at) }
        change(name, gone:, come:) if gone.any? || come.any?
      end

      # Takes a change back, and before it whatever belongs to it; all of it or nothing.
      def undo(name)
        before = [@hand, @done.dup]
        own = @done.keys.select { @done[_1][:of]&.first == name }.reverse + [name]
        return true if own.all? { |each| @done.delete(each).then { change(:back, gone: _1[:come], come: _1[:gone]) } }
        (@hand, @done = before) && false
      end

      def settled(name, whose)
        @done.values.filter_map { _1[:of] }.select { _1.first(2) == [name, whose] }.sum { _1.last }
      end

      private

      def nearest(list, length) = list.index { (_1 - length).abs < 0.002 }
    end

    ROLL, SMALLEST = 108.0, 6.0
    TAPE = {"id" => "tape", "kind" => "ribbon", "name" => "Tape", "width" => 1.5,
            "offers" => [{"length" => ROLL, "price" => "3.20"}], "on_hand" => [44, 31.5]}.freeze
    KINDS = %i[buy throw_away splice save csv cut uncut finish undo gather walk walk_back].freeze

    # @param ask [#call] verb, path, body and the request's own name; answers a status and a body
    # @param csv [#call] answers the stash as a file
    def initialize(ask, csv, random)
      @ask, @csv, @random = ask, csv, random
      @accepted = Hash.new(0)
    end

    # @return [Hash{Symbol=>Integer}] how often each was done, over all sequences
    attr_reader :accepted

    # One sequence, in a stash that is empty.
    # @return [String, nil] what went wrong
    def call(steps)
      begin_anew
      steps.times do
        kind = KINDS.sample(random: @random)
        send(kind)
        return "after #{@log.join(", ")}: #{kind} left #{there.inspect}, not #{@model.hand.inspect}" unless alike?
        @log << kind
      end
      nil
    end

    private

    def begin_anew
      @tape = ask("post", "/materials", {units: "in", material: TAPE}).last["id"]
      @wreaths = [[1, 20], [3, 17]].map { |many, long| ask("post", "/wreaths", {plan: plan(many, long)}).last["id"] }
      @walk = ask("post", "/occasions", {name: "Walk", units: "in", occasion: {}}).last["id"]
      @model, @log, @cuts = Lengths.new, [], {}
      done(come: TAPE["on_hand"].map(&:to_f))
      @seen = [{}, {}]
    end

    def plan(quantity, length)
      {format: "crisp-lantern/plan", version: 1, name: "A wreath", units: "in", quantity:, smallest_remnant: SMALLEST,
       form: {base: "foam", shape: "ring", outside: 12, inside: 8}, materials: [TAPE.except("on_hand")],
       layers: [{id: "row", method: "row_of", material: "tape", count: 3, recipe: [{material: "tape", length:}]}]}
    end

    # What one of the devices sees: as it is, or as it was when it looked last.
    def seen(what)
      device = @seen[@random.rand(2)]
      device[what] = yield if !device.key?(what) || @random.rand < 0.6
      device[what]
    end

    def material = ask("get", "/materials/#{@tape}").last

    def piece = seen(:material) { material }["material"]["on_hand"].sample(random: @random)

    # A wreath, with the sheet it would be cut by.
    def wreath
      id = @wreaths.sample(random: @random)
      [id, seen(id) { ask("get", "/wreaths/#{id}").last.then { _1.merge("sheet" => sheet(_1["plan"])) } }]
    end

    def sheet(plan) = ask("post", "/work", plan).last["cut_sheet"]

    def ask(verb, path, body = nil) = @ask.call(verb, path, body, nil)

    # Sent once, or again under its name, or again as another, as two devices would: done once, or refused.
    # @return [Object, nil] the body where it was done
    def change(kind, verb, path, body)
      name = "trial-#{SecureRandom.hex(8)}"
      status, answer = @ask.call(verb, path, body, (name if verb == "post"))
      again = @ask.call(verb, path, body, name) if verb == "post" && @random.rand < 0.3
      raise "#{kind} #{status}, and again #{again.first}" if again && again.first != status && status < 300
      raise "#{kind} #{status}" unless [200, 201, 404, 409, 422].include?(status)
      return if status > 299
      @accepted[kind] += 1
      answer
    end

    # The ledger's number of what was done last.
    def newest = ask("get", "/materials/#{@tape}/ledger?units=in").last["entries"].map { _1["action"] }.max

    def there = material["material"]["on_hand"].map(&:to_f).sort

    def alike?
      there.then { |hand| hand.size == @model.hand.size && hand.zip(@model.hand).all? { |a, b| (a - b).abs < 0.002 } }
    end

    def done(**change)
      @model.change(newest, **change) or raise "The model has not #{change[:gone]}"
    end

    def buy
      change(:buy, "post", "/materials/#{@tape}/ledger",
        {kind: "bought", piece: ROLL, change: 1, units: "in"}) or return
      done(come: [ROLL])
    end

    def throw_away
      gone = piece or return
      change(:throw_away, "post", "/materials/#{@tape}/ledger",
        {kind: "thrown_away", piece: gone, change: -1, units: "in"}) or return
      done(gone: [gone])
    end

    def splice
      whole = piece or return
      change(:splice, "post", "/materials/#{@tape}/splice", {piece: whole, at: whole / 4.0, units: "in"}) or return
      done(gone: [whole], come: [whole / 4.0, whole * 3 / 4.0])
    end

    def save
      material = seen(:material) { material() }
      hand = material["material"]["on_hand"].drop(@random.rand(2)) + [@random.rand(12.0..60.0).round(3)]
      change(:save, "put", "/materials/#{@tape}",
        {version: material["version"], units: "in", material: material["material"].merge("on_hand" => hand)}) or return
      @model.become(newest, hand)
    end

    # Out and in again, on whatever there was when it was taken out.
    def csv
      file, hand = seen(:csv) { [@csv.call, there] }
      change(:csv, "post", "/stash.csv", {csv: file, units: "in", dry: false}) or return
      @model.become(newest, hand)
    end

    def cut
      id, wreath = wreath()
      change(:cut, "post", "/wreaths/#{id}/cut", {version: wreath["version"], cut_sheet: wreath["sheet"]}) or return
      taken(wreath["sheet"], [id])
    end

    # By its bars: what each was taken from, unless it was bought for it, and what is left and kept.
    def taken(sheet, ids)
      bars = sheet.flat_map { |bar| [bar] * bar["times"] }
      action = newest
      @model.change(action, gone: bars.select { _1["from"] == "remnant" }.map { _1["length"] },
        come: bars.select { _1["keep"] }.map { _1["left"] }) or raise "The model has no such bars"
      ids.each { @cuts[_1] = action }
      action
    end

    def uncut
      id, wreath = wreath()
      change(:uncut, "post", "/wreaths/#{id}/uncut", {version: wreath["version"]}) or return
      back(@cuts[id])
    end

    def back(action)
      @model.undo(action) or raise "The model cannot take #{action} back"
      @cuts.reject! { |_, each| each == action }
    end

    def finish
      id = @wreaths.sample(random: @random)
      count = @random.rand(1..2)
      planned = ask("get", "/wreaths/#{id}/finish?count=#{count}").last["materials"].sum { _1["planned"] }
      used = [planned, 0, planned - 7, planned - 2, planned + 5].sample(random: @random)
      cut = @cuts[id]
      change(:finish, "post", "/wreaths/#{id}/finish", {used: {tape: used}, count:}) or return
      settled(id, cut, count, used - planned) if cut
    end

    # No more of a cut is finished than was cut for, whoever says so how often.
    def settled(id, cut, count, more)
      quantity = (id == @wreaths[0]) ? 1 : 3
      raise "more finished than #{quantity}" if @model.settled(cut, id) + count > quantity
      longest = @model.hand.last
      change = if more.zero? || (more.negative? && -more < SMALLEST) || (more.positive? && longest.to_f < more) then {}
      elsif more.negative? then {come: [-more]}
      else {gone: [longest], come: [longest - more].select { _1 >= SMALLEST }}
      end
      @model.change((change.empty? ? "nothing #{@log.size}" : newest), of: [cut, id, count], **change)
    end

    def undo
      entries = seen(:entries) { ask("get", "/materials/#{@tape}/ledger?units=in").last["entries"] }
      entry = entries.select { _1["can_undo"] || @cuts.value?(_1["action"]) }.sample(random: @random) or return
      action = entry["action"]
      change(:undo, "post", "/actions/#{action}/undo", {}) or return
      return back(action) if @cuts.value?(action)
      @model.undo(action) or raise "The model cannot take #{entry} back"
    end

    def gather
      change(:gather, "put", "/occasions/#{@walk}/wreaths",
        {wreaths: @wreaths.sample(@random.rand(0..2), random: @random)})
    end

    def walk
      planned = ask("get", "/occasions/#{@walk}").last["planned"]
      sheet = seen(:walk) { ask("get", "/occasions/#{@walk}/worked").last["cut_sheet"] }
      change(:walk, "post", "/occasions/#{@walk}/cut", {cut_sheet: sheet}) or return
      @walk_cut = taken(sheet, planned)
    end

    def walk_back
      change(:walk_back, "post", "/occasions/#{@walk}/uncut", {}) or return
      back(@walk_cut)
    end
  end
end
