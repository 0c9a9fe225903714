# frozen_string_literal: true

module Lantern
  module Form
    # What sharp corners do to a covering: on the wide side turns fan out over a wedge.
    module Corners
      # A corner that turns less than this is as good as a bend (from memory).
      SHARP = Math::PI / 6

      module_function

      # @return [Array<Plan::Finding>] one when there is a corner to speak of, one where an edge crosses itself
      def findings(path, face, units) = [*sharp(path, face, units), *crossing(path, face, units)]

      # How much of an edge may be cut off before it is worth a word, in inches (from memory).
      TOLD = 1 / 8r

      def crossing(path, face, units)
        {inside: -face / 2, outside: face / 2}.filter_map do |side, across|
          cut = path.strands.select(&:closed?).sum { _1.looped(across.to_f) }
          next if cut < TOLD
          Plan::Finding.new(level: :note, code: "edge_crosses", at: side.to_s,
            says: "The band is wider than its bends allow: on the #{side} its edge would cross itself, and " \
              "#{Measure::Length.text(cut, units:)} of it is lost. That is counted; what covers it piles up there.")
        end
      end

      def sharp(path, face, units)
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
