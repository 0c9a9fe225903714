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
      # @param asked [Array<Asked>]
      # @param sureness [Float] how sure the maker wants to be that the runs are long enough
      def self.gather(asked, sureness:)
        runs, pieces = asked.partition { _1.need.run? }
        spread = Math.sqrt(runs.sum { |each| (each.need.total.to_f * each.need.spread * each.times)**2 })
        new(
          pieces: pieces.map { |each| each.need.then { |need| Demand::Piece.new(layer: each.layer, what: need.what, length: need.length, width: need.width, count: need.count * each.times, grain: need.grain) } },
          run: runs.sum { _1.need.length * _1.times }, run_what: runs.map { _1.need.what }.uniq.join(" and "),
          join: runs.map { _1.need.join }.max || 1,
          least: runs.map { _1.need.least }.max || 0,
          spread:, allowance: [Measure::Chance.spreads_for(sureness) * spread, 0].max
        )
      end

      # @return [Numeric] inches in all, without joins
      def total = run + pieces.sum { _1.length * _1.count }

      def none? = run.zero? && pieces.empty?
    end

    class Demand
      # What a layer needs, for so many wreaths alike.
      Asked = Value.define(:layer, :need, :times)

      # So many alike, and who asked for them; `grain` is which way they lie on cloth.
      Piece = Value.define(:layer, :what, :length, :width, :count, :grain) do
        def initialize(grain: :any, **given) = super
      end
    end
  end
end
