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
        wedge = Measure::Length.text(face / 2 * turns.max, units:)
        says = (turns.size == 1) ? "At the corner turns fan out: #{wedge} of the wide edge lies open" :
          "At #{turns.size} corners turns fan out: up to #{wedge} of the wide edge lies open"
        [Plan::Finding.new(level: :note, code: "sharp_corners", at: "outside",
          says: "#{says}. Lay an extra turn over the point first, or fold one in; the sum counts the wide edge.")]
      end
    end
  end
end
