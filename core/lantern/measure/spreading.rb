# frozen_string_literal: true

module Lantern
  module Measure
    # The order in which pieces of several kinds follow one another.
    module Spreading
      module_function

      # All of the first, then all of the second.
      def blocks(counts) = counts.each_with_index.flat_map { |count, kind| [kind] * count }

      # Turn by turn, until a kind is used up.
      def alternating(counts)
        left = counts.dup
        order = []
        until left.all?(&:zero?)
          left.each_index do |kind|
            next if left[kind].zero?
            order << kind
            left[kind] -= 1
          end
        end
        order
      end

      # As evenly as the counts allow. With two kinds, any two stretches of the same length hold
      # each kind equally often, give or take one. With more, no kind is ever a whole piece away
      # from its share.
      # Sources: for two kinds Bresenham's line (1965), known in music as the Euclidean rhythm; for
      # more the earliest-deadline rule of Tijdeman, "The chairman assignment problem" (1980).
      def spread(counts)
        total = counts.sum
        used = counts.map { 0 }
        (1..total).map do |place|
          kind = counts.each_index
            .select { |k| used[k] < counts[k] && used[k] * total < counts[k] * place }
            .min_by { |k| [Rational((used[k] + 1) * total, counts[k]).ceil, k] }
          used[kind] += 1
          kind
        end
      end
    end
  end
end
