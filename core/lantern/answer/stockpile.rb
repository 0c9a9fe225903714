# frozen_string_literal: true

module Lantern
  module Answer
    # One material of the worked plan: what is needed, bought, cut and left.
    class Stockpile
      # @param entry [Cost::Entry]
      # @param plan [Plan::Document, Ask::Occasion::Document]
      def initialize(entry, plan)
        @entry = entry
        @cutting = entry.cutting
        @material = entry.material
        @plan = plan
        @units = plan.units
      end

      # @return [Hash] ready for JSON
      def to_h
        {
          "id" => @material.id, "name" => @material.name, "kind" => @material.kind.to_s,
          "needed" => @material.counted? ? demand.number : length(demand.total), "needed_says" => needed_says,
          "on_hand" => on_hand,
          "short" => length(@cutting.short),
          "buy" => @entry.buy.map { {"offer" => _1[:offer], "count" => _1[:count], "cost" => money(_1[:cost])} },
          "closed" => @cutting.closed,
          "chance_enough" => @entry.chance_enough, "joins" => @cutting.joins,
          "cutting" => @cutting.bars.each_with_index.map { |bar, i| bar(bar, i) },
          "optimal" => @cutting.optimal, "bound" => money(bound), "left" => @entry.remnants.map { length(_1) },
          "cost_to_buy" => money(@entry.to_buy), "cost_used" => money(@entry.used),
          "alternatives" => choice.alternatives.map { |each| each.except(:rate).transform_keys(&:to_s) },
          "reason" => choice.reason, "stands_in" => stands_in,
          "findings" => findings.map(&:to_h), "working" => working.map(&:to_h)
        }.compact
      end

      def counted? = @material.counted?

      # @return [Array<Hash>] every length opened as a bar
      def cut_sheet = CutBars.new(@cutting, @material, @plan).to_a

      private

      def demand = @cutting.demand

      def choice = @choice ||= Cost::Choice.new(@entry, @plan)

      def stands_in = (Cost::StandIn.new(@material, @units).says if @cutting.bought.any?)

      # As a maker says it: so many, so long, so many sheets.
      def needed_says
        return demand.number.to_s if counted?
        return text(demand.total) if @material.lengthwise?
        Measure::Words.count(@cutting.bars.size, "sheet")
      end

      def names = @names ||= BarName.new(@cutting, @units)

      def bound = Measure::Price.amount(@cutting.bound)

      def on_hand
        return length(@material.on_hand.sum(0r)) if @material.lengthwise?
        @material.sheets? ? @material.on_hand.size : @material.on_hand.sum
      end

      def bar(bar, index)
        {
          "from" => names.of(bar, index),
          "cuts" => bar.cuts.map { {"what" => _1.what, "length" => length(_1.length), "count" => _1.count} },
          "left" => length(bar.left)
        }
      end

      def findings
        at = "materials.#{@material.id}"
        if @cutting.short.positive?
          [Plan::Finding.new(level: :stop, code: "not_enough", at:,
            says: "Not enough #{@material.name}: #{short_says} short of what you have and can buy.")]
        elsif wheel?
          [Plan::Finding.new(level: :note, code: "round_a_hole", at:, says: "The pieces lie round a hole: no cut " \
            "goes through from edge to edge. Mark all of them first, and cut each only as far as the next one.")]
        elsif !@cutting.optimal
          [Plan::Finding.new(level: :note, code: "perhaps_less", at:, says: "This is the best way of cutting that " \
            "was found. Less than #{@plan.money_says(bound)} is not possible.")]
        else
          []
        end
      end

      def wheel? = @cutting.bars.any? { |bar| bar.cuts.any? { _1.block&.wheel } }

      def working
        return [] if demand.none?
        [
          *(line(:run, "Lengths that may be joined", "", text(demand.run)) if demand.run.positive?),
          *demand.pieces.each_with_index.map { |piece, i| piece_line(piece, i) },
          *joins, *allowance, *reserve, *buying,
          line(:used, used_by, "#{used_text} altogether", @plan.money_says(@entry.used))
        ]
      end

      def piece_line(piece, i)
        says = Measure::Words.sentence(piece.what)
        return line(:"piece_#{i + 1}", says, whole_ones(piece.count), piece.count.ceil.to_s) if counted?
        line(:"piece_#{i + 1}", says, pencil("%n × %l", piece.count, piece.length), text(piece.length * piece.count))
      end

      # Pieces that cannot be cut are counted; a length is measured.
      def short_says
        missing = demand.pieces.sum(&:count) - @cutting.bars.flat_map(&:cuts).reject(&:run?).sum(&:count)
        return text(@cutting.short) if counted? || demand.run.positive? || missing < 1
        "#{Measure::Words.count(missing.to_i, "piece")} of #{demand.pieces.sum(&:count)}"
      end

      def joins
        return unless @cutting.joins.positive?
        line(:joins, "Joins", pencil("%n × %l", @cutting.joins, demand.join), text(@cutting.joins * demand.join))
      end

      def allowance
        return unless demand.allowance.positive?
        line(:allowance, "To be #{Measure::Words.percent(@plan.sureness)} sure",
          pencil("%n × the spread, %l", spreads(demand.freedom), demand.spread), text(demand.allowance))
      end

      def spreads(freedom = nil) = Measure::Chance.spreads_for(@plan.sureness, freedom:)

      # Pieces that have to be in hand besides, though they are not cut.
      def reserve
        demand.reserve.each_with_index.map do |more, i|
          spares = ", less #{Measure::Words.count(more.spares, "spare")}" if more.spares.positive?
          line(:"reserve_#{i + 1}", "To be #{Measure::Words.percent(@plan.sureness)} sure, uncut",
            pencil("%n × %p of %n#{spares}, rounded up", spreads, more.spread, more.sum), more.count.to_s)
        end
      end

      def buying
        @entry.buy.map do |buy|
          price = @material.offers[buy[:offer]][:price]
          line(:"buy_#{buy[:offer]}", "To buy", "#{buy[:count]} × #{@plan.money_says(price)}",
            @plan.money_says(buy[:cost]))
        end
      end

      def used_by
        return "Used" if counted?
        @material.sheets? ? "Used, by area" : "Used, by length"
      end

      def used_text
        return text(@entry.amount_used) unless @material.sheets?
        "#{Measure::Length.square_in_units(@entry.amount_used, @units).round} sq #{@units}"
      end

      def pencil(pattern, *values) = Measure::Sum.new(pattern:, values:, units: @units, mark: @plan.smallest_mark)

      def line(key, says, sum, answer) = Place::Working.new(key:, says:, sum:, answer:)

      def money(amount) = @plan.money_text(amount)

      # What is used up by parts is bought whole.
      def whole_ones(count) = (count == count.to_i) ? "" : "#{count.to_f.round(1)}, rounded up"

      def length(inches) = counted? ? inches.to_i : Measure::Length.in_units(inches, @units)

      def text(inches) = counted? ? inches.ceil.to_s : Measure::Length.long_text(inches, units: @units)
    end
  end
end
