# frozen_string_literal: true

module Lantern
  module Cut
    # A cutting problem in whole nanometres, so that nothing is lost to rounding: every stock length
    # rounds down, every cut rounds up. An inch is 25 400 000 of them exactly.
    class Problem
      PER_INCH = 25_400_000
      attr_reader :stock, :demand, :items, :counts, :run, :join, :least

      # @param stock [Array<Stock>] what is shorter than a nanometre holds nothing, and is left out
      # @param demand [Demand]
      def initialize(stock:, demand:)
        @lengths = stock.to_h { [_1, (_1.length * PER_INCH).floor] }.select { |_, length| length.positive? }
        @stock = @lengths.keys
        @demand = demand
        grouped = demand.pieces.group_by { (_1.length * PER_INCH).ceil }.sort.reverse
        @items = grouped.map(&:first)
        @counts = grouped.map { |_, pieces| pieces.sum(&:count) }
        @least = (demand.least * PER_INCH).ceil
        @join = (demand.join * PER_INCH).ceil
        @run = demand.run.zero? ? 0 : ((demand.run + demand.allowance) * PER_INCH).ceil
      end

      # A problem with the same stock and fewer things to cut.
      def with_demand(demand) = Problem.new(stock:, demand:)

      def length_of(stock) = @lengths.fetch(stock)

      def remnants = @remnants ||= stock.select { _1.limit }.sort_by { [-length_of(_1), _1.index] }

      def offers = @offers ||= stock.reject { _1.limit }

      # @return [Fullest, nil] how full a length can be cut, where all lengths have a measure in common
      def fullest
        return @fullest if defined?(@fullest)
        found = Fullest.of(items, stock.map { length_of(_1) }.max) if stock.any?
        @fullest = (found if found && stock.all? { |each| (length_of(each) % found.measure).zero? })
      end

      # What must be covered whatever the pattern.
      def total = @total ||= items.zip(counts).sum { |length, count| length * count } + run

      # What a bar with this much left gives to a run, after its join.
      def given(left) = (left < @least) ? 0 : left - join

      # Whether bars that give so much between them hold the run.
      def holds_run?(given) = run.zero? || given >= run - join
    end
  end
end
