# frozen_string_literal: true

module Lantern
  module Cut
    # Everything a plan asks of one material, for all its wreaths.
    #
    # `pieces` are cut whole; `run` is the length of all runs together, each join costing `join` and
    # nothing shorter than `least` being joined in. `spread` is how far the real runs may lie about
    # the sum (one standard deviation), and `allowance` how much more must be in hand to be as sure
    # as the maker wants to be; cut pieces are counted, and have their spares. All in inches.
    Demand = Value.define(:pieces, :run, :run_what, :join, :least, :spread, :allowance) do
      # @param needs [Array<(String, Cover::Need)>] with the id of the layer that asks
      def self.gather(needs, plan)
        runs, pieces = needs.partition { |_, need| need.run? }
        spread = Math.sqrt(runs.sum { |_, need| (need.total.to_f * need.spread * plan.quantity)**2 })
        new(
          pieces: pieces.map { |layer, need| Demand::Piece.new(layer:, what: need.what, length: need.length, width: need.width, count: need.count * plan.quantity, grain: need.grain) },
          run: runs.sum { |_, need| need.length } * plan.quantity, run_what: runs.map { |_, need| need.what }.uniq.join(" and "),
          join: runs.map { |_, need| need.join }.max || 1,
          least: runs.map { |_, need| need.least }.max || 0,
          spread:, allowance: [Measure::Chance.spreads_for(plan.sureness) * spread, 0].max
        )
      end

      # @return [Numeric] inches in all, without joins
      def total = run + pieces.sum { _1.length * _1.count }

      def none? = run.zero? && pieces.empty?
    end

    class Demand
      # So many alike, and who asked for them; `grain` is which way they lie on cloth.
      Piece = Value.define(:layer, :what, :length, :width, :count, :grain) do
        def initialize(grain: :any, **given) = super
      end
    end
  end
end
