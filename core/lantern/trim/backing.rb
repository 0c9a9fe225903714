# frozen_string_literal: true

module Lantern
  module Trim
    # Felt or ribbon over whatever scratches: cut to the outline less a margin, and glued on behind.
    class Backing < Cover::Covering
      covering :backing, title: "Back", takes: %i[fabric mesh], stage: :hang, summary: "Felt cut to the outline, a little smaller, glued on behind."
      counts :pieces, "back"

      spread 0.03 # from memory

      # A quarter of an inch smaller than the outline (common practice).
      option :margin, :length, zero: true, default: Rational(1, 4), most: 12, label: "Smaller by, all round"

      def check
        super
        refuse("margin", "A margin of #{text(margin)} on both sides leaves nothing of a band that is #{text(form.face)} across.") if margin * 2 >= form.face
      end

      # How far the back reaches from the middle of the band.
      def reach = form.half_face - margin.to_f

      def outline = @outline ||= Form::Silhouette.of(form, reach)

      def width = up_to_mark(outline.width)

      def height = up_to_mark(outline.height)

      def needs = [Cover::Need.pieces(material: material.id, what: "back", length: height, width: (width if material.sheets?), count: 1, grain: material.directional ? :along : :any, spread: self.class.spread)]

      def figures = {pieces: 1, piece_length: height, piece_width: width, length: height.to_f, area: 2 * reach * form.run}

      def working
        [
          line("Wide", "outline less 2 × #{bare(margin)}, up to the mark", text(width)),
          line("High", "outline less 2 × #{bare(margin)}, up to the mark", text(height))
        ]
      end

      def findings = [finding(:note, "template", "Print the back at its true size under Hang, cut it out in paper, and lay that on the felt.")]

      def steps = [step("back", "Glue the back on", "Cut it #{text(margin)} smaller than the outline all round. A thin line of glue along both edges; press from the middle out. Leave the hanger free.", minutes: 8, move: "press", look: "Does anything still scratch, or any wire end show?")]

      def minutes = 8

      def glue = 2 * form.run

      def lies
        points = form.path.trace(0.0, step: form.path.length / 90)
        [Draw::Lie.new(layer: id, what: "back", kind: :line, materials: [material], width: 2 * reach, reach: 0.0, front: [], back: [{points: form.closed? ? points + [points.first] : points}])]
      end
    end
  end
end
