# frozen_string_literal: true

module Lantern
  module Cut
    # Everything that is asked of one material, for all wreaths.
    #
    # `pieces` are cut whole (of what is counted, taken whole); `runs` are all runs and `run` their length, each
    # join costing `join` and nothing shorter than `least` being joined in. `spread` is how far the real runs may
    # lie about the sum (one standard deviation; `freedom`, its degrees of freedom where it was learned), and
    # `allowance` how much more must be in hand to be as sure as the maker wants to be. `reserve` are the pieces that
    # must be in hand besides to be as sure of their number; they are not cut. All in inches.
    Demand = Value.define(:pieces, :runs, :join, :least, :spread, :allowance, :freedom, :reserve) do
      def initialize(freedom: nil, reserve: [], **given) = super
    end

    class Demand
      # Whose pieces the reserve is.
      RESERVE = "reserve"

      # What somebody needs, for so many wreaths alike; `hand` is what is the same work for whichever wreath.
      Asked = Value.define(:layer, :need, :times, :hand) do
        def initialize(need:, hand: need.one, **given) = super
      end

      # A length that may be joined, what it is for and which wreath asks for it (by its number, when there are
      # several).
      Run = Value.define(:what, :length, :asker) do
        def initialize(asker: nil, **given) = super
      end

      # So many alike, and who asked for them; `one` is what one of them is called, `grain` which way they lie
      # on cloth. `spread` is how far their real number may lie about the sum, of which there are `spares` more;
      # `sought` is that sum where these are only the reserve for it.
      Piece = Value.define(:layer, :what, :one, :length, :width, :count, :grain, :asker, :spread, :spares,
        :sought) do
        def initialize(one: nil, width: nil, grain: :any, asker: nil, spread: 0, spares: 0, sought: nil, **given)
          super
        end

        # @param asked [Asked]
        def self.of(asked)
          need = asked.need
          new(layer: asked.layer, what: need.what, one: need.one, length: need.length, width: need.width,
            count: need.count * asked.times, grain: need.grain, asker: need.asker, spread: need.spread,
            spares: need.spares * asked.times)
        end

        # Those that the sum asks for: their real number lies about it.
        def sum = sought || count - spares

        # How far it may lie, one standard deviation.
        def doubt = spread * sum

        # So many more than there are would be sure enough.
        # @param spreads [Float] as of {Measure::Chance.spreads_for}
        def more_for(spreads) = [(spreads * doubt - spares - 1e-9).ceil, 0].max
      end

      # @param asked [Array<Asked>] of one material
      # @param sureness [Float] how sure the maker wants to be that the runs are long enough
      # @return [Demand]
      def self.gather(asked, sureness:)
        runs, pieces = asked.partition { _1.need.run? }
        spread = Math.sqrt(by_hand(runs).sum { |same| same.sum { _1.need.total.to_f * _1.need.spread * _1.times }**2 })
        freedom = runs.filter_map { _1.need.freedom }.min
        spreads = Measure::Chance.spreads_for(sureness, freedom:)
        new(
          pieces: pieces.map { Piece.of(_1) }, freedom:,
          reserve: reserve_for(pieces, Measure::Chance.spreads_for(sureness)),
          runs: runs.map { Run.new(what: _1.need.what, length: _1.need.length * _1.times, asker: _1.need.asker) },
          join: runs.map { _1.need.join }.max || 1, least: runs.map { _1.need.least }.max || 0,
          spread:, allowance: [spreads * spread, 0].max
        )
      end

      class << self
        private

        # One hand takes too much or too little of everything that it does alike, whichever wreath it is for: those
        # errors add up, those of different work lie on both sides.
        def by_hand(runs) = runs.group_by(&:hand).values

        # The pieces that are needed besides, of those alike together.
        def reserve_for(pieces, spreads)
          alike = pieces.group_by { |each|
            [each.hand, each.need.length, each.need.width, each.need.grain, each.need.spread]
          }
          alike.values.filter_map do |same|
            same = same.map { Piece.of(_1) }
            all = same.first.with(count: same.sum(&:count), spares: same.sum(&:spares))
            more = all.more_for(spreads)
            all.with(count: more, sought: all.sum) if more.positive?
          end
        end
      end

      # @return [Numeric] inches of all runs
      def run = runs.sum(&:length)

      # @return [Numeric] inches in all, without joins; of what is counted, how many
      def total = run + pieces.sum { _1.length * _1.count }

      # Of what is counted, whole ones: half a stem takes a stem.
      # @return [Integer]
      def number = (pieces.sum(&:count) - 1e-9).ceil

      # Whether anything is asked for only to be sure.
      def insured? = allowance.positive? || reserve.any?

      def uninsured = with(allowance: 0, reserve: [])

      # The same with the pieces of the reserve among those that are cut.
      def with_reserve = with(pieces: pieces + reserve.map { _1.with(layer: RESERVE) }, reserve: [])

      # The same when the allowance is taken up, too.
      def at_most
        more = allowance.positive? ? [Run.new(what: RESERVE, length: allowance)] : []
        with_reserve.with(runs: runs + more, allowance: 0)
      end

      # Whether nobody knows exactly how much it will be.
      def uncertain? = spread.positive? || pieces.any? { _1.spread.positive? }

      def none? = run.zero? && pieces.empty?
    end
  end
end
