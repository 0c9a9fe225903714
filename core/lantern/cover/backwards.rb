# frozen_string_literal: true

module Lantern
  module Cover
    # A covering worked backwards: from what is on hand, or from a sum of money, how close, how far and
    # how large. Every answer is found by working the plan forwards, so it can be trusted as far as the
    # plan can.
    class Backwards
      # Steps of a tape that are tried, in inches.
      STEP = Rational(1, 8)

      # More than so many of anything are not tried.
      MOST_TRIED = 120

      # @param document [Hash] a plan
      # @param layer [Integer] which of its layers
      # @param budget [BigDecimal, nil] what may be spent; nil to buy nothing
      # @raise [Plan::Refused]
      def initialize(document, layer:, budget: nil)
        @plan = Plan::Document.read(document)
        raise Plan::Refused.at("layer", "There is no layer #{layer + 1} in this plan.") unless layer.between?(0, @plan.layers.size - 1)
        @index = layer
        @layer = @plan.layers[layer]
        @budget = budget
        @works = Cover.work(@plan, @plan.band)
      end

      # @return [Array<Hash>] `says`, and `try` with the options that make it so
      def to_a = [enough, way_round, *varied, largest].compact

      private

      def enough
        {"says" => fits?(@plan) ? "#{means} enough for the whole of it." : "#{means} not enough for all of it."}
      end

      def means = @budget ? "#{Measure::Money.text(@budget)} is" : "What is on hand is"

      # How much of the covering it makes, when it is not enough for all.
      def way_round
        return if fits?(@plan)
        hundredths = (0..100).bsearch { |share| !covers?(share/100r) }
        share = [(hundredths || 101) - 1, 0].max
        {"says" => "It makes #{share} in 100 of the covering#{", #{text(@plan.band.run * share / 100)} along the middle" if share.positive?}."}
      end

      # The options that a covering can be eased or tightened by.
      def varied = @layer.covering.varies.filter_map { |vary| answer(vary) }

      def answer(vary)
        steps = vary.steps(@works[@index])
        return if steps.empty?
        # In the order of what they take, so that all that fit come before all that do not.
        ordered = (vary.takes == :more) ? steps : steps.reverse
        worst = ordered.bsearch_index { |value| !fits?(with(vary.option => value)) } || ordered.size
        return if worst.zero?
        best = ordered[worst - 1]
        {"says" => "#{vary.says}: #{said(vary, best)}.", "try" => {vary.option.to_s => best.is_a?(Integer) ? best : text(best)}}
      end

      # The same shape in other sizes, its band as wide as before.
      def largest
        sized = %i[width outside].find { @plan.form[_1] } or return
        size = @plan.form[sized]
        grown = (1..96).map { |i| size / 2 + i * size / 48 }
        worst = grown.bsearch_index { |each| !fits?(resized(sized, each)) } || grown.size
        return if worst.zero?
        # What is joined must not be too short, so that a little smaller may not do where a little larger does.
        best = round_down(grown[worst - 1]).step(size / 4, -STEP).first(24).find { fits?(resized(sized, _1)) }
        {"says" => "The largest form like this that it covers is about #{text(best)} across."} if best
      end

      # A width up to the eighth below.
      def round_down(inches) = (inches / STEP).floor * STEP

      def resized(sized, size)
        factor = size / @plan.form[sized]
        form = @plan.form.dup
        %i[width height run].each { |name| form[name] *= factor if form[name] }
        if form[:outside] && form[:inside]
          form[:inside] += size - form[:outside]
          form[:outside] = size
        end
        form[:measured] = form[:measured].slice(:girth) if form[:measured]
        @plan.with(form:, band: Form.measure_sizes(form))
      rescue Plan::Refused
        nil
      end

      def with(changes)
        layers = @plan.layers.dup
        layers[@index] = @layer.with(options: @layer.options.merge(changes))
        @plan.with(layers:)
      end

      def fits?(plan)
        return true if plan.nil?
        works = Cover.work(plan, plan.band)
        affordable?(plan, works)
      rescue Plan::Refused
        false
      end

      # Whether a share of every need can be had.
      def covers?(share)
        works = @works.map { |covering| Part.new(covering.id, covering.required.map { |need| need.run? ? need.with(length: need.length * share) : need.with(count: (need.count * share).floor) }.reject { _1.total.zero? }) }
        affordable?(@plan, works)
      end

      Part = Struct.new(:id, :required)
      private_constant :Part

      def affordable?(plan, works)
        plan = plan.with(materials: plan.materials.map { _1.with(offers: []) }) unless @budget
        stock = Cut.work(plan, works)
        return false if stock.any? { _1.short.positive? }
        @budget.nil? || Cost.work(plan, stock).to_buy <= @budget
      end

      def said(vary, value) = value.is_a?(Integer) ? "#{value}#{" #{vary.unit}" if vary.unit}" : text(value)

      def text(inches) = Measure::Length.text(inches, units: @plan.units)

      # One option that can be varied: how many or how long, and whether more of it takes more material.
      Vary = Value.define(:option, :takes, :says, :unit, :most) do
        # @return [Array<Numeric>] values to try, rising
        def steps(covering)
          now = covering.public_send(option)
          return (1..most_of(covering)).to_a if now.is_a?(Integer)
          top = [(most ? covering.public_send(most) : now * 3), STEP].max
          (0..(top / STEP).floor).map { _1 * STEP }.select { _1.positive? || now.zero? }.last(2000)
        end

        # The most that the option may be, but no more than anybody would try.
        def most_of(covering) = [covering.class.options.find { _1.name == option }.declare["most"], MOST_TRIED].min
      end
    end
  end
end
