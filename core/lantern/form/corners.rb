# frozen_string_literal: true

module Lantern
  module Form
    # What sharp corners do to a covering: on the wide side turns fan out over a wedge.
    module Corners
      # A corner that turns less than this is as good as a bend (from memory).
      SHARP = Math::PI / 6

      module_function

      # @return [Array<Plan::Finding>] one, when there is a corner to speak of
      def findings(path, face, units)
        turns = path.corners.map(&:abs).select { _1 >= SHARP }
        return [] if turns.empty?
        wedge = Measure::Length.text(Stretches.of(path, face / 2).fans.map(&:length).max, units:)
        says = (turns.size == 1) ? "At the corner the turns spread out over #{wedge} of the outside" :
          "At the #{turns.size} corners the turns spread out over up to #{wedge} of the outside"
        [Plan::Finding.new(level: :note, code: "sharp_corners", at: "outside",
          says: "#{says}. That is counted. At the tight point they pile up: push them together there, or tuck one in.")]
      end
    end
  end
end
