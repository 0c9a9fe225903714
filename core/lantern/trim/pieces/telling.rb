# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      # How a piece is told at the bench: made, part by part with its measures, and fixed on.
      module Telling
        def steps = [*(make if made.made?), *(fix unless made.round_band?)]

        private

        def make
          number = pieces
          title = (number == 1) ? "Make the #{called}" : "Make #{number} #{many}"
          # What making it ties on is told where, since nothing is left to fix.
          title = "#{title.sub("Make", "Tie")} #{where}" if made.round_band? && !beneath
          told = parts.map { |part| "#{part.says}." }
          step("make", title, [*told, *made.hands, *tie_told, *band_told, *more_than_one].join(" "),
            count: (number if number > 1), unit: (:pieces if number > 1), minutes: made.minutes * number,
            move: made.class.move, moves: making_moves, shows: part_measures.merge(tied), look: made.class.look,
            lays: (:part_1_1 if made.round_band?), takes: of_making,
            on_table: !made.round_band?)
        end

        # What becomes of its parts before it is made of them, and of its ends afterwards.
        def making_moves
          moves = [*parts.filter_map { _1.class.move }.uniq, made.class.move,
            *(:v_cut if parts.any? { %i[v point].include?(_1.said[:ends]) })]
          moves.uniq
        end

        # Each measure of the first part that has it, by what it is called on the frames.
        def part_measures
          {tail: :tail, loop: :loop_size, fold: :fold_size, folds: :folds, size: :size, length: :length,
           across: :across}.transform_values { measure_of_first(_1) }
            .merge({size: parts.grep(Parts::Cone).first&.width,
                    centre: parts.grep(Parts::Loop).first&.loop_size}.compact).compact
        end

        def tied = tie_said.is_a?(Hash) ? {tie: tie_amount} : {}

        def measure_of_first(name)
          parts.find { _1.class.has?(name) && _1.public_send(name) }&.public_send(name)
        end

        # A board goes on by two stems.
        def fixing_move
          move = fastenings.first&.way&.move || :tie_on
          (move == :tie_on && parts.any? { _1.is_a?(Parts::Item) && _1.words }) ? :sign_on : move
        end

        def more_than_one = (pieces > 1) ? ["One first, and look at it on the form; then the rest like it."] : []

        def tie_told
          return ["#{tie_amount} round the middle, pulled tight."] if tie_said.is_a?(Hash)
          [*held_together(tie_said)]
        end

        def tie_amount
          of = @plan.material(tie_said[:material])
          return "#{text(tie_said[:length])} of #{of.name}" if tie_said[:length]
          number = (tie_said[:count] || 1).to_r.round(3)
          unit = {chenille: :stems, cable: :ties}[of.sort]
          said = unit ? Place::Unit.fetch(unit).amount_says(number) : Place::Unit.so_many(number, of.name, of.name)
          Measure::Words.sentence(said)
        end

        def band_told
          return [] unless centre_band
          name = @plan.material(centre_band[:material]).name
          ["Wind #{name} #{centre_band[:windings]} times round the centre, until it " \
            "covers the front."]
        end

        def fix
          title = (pieces == 1) ? "Fix the #{called} #{where}" : "Fix #{pieces} #{many} #{where}"
          held = fastenings.map(&:says)
          says = held.empty? ? "Set it in its place." : "#{Measure::Words.sentence(held.join("; then "))}."
          step("fix", title, [*through, says, *open_loops].join(" "), count: (pieces if pieces > 1), lays: :part_1_1,
            unit: (:pieces if pieces > 1), minutes: pieces * [fastenings.sum { _1.count.ceil }, 1].max * 1.5,
            move: fixing_move, shows: {length: fastenings.first&.way&.length}, takes: of_fixing)
        end

        def open_loops = (parts.any? { _1.loops || _1.is_a?(Pieces::Parts::Ring) }) ? ["Open the loops."] : []

        def many = (called.match?(/[a-z]\z/) && !called.match?(/(s|x|ch)\z/)) ? "#{called}s" : called

        def where
          return "on #{"the #{on_at.to_s.tr("_", " ")} of " unless on_at == :centre}#{beneath_called}" if beneath
          places.where
        end

        # What was bought is called by its name.
        def beneath_called
          said = beneath.options
          bought = said[:making] == :bought && !said[:name] && (said.dig(:parts, 0, :material) || beneath.material)
          "the #{(bought && @plan.material(bought)&.name) || beneath.kind.called(said)}"
        end

        # Beads and picks on a bow are woven through it.
        def through
          return [] unless parts.any? { _1.is_a?(Pieces::Parts::String) && !_1.said[:laid] } && beneath
          ["Through its loops, in and out, the ends tucked behind."]
        end
      end
    end
  end
end
