# frozen_string_literal: true

module Lantern
  module Measure
    # Whether predictions hold: of all lengths that were planned to be so sure, how many were really enough.
    # Source: the probability integral transform; A. P. Dawid, "The prequential approach" (1984).
    class Calibration
      # How sure a plan may be, as makers say it.
      LEVELS = [0.5, 0.6, 0.7, 0.8, 0.9, 0.95].freeze
      # Fewer makes than this say nothing yet (from memory).
      FEWEST = 8

      # What was really used for every one planned, and what the plan had expected: the ratio's mean and its spread.
      Made = Value.define(:ratio, :mean, :spread) do
        # How sure a plan would have had to be for what was used to be enough.
        # @return [Float] 0..1
        def level = Chance.enough(ratio, mean:, spread:)
      end

      # @param made [Array<Made>]
      def initialize(made)
        @levels = made.map(&:level)
      end

      # @return [Array<Hash>] `sure`, and of so many how many were enough
      def points
        return [] if @levels.size < FEWEST
        LEVELS.map { |sure| {"sure" => sure, "enough" => @levels.count { _1 <= sure + 1e-9 }, "of" => @levels.size} }
      end

      # @return [String] what it comes to, at nine in ten
      def says
        point = points[LEVELS.index(0.9)]
        return "After #{Words.count(FEWEST, "length")} it can be told whether the predictions hold." unless point
        enough, all = point.values_at("enough", "of")
        "Planned to be 90 % sure, #{enough} of #{Words.count(all, "length")} would have been enough: " \
          "#{Words.percent([enough.fdiv(all), 0.999].min)}. #{verdict(enough, all)}"
      end

      private

      # Within what chance alone would do: one spread of a count, or two.
      def verdict(enough, all)
        off = enough - 0.9 * all
        spreads = off.abs / Math.sqrt(all * 0.09)
        return "The predictions hold." if spreads <= 1
        return "With so few that can still be chance." if spreads <= 2
        off.negative? ? "They promise too much: plan to be surer." : "They are more careful than they need to be."
      end
    end
  end
end
