# frozen_string_literal: true

module Lantern
  module Cover
    class KnottedStrips < Covering
      # What is said of tails that are too short, of strips without spares, and of rails that stay bare.
      module Judging
        private

        def short_tails
          return if tail >= LEAST_TAIL
          longer = cut ? {"cut" => text(up_to_mark(2 * LEAST_TAIL + bar_girth + take_up))} : {"tail" => "1 1/2 in"}
          finding(:warn, "short_tails", "Tails of #{text(tail)} cannot be held while the knot is tied: cut them " \
            "longer and trim afterwards.", try: longer)
        end

        def sparse
          enough = side_by_side(bar_run)
          finding(:note, "loose_knots", "#{strips} strips stand #{text(bar_run / strips)} apart; #{enough} would lie " \
            "side by side. Ribbon stands out sideways and hides what lies between: tie five, and look.",
            try: {"strips" => enough})
        end

        def shrinks
          return if spare >= 0.02
          finding(:warn, "no_spares", "No spares: strips shrink as they are tied and one in twenty goes wrong.",
            try: {"spare" => 0.05})
        end

        def loose
          return if pitch * tied >= bar_run * 0.9
          return sparse if strips
          enough = side_by_side(bar_run / form.sections)
          finding(:warn, "loose_knots", "#{per_section} in a section leaves gaps: #{enough} close it.",
            try: {"per_section" => enough})
        end
      end
    end
  end
end
