# frozen_string_literal: true

module Lantern
  module Ask
    # What practising a covering on one's own material changes of a plan that uses it: its test piece in the place of
    # the sum, and the time of its maker's own hands.
    class Practice
      # One is planned no shorter and no longer than so many times as long (as {Plan::Pace} has it).
      PACE = (0.1..10.0)
      # Nobody's hands are ten times as fast: that was clicked through (from memory).
      CLICKED = 0.1

      # @param asked [Hash] a `plan`, the `layer` (its id), and what was found: the `test_piece` as the covering has it,
      #   and `seconds` for one of what its step counts
      # @param cache [#fetch] of what was worked out before
      # @return [Hash] ready for JSON: the `plan` with it taken up, what it `says` of the change, and what was `tried`,
      #   as a material keeps it
      # @raise [Plan::Refused]
      def self.answer(asked, cache: Cache::None) = new(asked, cache).to_h

      def initialize(asked, cache)
        @plan, @cache = asked["plan"], cache
        @before = Work.read(@plan, cache:)
        @index = @before.layers.index { _1.id == asked["layer"] } ||
          raise(Plan::Refused.at("layer", "There is no such layer."))
        @method = @plan["layers"][@index]["method"]
        @seconds = seconds(asked["seconds"])
        @clicked = @seconds && planned && @seconds < planned * CLICKED
        @test_piece = asked["test_piece"].is_a?(Hash) ? asked["test_piece"].compact : {}
        raise Plan::Refused.at("", "Nothing was measured yet.") if @seconds.nil? && @test_piece.empty?
      end

      # @return [Hash] ready for JSON
      def to_h = {"plan" => taken_up, "says" => says, "tried" => tried}

      private

      def seconds(said)
        return if said.nil?
        return said.to_f if said.is_a?(Numeric) && said.positive? && said <= 36_000
        raise Plan::Refused.at("seconds", "How long it took is a number of seconds, up to ten hours.")
      end

      def taken_up
        @taken_up ||= @plan.merge("layers" => layers, **(timed? ? {"paces" => paces} : {}))
      end

      def layers
        return @plan["layers"] if @test_piece.empty?
        @plan["layers"].each_with_index.map { |layer, i|
          (i == @index) ? layer.merge("test_piece" => (layer["test_piece"] || {}).merge(@test_piece)) : layer
        }
      end

      def timed? = @seconds && planned && !@clicked

      # Seconds for one, whatever was learned before.
      def planned = @planned ||= step(@before)&.then { _1.minutes / @before.layers[@index].pace / number(_1) * 60 }

      def paces
        others = Array(@plan["paces"]).reject { _1["method"] == @method }
        factor = (@seconds / planned).clamp(PACE.begin, PACE.end).round(2)
        [*others, {"method" => @method, "factor" => factor, "makes" => 1}]
      end

      def after = @after ||= Work.read(taken_up, cache: @cache)

      # The step of the layer that counts what is practised, or else the longest: that of a bow makes one.
      def step(work)
        course = work.layers[@index].course
        (course.any?(&:count) ? course.select(&:count) : course).max_by(&:minutes)
      end

      def number(step) = step.count || 1

      def says
        found, changed = direct.join("; "), Measure::Words.list(consequences, last: "and")
        said = [found, changed].reject(&:empty?)
        return timed if said.empty?
        ["#{Measure::Words.sentence(said.join(": "))}.", *timed]
      end

      # What was measured against what was taken for it.
      def direct
        @before.layers[@index].class.practised.filter_map { |figure, says|
          was, is = [@before, after].map { _1.layers[@index].figures[figure]&.to_f }
          next if was.nil? || is.nil? || text(was) == text(is)
          format(says, text(is), text(was))
        }
      end

      def consequences = [*count_changed, *length_changed, *packages_changed]

      def count_changed
        was, is = [@before, after].map { |work| step(work)&.then { number(_1) }.to_i }
        return if was == is
        unit = step(after).unit
        "#{(is - was).abs} #{unit ? unit.word((is - was).abs) : "pieces"} #{(is < was) ? "fewer" : "more"}"
      end

      def length_changed
        was, is = [@before, after].map { _1.layers[@index].required.reject(&:items?).sum(&:total).to_f }
        by = (is - was).abs
        return if by < 0.5
        "#{Measure::Length.long_text(by, units: @before.plan.units)} #{(is < was) ? "less" : "more"} of it"
      end

      def packages_changed
        was, is = [@before, after].map { |work| work.bill.to_h["to_buy"] }
        return if was == is
        money = Measure::Money.says(BigDecimal(is), @before.plan.currency)
        "#{money} to buy instead of #{Measure::Money.says(BigDecimal(was), @before.plan.currency)}"
      end

      def timed
        return ["So fast are no hands: the time is left out."] if @clicked
        return [] unless timed?
        planned = (step(@before).minutes / number(step(@before)) * 60).round
        by = (after.course.minutes - @before.course.minutes).round
        one = step(after).unit&.one || @before.layers[@index].class.title.downcase
        return ["One #{one} in #{@seconds.round} s, as planned."] if by.zero?
        longer = by.positive? ? "more" : "less"
        ["One #{one} in #{@seconds.round} s, not #{planned}: #{by.abs} min #{longer} at the bench."]
      end

      # Its lengths carry their units, so that they mean the same in every plan.
      def tried
        piece = @test_piece.to_h { |name, said| [name, lengths.include?(name) ? with_units(said) : said] }
        {"method" => @method, "test_piece" => (piece unless piece.empty?), "seconds" => (@seconds if timed?)}.compact
      end

      # @return [Array<String>] the names of a test piece's lengths
      def lengths
        @lengths ||= @before.layers[@index].class.options.find { _1.name == :test_piece }&.fields.to_a
          .grep(Plan::Field::Length).map { _1.name.to_s }
      end

      def with_units(said)
        Measure::Length.carries_units?(said.to_s) ? said : "#{said} #{@before.plan.units}"
      end

      def text(inches) = Measure::Length.text(inches, units: @before.plan.units)
    end
  end
end
