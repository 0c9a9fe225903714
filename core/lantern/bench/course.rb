# frozen_string_literal: true

module Lantern
  # The work itself: steps in their order, and what to be careful of.
  module Bench
    # The course of the work, from the form to the look from a distance. Everything that is cut is cut before
    # the first step that uses it; the hanger is fitted before the covering, unless the maker wants it last.
    class Course
      # How the form is made ready, by its base: what to do, and the hand's move (common practice).
      READY = {
        wire: ["Tape over cut wire ends.", :tape_ends], foam: ["Brush off loose crumbs.", :smooth],
        board: ["Smooth the cut edges.", :smooth], vine: ["Trim stray twigs.", :smooth]
      }.freeze
      # Minutes to make a form ready, and as much again for everything that has to be done to it first; to begin
      # cutting, and to cut one piece; to look from a distance (from memory).
      READY_MINUTES = 4
      CUT_MINUTES = 2
      PIECE_MINUTES = 0.1
      LOOK_MINUTES = 4

      # @param plan [Plan::Document]
      # @param form [Form::Band]
      # @param layers [Array<Layer>]
      # @param stock [Array<Cut::Cutting>]
      # @param supplies [Supplies]
      def initialize(plan:, form:, layers:, stock:, supplies:)
        @plan, @form, @layers, @stock, @supplies = plan, form, layers, stock, supplies
      end

      # @return [Supplies] what is used up besides the materials
      attr_reader :supplies

      # @return [Array<Place::Step>]
      def steps
        @steps ||= begin
          steps = Titles.new(with_own([prepare, *cutting, *of_layers, look]), @layers).apart
          steps.map do |step|
            step.with(cautions: step.cautions.select { _1.on?(@form.base) }, takes: taken(step),
              because: because(step, steps), meanwhile: (meanwhile(step, steps) if step.waits))
          end
        end
      end

      # What it takes besides the material, in the order in which it is first taken up.
      # @return [Array<String>]
      def tools
        cutting = (@layers.any? { |layer| layer.required.any? { !_1.items? } }) ? ["scissors"] : []
        (cutting + steps.flat_map { |step| step.move.tools + step.cautions.flat_map(&:tools) }).uniq
      end

      # @return [Order] in which the layers are made
      def order = @order ||= Order.new(@layers)

      # @return [Numeric] for all wreaths of the plan: pieces are cut once for all of them
      def minutes = @minutes ||= steps.sum { (_1.id == "cut") ? _1.minutes : _1.minutes * @plan.quantity }

      # @return [Array<Place::Caution>]
      def cautions = Cautions.for(@form, @layers, steps)

      # The hanger is what is forgotten until last, and the back what nobody looks at.
      # @return [Array<Plan::Finding>]
      def findings = [*no_hanger, *Scratches.new(@plan, @form, @layers, supplies.fixings).findings]

      private

      def no_hanger
        return [] if @layers.none? { _1.class.stage.key == :cover } || @layers.any?(&:hangs?)
        [Plan::Finding.new(level: :note, code: "no_hanger", at: "hang",
          says: "Nothing to hang it by yet. Fitted before the covering, a hanger is out of sight.")]
      end

      # What a step takes up: everything that is cut, when it is cut; then what each layer's own needs are.
      def taken(step)
        return cut_needs.map { Taken.of(_1, @plan, times: @plan.quantity) } if step.id == "cut"
        layer = layer_of(step) or return own_taken(step)
        own = taken_of(layer).fetch(step.id, []).map { Taken.of(_1, @plan) }
        (fixing_step(layer).id == step.id) ? own + fixings_of(layer) : own
      end

      # What a step of the maker's own uses up.
      def own_taken(step)
        own = @plan.steps.each_with_index.find { |each, i|
          (each.id || "own-#{i + 1}") == step.id && step.move.key == :own
        }
        own && UsedUp.by(own.first, @plan).map { Taken.of(_1, @plan) }
      end

      # What is tied is tied in the last step that ties, or else in the last.
      def fixing_step(layer) = layer.course.reverse_each.find { _1.move.ties } || layer.course.last

      def fixings_of(layer) = supplies.fixings.select { _1.layer == layer.id }.map { Taken.fixing(_1) }

      def taken_of(layer)
        (@taken ||= {}.compare_by_identity)[layer] ||= Taken.shared_out(layer.course, layer.required)
      end

      # What is cut before the work begins.
      def cut_needs = @layers.flat_map(&:required).select { _1.cut? && !_1.own_cut }

      # The maker's own steps, each behind the last step of what it comes after; behind the hangers where nothing is
      # hung, before the look from a distance.
      def with_own(steps)
        @plan.steps.each_with_index.reduce(steps) do |all, (own, i)|
          all.dup.insert(place_of(own, all), own_step(own, i))
        end
      end

      def place_of(own, all)
        before = own.before && all.index { of_place?(_1, own.before) }
        return before if before
        after = own.after || own.before
        last = all.rindex { comes_before?(_1, after) } || all.rindex { of_place?(_1, after) } || gone(after, all)
        (last || ((after == "hang") ? all.size - 2 : 0)) + 1
      end

      # The step it stood by is none of this plan's any more: behind its layer, or where things were glued on.
      def gone(place, all)
        return all.rindex { _1.layer == place.split(".").first } unless place == "join"
        all.index { _1.id == "fluff" || layer_of(_1)&.then { |layer| after_gluing?(layer) } } - 1
      end

      # Whether a step is the one that a place names, or of the layer that it names.
      def of_place?(step, place)
        [step.id, step.layer].include?(place) || (!place.match?(/\A(?:#{OwnStep::PLACES.join("|")})\z/) &&
          step.layer == place.split(".").first && !@layers.any? { |each| each.course.any? { _1.id == place } })
      end

      def comes_before?(step, after)
        return step.id == after || step.after == after if OwnStep::PLACES.include?(after) && after != "hang"
        return true if step.after == after
        layer = layer_of(step) or return false
        (after == "hang") ? layer.hangs? : layer.id == after
      end

      OwnStep = Plan::OwnStep

      def own_step(own, number)
        Place::Step.new(id: own.id || "own-#{number + 1}", title: own.title, says: own.says, minutes: own.minutes,
          move: :own, after: own.after || own.before)
      end

      def prepare
        says, move = READY.fetch(@form.base)
        Place::Step.new(id: "prepare", title: "Prepare the form", says: [*@form.preparing, says].join(" "), move:,
          careful: Place::Move.fetch(move).cautions.map(&:key) + @form.holds,
          minutes: READY_MINUTES * (1 + @form.preparing.size))
      end

      # One step for all the pieces of all wreaths; runs are cut as they end, and some layers cut their own.
      def cutting
        pieces = cut_needs.sum(&:count) * @plan.quantity
        return [] if pieces.zero?
        [Place::Step.new(id: "cut", title: "Cut the pieces", count: pieces, unit: :pieces, move: :cut,
          shows: one_length, minutes: CUT_MINUTES + pieces * PIECE_MINUTES,
          look: ("Is it as long as it says?" if pieces == 1),
          says: (pieces == 1) ? "The cut sheet says from which length it comes." :
            "Cut one of each size, use it as the measure for the rest. The cut sheet says from which length each " \
            "comes.")]
      end

      # Where all are cut to one length, that is shown.
      def one_length
        lengths = cut_needs.map(&:length).uniq
        lengths.one? ? {"piece" => Measure::Length.text(lengths.first, units: @plan.units)} : {}
      end

      # In the order of the hands; what lies on something else is glued on between the coverings and what sits on them.
      def of_layers
        after, covered = order.layers.partition { after_gluing?(_1) }
        [*told(covered), *gluing, *told(after)]
      end

      def after_gluing?(layer) = !%i[beneath covering].include?(layer.turn)

      def layer_of(step) = @layers.find { _1.id == step.layer }

      # Why it comes where it does: after which steps, and for what reason. Most of a layer follow one another as they
      # are told.
      # @return [Array<String>, nil]
      def because(step, steps)
        layer = layer_of(step) or return BESIDES[step.id]
        own = steps.select { _1.layer == step.layer }
        if own.first.id != step.id
          return step.because && [reason(own[own.index(step) - 1], step.because)]
        end
        reasons = order.reasons(layer).filter_map do |other, says|
          last = steps.reverse_each.find { _1.layer == other.id }
          reason(last, says) if last
        end
        reasons unless reasons.empty?
      end

      # What can be made up while a step dries.
      def meanwhile(step, steps) = steps.drop(steps.index(step) + 1).select(&:on_table).map(&:id)

      def reason(step, says) = "After “#{step.title}”: #{says}."

      # Steps that are of no layer (common practice).
      BESIDES = {
        "cut" => ["Before the first step that uses what is cut: everything is laid ready."],
        "join" => ["After both are covered: the seam is out of reach before, and what follows hides it."],
        "fluff" => ["Last: only a whole wreath can be judged from across the room."]
      }.freeze
      private_constant :BESIDES

      def told(layers) = layers.flat_map { |layer| layer.course.map { with_lengths(_1, layer) } }

      # What lies on something else is glued on once both are covered, and before a cord hides the seam (common
      # practice).
      def gluing
        return [] if @form.glued.zero?
        along = Measure::Length.text(@form.glued, units: @plan.units)
        [Place::Step.new(id: "join", title: "Glue on what lies on top", move: :tack, minutes: 2 + @form.glued / 12,
          says: "Both are covered now. Glue along the seam, #{along} of it, a hand’s breadth at a time; lay it as " \
            "drawn, and press until it has set.", look: "Does nothing rock, and is it where it was drawn?")]
      end

      # After how many turns each length of what is wound comes to its end, where one wreath is cut from
      # them and nothing else is.
      def with_lengths(step, layer)
        return step unless step.count && @plan.quantity == 1
        wound = layer.wound_in(step)
        return step if wound.empty?
        needs = @layers.flat_map(&:required).select { _1.run? && _1.material == layer.material.id }
        return step unless needs.one?
        runs = @stock.find { _1.material.id == layer.material.id }.bars.flat_map(&:cuts).select(&:run?)
        (runs.size < 2) ? step : step.with(changes: ends(runs, needs.first, wound))
      end

      def ends(runs, need, wound)
        reached = 0.0
        laid = wound.each_with_object([0.0]) { |each, sums| sums << sums.last + each }
        turns = runs[0...-1].map do |cut|
          reached += cut.length.to_f - need.join
          laid.rindex { _1 <= reached + 1e-6 }
        end
        turns.select { _1.between?(1, wound.size - 1) }
      end

      def look
        Place::Step.new(id: "fluff", title: "Look from a distance", minutes: LOOK_MINUTES, move: :look,
          says: "#{Measure::Words.list(["Close the gaps that show from across the room",
            *("trim the fuzz" if fuzzy?), *("open the loops" if looped?)])}.")
      end

      # Cord and cloth leave ends of fibre.
      def fuzzy? = @layers.flat_map(&:materials).any? { %i[rope fabric].include?(_1.kind) }

      def looped? = @layers.any?(&:looped?)
    end
  end
end
