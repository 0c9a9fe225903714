# frozen_string_literal: true

module Lantern
  module Ask
    # A covering worked backwards: from what is on hand, or from a sum of money, how close, how far and
    # how large. Every answer is found by working the plan forwards, so it can be trusted as far as the
    # plan can.
    class Backwards
      # Sizes of a form that are tried, from half of it to two and a half times; and how many eighths below the
      # largest that was found.
      SIZES = 96
      EIGHTHS_TRIED = 24

      # @param asked [Hash] a `plan`, which `layer` of it, and a `budget` as it was typed
      # @return [Hash] ready for JSON
      # @raise [Plan::Refused]
      def self.answer(asked)
        {"answers" => new(asked["plan"], layer: asked["layer"], budget: budget(asked["budget"].to_s.strip)).to_a}
      end

      def self.budget(text)
        Measure::Money.read(text) unless text.empty?
      rescue Measure::Money::Unreadable
        raise Plan::Refused.at("budget", "A sum of money is a decimal such as 12.50.")
      end
      private_class_method :budget

      # @param document [Hash] a plan
      # @param layer [Integer] which of its layers
      # @param budget [BigDecimal, nil] what may be spent; nil to buy nothing
      # @raise [Plan::Refused]
      def initialize(document, layer:, budget: nil)
        @work = Work.read(document, cache: Cache.new)
        @plan = @work.plan
        unless layer.between?(0, @plan.layers.size - 1)
          raise Plan::Refused.at("layer", "There is no layer #{layer + 1} in this plan.")
        end
        @index = layer
        @budget = budget
        @work.layers
      end

      # @return [Array<Hash>] `key`, `says`, and `try` with the options that make it so
      def to_a = [enough, way_round, *varied, grown, largest].compact

      private

      def enough
        verdict = fits?(@work) ? "enough for the whole of it." : "not enough for all of it."
        {"key" => "enough", "says" => "#{means} #{verdict}"}
      end

      def means = @budget ? "#{@plan.money_says(@budget)} is" : "What you have is"

      # How much of all it makes, when it is not enough; of a covering also how far it goes.
      def way_round
        return if fits?(@work)
        hundredths = (0..100).bsearch { |share| !fits?(@work.sharing(share/100r)) }
        share = [(hundredths || 101) - 1, 0].max
        covering = @work.layers[@index].class.stage.key == :cover
        along = ", #{text(@work.form.run * share / 100)} along the middle" if covering && share.positive?
        {"key" => "way_round", "says" => "It makes #{share} % of #{covering ? "the covering" : "it"}#{along}."}
      end

      # The options that a covering can be eased or tightened by.
      def varied = @plan.layers[@index].kind.varies.filter_map { |vary| answer(vary) }

      def answer(vary)
        steps = vary.steps(@work.layers[@index])
        return if steps.empty?
        # In the order of what they take, so that all that fit come before all that do not.
        ordered = (vary.takes == :more) ? steps : steps.reverse
        best = last_that_fits(ordered) { |value| @work.with_options(@index, vary.option => value) } or return
        written = best.is_a?(Integer) ? best : text(best)
        {"key" => vary.option.to_s, "says" => "#{vary.says}: #{said(vary, best)}.",
         "try" => {vary.option.to_s => written}}
      end

      # What is made by hand, as much larger or smaller as what there is allows.
      def grown
        layer = @work.layers[@index]
        factor = last_that_fits(layer.enlargements) { @work.with_options(@index, layer.enlarged(_1)) } or return
        return if factor == 1
        larger = layer.enlarged(factor)
        {"key" => "grown", "says" => "The largest like this, no wider than the form: #{layer.told_as(larger)}.",
         "try" => layer.written(larger)}
      end

      # Of values that take more and more, the last that what there is allows.
      def last_that_fits(values)
        worst = values.bsearch_index { |value| !fits?(yield(value)) } || values.size
        values[worst - 1] unless worst.zero?
      end

      # The same shape in other sizes, its band as wide as before.
      def largest
        sized = %i[width outside].find { sizes[_1] } or return
        size = sizes[sized]
        found = last_that_fits((1..SIZES).map { |i| size / 2 + i * size / (SIZES / 2) }) { resized(sized, _1) } or
          return
        # What is joined must not be too short, so that a little smaller may not do where a little larger does.
        step = Layer::Vary::STEP
        best = ((found / step).floor * step).step(size / 4, -step).first(EIGHTHS_TRIED)
          .find { fits?(resized(sized, _1)) }
        return unless best
        {"key" => "largest", "says" => "The largest form like this that it covers is about #{text(best)} across."}
      end

      def sizes = @plan.form.sizes

      # @return [Work, nil] nil when there is no such form
      def resized(sized, size)
        factor = size / sizes[sized]
        form = sizes.dup
        %i[width height run].each { |name| form[name] *= factor if form[name] }
        if form[:outside] && form[:inside]
          form[:inside] += size - form[:outside]
          form[:outside] = size
        end
        form[:measured] = form[:measured].slice(:girth) if form[:measured]
        @work.with(form: Form::Said.new(sizes: form, band: Form.measure(form)))
      rescue Plan::Refused
        nil
      end

      # Whether it can be had: of what is on hand, or for the money.
      def fits?(work)
        return true if work.nil?
        work = work.with(materials: work.plan.materials.map { _1.with(offers: []) }) unless @budget
        work.enough? && (@budget.nil? || work.to_buy <= @budget)
      rescue Plan::Refused
        false
      end

      def said(vary, value) = value.is_a?(Integer) ? [value, vary.unit].compact.join(" ") : text(value)

      def text(inches) = Measure::Length.text(inches, units: @plan.units)
    end
  end
end
