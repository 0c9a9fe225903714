# frozen_string_literal: true

module Lantern
  module Cover
    class SpiralWrap < Covering
      # How a wrap is told at the bench: tried, wound from one length or strip after strip, finished.
      module Telling
        def steps
          [
            step("test", "Wind one turn to try it", "Start at the back#{" on a crossbar" if form.base == :wire}. One " \
              "turn takes about #{text(length_per_turn)} and moves on #{text(pitch)}.", minutes: 2, move: :test_fit,
              look: "Does it lie flat, and does it take as much as it should?"),
            step("wind", *winding, count: turns, unit: :turns, minutes: winding_minutes),
            step("end", "Finish at the back", "Fold the last inch under and glue it behind.", minutes: 2,
              look: "Is the end flat, and out of sight?")
          ]
        end

        # A second and a half for every inch, and a third of a minute a join (from memory; an arc in fourteen short
        # strips takes about ten minutes, common practice).
        def winding_minutes = 1 + wrap * 1.5 / 60 + (cut_strips? ? strips * 0.3 : 0)

        # What the step of the winding is called, and how the hands go: one length, or strip after strip.
        # @return [(String, String)]
        def winding
          lapping = "#{bunching}and lap each turn by #{lap_says} at the outside edge"
          unless cut_strips?
            return ["Wind the strip", "Fold the end under, glue it behind, #{lapping}. Tack every few turns."]
          end
          if pieces == :short
            return ["Wind the strips, a turn each", "Glue a strip’s end behind, once round, its other end glued on " \
              "it behind; the next beside it. #{Measure::Words.sentence(lapping.delete_prefix("and "))}."]
          end
          ["Wind the strips, one after another", "Fold the first end under, glue it behind, #{lapping}. Where a " \
            "strip ends, glue the next on it behind, lapping #{text(JOIN)}."]
        end

        # What the hand does with the strip before it is laid.
        def bunching = ""

        # The lap that was chosen; where whole turns make it another, that too.
        def lap_says
          return text(lap_wide) if !said?(:lap) || (lap_wide - lap).abs < MARK
          "#{text(lap)} (#{text(lap_wide)} where turns are to come out whole)"
        end

        # What nobody sees of a lap.
        MARK = 1 / 16r
        private_constant :MARK
      end
    end
  end
end
