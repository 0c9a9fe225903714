# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      # What is to be said of a piece: that it is too heavy for what holds it, too soft, too close to the next.
      module Judging
        def findings = [*too_heavy, *soft, *crowded, *same_place, *no_ties]

        private

        def too_heavy
          return if grams.zero? || grams <= holds || fastenings.empty?
          finding(:warn, "too_heavy", "The #{called} weighs #{grams.round} g; what it is fixed with holds about " \
            "#{holds.round} g.", try: {"fixing" => [{"with" => "wire"}, {"with" => "wire"}]})
        end

        def no_ties
          return if form.ties || fastenings.none? { _1.with == :twisted }
          finding(:warn, "no_ties", "This form has no ties of its own to twist: say on the form how many a rail " \
            "has, or fix it with something else.", try: {"fixing" => [{"with" => "stem"}]})
        end

        # Ribbon without wire holds only small loops (from memory).
        def soft
          loose = parts.find { |part|
            part.loop_size && part.loop_size > 3 && part.material&.kind == :ribbon && !part.material.wired
          }
          return unless loose && part_loops?(loose)
          finding(:warn, "wants_wire",
            "#{loose.material.name} has no wire in its edges: loops of #{text(loose.loop_size)} " \
            "fall in. Wired ribbon holds them; without it keep to #{text(3)} or less.")
        end

        def part_loops?(part) = part.is_a?(Pieces::Parts::Ribbon) || part.is_a?(Pieces::Parts::Loop)

        # Less than this share of their own size apart they no longer find room (from memory).
        CROWDED = 0.3

        def crowded
          return unless pieces > 1 && places.round? && places.pitch < size * CROWDED
          finding(:warn, "overlap", "#{pieces} of them, about #{text(size)} across, stand #{text(places.pitch)} apart.",
            try: {"count" => (form.run / (size * CROWDED)).floor.clamp(1, 500)})
        end
      end
    end
  end
end
