# frozen_string_literal: true

module Lantern
  module Place
    # What is counted: at the bench, on the drawing, on the tape. Everything that counts names one of these
    # by its key, and what is drawn finds what is counted by it.
    #
    #   Unit.fetch(:coils).says(1)   # => "1 coil"
    Unit = Value.define(:key, :one, :many)

    class Unit
      ALL = Registry.new("unit")

      class << self
        # @return [Unit]
        # @raise [Registry::Taken]
        def know(key, one, many = "#{one}s") = ALL.know(key, new(key:, one:, many:))

        # @raise [Registry::Unknown]
        def fetch(key) = ALL.fetch(key)

        # So many of something, with its word: "half a chenille stem", "1 1/2 stems", "2 ties".
        # @param number [Numeric]
        # @param one [String] what one is called
        # @param many [String] what several are called
        # @return [String]
        def so_many(number, one, many)
          return "half a #{one}" if number.to_r == 1/2r
          "#{amount(number)} #{(number <= 1) ? one : many}"
        end

        # A number that may have a part: "2", "1/2", "1 1/2".
        # @param number [Numeric]
        # @return [String]
        def amount(number)
          whole, part = number.divmod(1)
          [(whole.to_i if whole.positive?), (part.to_r.rationalize(0.01r) unless part.zero?)].compact.join(" ")
        end
      end

      # @return [String] the number with its word
      def says(number) = Measure::Words.count(number, one, many)

      # @return [String] a number that may have a part, with its word
      def amount_says(number) = Unit.so_many(number, one, many)

      # @return [String] the word alone
      def word(number) = (number == 1) ? one : many

      know :backs, "back"
      know :balls, "ball"
      know :beads, "bead"
      know :blooms, "bloom"
      know :bow_loops, "loop in the bow", "loops in the bow"
      know :bow_ribbons, "bow ribbon", "bow ribbons"
      know :bow_ties, "tie for the bow", "ties for the bow"
      know :bow_wires, "wire for the bow", "wires for the bow"
      know :coats, "coat"
      know :coils, "coil"
      know :cords, "cord"
      know :curls, "curl"
      know :curl_ends, "end of a curl", "ends of curls"
      know :tube_ends, "end of a tube", "ends of tubes"
      know :cones, "cone"
      know :fillers, "filler"
      know :folded, "folded ribbon"
      know :forms, "form"
      know :glue_sticks, "glue stick"
      know :grids, "grid"
      know :hairpins, "hairpin"
      know :hangers, "hanger"
      know :inlaid, "stretch of ribbon", "stretches of ribbon"
      know :lights, "string of lights", "strings of lights"
      know :loops, "loop"
      know :middle_bands, "middle band"
      know :packs, "pack"
      know :panels, "panel"
      know :passes, "pass", "passes"
      know :picks, "pick"
      know :pieces, "piece"
      know :pieces_to_cut, "piece to cut", "pieces to cut"
      know :pieces_to_make, "piece to make", "pieces to make"
      know :pinches, "pinch", "pinches"
      know :ribs, "rib"
      know :rings, "ring"
      know :rounds, "round"
      know :rows, "row"
      know :signs, "sign"
      know :squares_to_cut, "square to cut", "squares to cut"
      know :stems, "chenille stem"
      know :strings, "string"
      know :strips, "strip"
      know :strips_to_cut, "strip to cut", "strips to cut"
      know :tails, "tail"
      know :tendrils, "tendril"
      know :things, "thing to fix on", "things to fix on"
      know :ties, "tie"
      know :tubes, "tube"
      know :turns, "turn"
      know :wires, "wire"
      know :woven, "stretch of rope", "stretches of rope"
    end
  end
end
