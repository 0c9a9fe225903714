# frozen_string_literal: true

module Lantern
  module Hang
    # Felt or ribbon over whatever scratches: cut to the outline less a margin, and glued on behind.
    class Backing < Hanging
      hanging :backing, title: "Back", takes: %i[fabric mesh ribbon],
        summary: "Felt cut to the outline, a little smaller, glued on behind."
      counts :pieces, :backs
      hands :press
      shows margin: :margin
      laid :line

      spread 0.03 # from memory

      # A quarter of an inch smaller than the outline (common practice).
      option :margin, :length, zero: true, default: Rational(1, 4), most: 12, label: "Smaller by, all round"

      option :covers, :choice, default: :band, label: "Behind",
        choices: {band: "The band", whole: "The opening, too"}

      figure :pieces, :count, "Backs"
      figure :piece_length, :length, "High", from: :height
      figure :piece_width, :length, "Wide", from: :width
      figure :length, :length, "Length", from: :height
      figure :area, :area, "Covered"

      def check
        super
        refuse("covers", "A ribbon runs along the band; the whole back takes a sheet.") if whole? && ribbon?
        return if margin * 2 < form.face
        refuse("margin", "A margin of #{text(margin)} on both sides leaves nothing of a band that is " \
          "#{text(form.face)} across.")
      end

      def turn = :back

      # How far the back reaches from the middle of the band.
      def reach = form.half_face - margin.to_f

      def outline = @outline ||= Form::Silhouette.of(form, reach)

      def width = up_to_mark(outline.width)

      def height = up_to_mark(outline.height)

      # Pieces that the back is joined from, as many as the largest sheet makes it; a ribbon is one.
      def pieces = boxes.size

      # Width and height of every piece.
      # @return [Array<(Float, Float)>] inches
      def boxes
        sheets = material.sheets? ? (material.on_hand + material.offers).map { _1.values_at(:width, :length) } : []
        within = -> { Form::Silhouette.of(form, -reach) } if form.closed? && !whole?
        @boxes ||= Pieced.new(outline, sheets, open: within,
          band: ([form.path, reach] unless whole? || material.directional)).boxes
      end

      def ribbon? = material.kind == :ribbon

      # Over the opening, too.
      def whole? = covers == :whole && form.closed?

      def area = whole? ? outline.area : 2 * reach * form.run

      def needs
        return [run(material: material.id, what: "back", length: form.run + 1, join: 1, least: form.run / 4)] if ribbon?
        boxes.map { |sides| sides.map { up_to_mark(_1) } }.tally.map do |(across, along), count|
          pieces_of(:backs, material: material.id, length: along, count:, width: (across if material.sheets?),
            grain: material.directional ? :along : :any)
        end
      end

      def working
        {width: "Wide", height: "High"}.map do |side, says|
          line(side, says, pencil("%l within the margin, up to the mark", outline.public_send(side)),
            text(public_send(side)))
        end
      end

      def findings
        return [] if ribbon? || pieces == 1
        [finding(:note, "pieced", "No sheet is large enough: it is made of #{pieces} pieces, edge to edge.")]
      end

      def steps
        cut = ribbon? ? "Lay it along the middle of the back, eased round the curve" :
          "Cut it #{text(margin)} smaller than the outline all round; a paper template at true size is among the " \
          "templates"
        glued = whole? ? "A thin line of glue along the outside edge, then along the inside one" :
          "A thin line of glue along both edges"
        [step("back", "Glue the #{material.name} on the back", "#{cut}. #{glued}; press from the middle out. " \
          "Leave the hanger free.", minutes: 8, lays: :backs,
          look: "Does anything still scratch, or any wire end show?")]
      end

      def fixings = {glue: 2 * form.run}

      def lies
        return [behind] if whole?
        points = form.path.trace(0.0, step: form.path.length / 90)
        points += [points.first] if form.closed?
        [Place::Lie::Line.new(layer: id, unit: :backs, materials: [material], width: 2 * reach, front: [],
          back: [{points:}])]
      end

      def templates
        outlines = whole? ? outline.outlines : Place::Template.band(form, reach)
        [Place::Template.new(name: "back", title: "Back", says: "#{material.name}, smaller by the margin all round.",
          outlines:)]
      end

      private

      def behind
        Place::Lie::Panel.new(layer: id, unit: :backs, materials: [material], width: 2 * reach, front: [],
          back: outline.outlines.map { {points: _1} })
      end
    end
  end
end
