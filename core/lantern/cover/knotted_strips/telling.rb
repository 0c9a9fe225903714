# frozen_string_literal: true

module Lantern
  module Cover
    class KnottedStrips < Covering
      module Telling
        def steps
          place = (knots == :outside) ? "and pull it to the outer edge" : "on the front, tails outward"
          many = strips ? "One every #{text(bar_run / strips)}" : "#{per_section} in each section"
          [step("knot", "Knot the strips", "#{many}#{", on rail #{rail}" if rail}: tie a double " \
            "knot #{place}, and push them together.#{darkest_says}#{spares_say}", count: tied, unit: :strips,
            minutes: tied * (sheer? ? 0.14 : 0.4), pattern: ([["in this section", per_section]] unless strips),
            rounds: ("section" unless strips), sequence:)]
        end

        def spares_say
          left = pieces - tied
          return "" unless left.positive?
          " #{Measure::Words.count(left, "strip")} more #{(left == 1) ? "is" : "are"} spare."
        end
      end
    end
  end
end
