# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # A pick: an item is the foot of its stem and its tip, `width` wide. Leaves in pairs along the stem, smaller
      # towards the tip.
      class Sprig < Lie
        # Where pairs of leaves leave the stem, as shares of its length, and how wide they spread (from memory).
        PAIRS = [[0.0, 1.0], [0.24, 0.95], [0.47, 0.8], [0.64, 0.6]].freeze

        # A pair of leaves at a place of the stem, as a path in the measure of {Look}.
        def self.pair(at, wide)
          [-1, 1].map { |side|
            [[at, 0], [at + 0.02, wide * 0.6], [at + 0.12, wide], [at + 0.3, wide], [at + 0.26, wide * 0.5],
              [at + 0.16, wide * 0.1], [at, 0]].map { |along, across| format("%.2f %.2f", along, side * across) }
              .then { |from, *rest| "M#{from} #{rest.each_slice(3).map { "C#{_1.join(" ")}" }.join(" ")} Z" }
          }.join(" ")
        end

        lie :sprig
        looks(order: :any, slender: 0.6) do
          line "M0 0 L.9 0", frame: :ends, width: 0.16
          PAIRS.each { |at, wide| area Sprig.pair(at, wide), frame: :ends, edge: 0.05 }
          area "M.72 0 C.78 -.35 .9 -.3 1 0 C.9 .3 .78 .35 .72 0 Z", frame: :ends, edge: 0.05
        end

        # Its leaves overlap: all along half as wide as it is (from memory).
        def patches(points) = [Stroke.new(from: points[0], to: points[1], half: width / 2)]
      end
    end
  end
end
