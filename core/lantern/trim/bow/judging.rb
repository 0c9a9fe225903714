# frozen_string_literal: true

module Lantern
  module Trim
    class Bow < Trimming
      # What is to be said of a bow: that it does not suit the wreath, hides what it sits on, or wants another ribbon.
      module Judging
        # A bow of a third to a half of the wreath's width looks right (from memory).
        SMALLEST, LARGEST = 1 / 3r, 1 / 2r
        # Ribbon without wire holds only small loops (from memory).
        HOLDS = 3

        def findings = [*(proportion unless on), *hides_beneath, *holds, *good_side, *same_place]

        private

        def proportion
          share = bow_width / form.silhouette.width
          return if share.between?(SMALLEST.to_f - 0.02, LARGEST.to_f + 0.02)
          bound = (share < SMALLEST) ? SMALLEST : LARGEST
          wanted = loop_size * Rational(bound * form.silhouette.width.to_r / bow_width.to_r)
          mended = {"loop_size" => text(up_to_mark(wanted))} unless %i[stacked_strips awareness].include?(kind)
          finding(:note, "proportion",
            "The bow is #{text(bow_width)} wide, #{percent(share)} of the wreath; a third " \
            "to a half looks right.", at: "layers", try: mended)
        end

        def holds
          soft = stack.reject(&:wired)
          wanted = made.class.wired || loop_size > HOLDS
          return if soft.empty? || !wanted || material.kind == :rope
          finding(:warn, "wants_wire",
            "#{soft.first.name} has no wire in its edges: loops of #{text(loop_size)} fall in. " \
            "Wired ribbon holds them; without it keep to #{text(HOLDS)} or less.",
            try: ({"loop_size" => text(HOLDS)} if loop_size > HOLDS))
        end

        def good_side
          return unless made.class.two_sided
          finding(:note, "both_sides",
            "The back of the ribbon shows in this bow: one that is good on both sides is best; " \
            "else turn the good side up on the tails and out on the loops.")
        end

        def hides_beneath
          return unless below && loop_size > showing_beneath
          finding(:warn, "hides_beneath", "Its loops of #{text(loop_size)} hide the bow beneath, of #{text(below)}: " \
            "an inch less, and every layer shows.", try: {"loop_size" => text(showing_beneath)})
        end
      end
    end
  end
end
