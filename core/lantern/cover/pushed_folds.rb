# frozen_string_literal: true

module Lantern
  module Cover
    # Strips folded in zigzag and pushed through from the back, so that one loop comes out in each
    # space between rails, cinched behind with a tie.
    class PushedFolds < Covering
      covering :pushed_folds, title: "Pushed folds", takes: %i[ribbon mesh fabric], several: true,
        summary: "Zigzag folds pushed through the rails from behind, a loop in each space."
      counts :pieces, :strips_to_cut
      hands :fold_and_push
      shows folds: :folds, fold: :fold_size
      laid :loop

      spread 0.05 # from memory

      # Three folds of five inches, three strips to a section (common practice).
      option :folds, :count, default: 3, most: 12, label: "Loops to a strip"
      option :fold_size, :length, default: Rational(5), most: 40, label: "Size of a loop",
        help: "Laid flat, from fold to fold."
      option :per_section, :count, default: 3, most: 60, label: "Strips in a section"
      strips_from_cloth most: 60, default_says: "the ribbon’s own, or 2 1/2 in from cloth"
      option :ties, :reference, fine: true, kinds: %i[tie wire], label: "Tied with", default_says: "ties you have"

      runs_along

      figure :pieces, :count, "Strips to cut"
      figure :per_section, :count, "Strips in a section"
      figure :piece_length, :length, "Each strip"
      figure :length, :length, "All strips, end to end"

      gives :fold_size, share: 0.85, says: "loops of %s"

      vary :per_section, takes: :more, says: "The most strips in a section", unit: "strips"
      vary :fold_size, takes: :more, says: "The largest loops"

      # Half an inch at each end, behind (common practice: 31 in for three folds of 5 in).
      ENDS = 1

      def check
        super
        refuse("method", "Folds are pushed through between rails; this form has none.") unless form.base == :wire
        tied_with
        refuse_crowd(pieces, "per_section", "strips")
      end

      def width = strip_width || material.width || Rational(5, 2)

      def tied_with = @tied_with ||= ties && other(ties, %i[tie wire], "ties")

      def others = [tied_with].compact

      def pieces = per_section * form.sections

      def piece_length = up_to_mark(2 * folds * fold_size + ENDS)

      def spaces = form.section.rails.size - 1

      def needs
        strips = shared(pieces).zip(materials).filter_map do |count, each|
          if count.positive?
            pieces_of(:strips, of: (", #{each.name}" unless materials.one?), material: each.id, length: piece_length,
              count:, width: (width if each.sheets?), grain:, spread: self.class.spread)
          end
        end
        tied_with&.counted? ? [*strips, Place::Need.items(material: tied_with.id, what: :ties, count: pieces)] : strips
      end

      def length = pieces * piece_length

      def working
        [
          line(:piece_length, "Cut each", pencil("2 × %n × %l + %l, up to the mark", folds, fold_size, ENDS),
            text(piece_length)),
          line(:pieces, "All sections", "#{form.sections} × #{per_section}", pieces.to_s),
          line(:length, "In all", pencil("%n × %l", pieces, piece_length), long_text(pieces * piece_length)),
          line(:ties, "Ties", "one a strip", pieces.to_s)
        ]
      end

      def findings
        [
          *(if folds != spaces
              finding(:warn, "loops_and_spaces", "#{folds} loops to a strip, but " \
                "#{Measure::Words.count(spaces, "space")} between the rails: one loop belongs in each.",
                try: {"folds" => spaces})
            end),
          *(if materials.any? { _1.kind == :ribbon && !_1.wired } && fold_size > 3
              finding(:note, "unwired", "Unwired ribbon does not hold loops of #{text(fold_size)}; wired ribbon " \
                "does.")
            end)
        ]
      end

      def steps
        [step("fold", "Fold and push", "Fold each strip into #{folds} loops of #{text(fold_size)}, push it through " \
          "from the back, one loop in each space, and cinch it behind with a tie.", count: pieces, unit: :strips,
          lays: :loops, minutes: 2 + pieces * 1.5, sequence: in_turn(colours))]
      end

      def closes = form.areas

      def lies = [Place::Loops.pushed(form, id:, materials:, order: colours, loops: folds, size: fold_size.to_f,
        width: width.to_f)]

      def colours = Measure::Spreading.alternating(shared(pieces))

      private

      # Patterns in rotation.
      def shared(total) =
        materials.each_index.map { |i| total / materials.size + ((i < total % materials.size) ? 1 : 0) }
    end
  end
end
