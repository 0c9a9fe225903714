# frozen_string_literal: true

module Lantern
  module Hang
    # Felt or ribbon over whatever scratches: cut to the outline less a margin, and glued on behind.
    class Backing < Hanging
      hanging :backing, title: "Back", takes: %i[fabric mesh],
        summary: "Felt cut to the outline, a little smaller, glued on behind."
      counts :pieces, :backs
      hands :press
      laid :line

      spread 0.03 # from memory

      # A quarter of an inch smaller than the outline (common practice).
      option :margin, :length, zero: true, default: Rational(1, 4), most: 12, label: "Smaller by, all round"

      figure :pieces, :count, "Backs"
      figure :piece_length, :length, "High", from: :height
      figure :piece_width, :length, "Wide", from: :width
      figure :length, :length, "Length", from: :height
      figure :area, :area, "Covered"

      def check
        super
        return if margin * 2 < form.face
        refuse("margin", "A margin of #{text(margin)} on both sides leaves nothing of a band that is " \
          "#{text(form.face)} across.")
      end

      def fitted = :last

      # How far the back reaches from the middle of the band.
      def reach = form.half_face - margin.to_f

      def outline = @outline ||= Form::Silhouette.of(form, reach)

      def width = up_to_mark(outline.width)

      def height = up_to_mark(outline.height)

      def pieces = 1

      def area = 2 * reach * form.run

      def needs
        [pieces_of(:backs, material: material.id, length: height, width: (width if material.sheets?), count: 1,
          grain: material.directional ? :along : :any)]
      end

      def working
        sum = "outline less 2 × #{bare(margin)}, up to the mark"
        [line(:width, "Wide", sum, text(width)), line(:height, "High", sum, text(height))]
      end

      def findings
        [finding(:note, "template",
          "Print the back at its true size under Hang, cut it out in paper, and lay that on the felt.")]
      end

      def steps
        [step("back", "Glue the back on", "Cut it #{text(margin)} smaller than the outline all round. A thin line of " \
          "glue along both edges; press from the middle out. Leave the hanger free.", minutes: 8, lays: :backs,
          look: "Does anything still scratch, or any wire end show?")]
      end

      def glue = 2 * form.run

      def lies
        points = form.path.trace(0.0, step: form.path.length / 90)
        points += [points.first] if form.closed?
        [Place::Lie::Line.new(layer: id, unit: :backs, materials: [material], width: 2 * reach, front: [],
          back: [{points:}])]
      end

      def templates
        [Place::Template.new(name: "back", title: "Back", says: "The felt, smaller by the margin all round.",
          outlines: Place::Template.band(form, reach))]
      end
    end
  end
end
