# frozen_string_literal: true

module Lantern
  module Cover
    # Cloth stretched over the face of the whole shape and glued behind; over all of it, or only its
    # lower part.
    class Panel < Covering
      covering :panel, title: "Panel", takes: %i[fabric],
        summary: "Cloth stretched over the whole shape and glued behind."
      counts :pieces, :panels
      hands :stretch, :cut
      shows tab: :tab
      laid :panel

      spread 0.03 # from memory

      option :share, :number, default: 1.0, least: 0.05, most: 1.0, label: "Share of the height",
        help: "From the bottom: 0.75 leaves the top quarter for something else."
      # At least half an inch to glue down (common practice).
      option :tab, :length, default: Rational(1, 2), most: 12, label: "Tab to glue down"
      option :direction, :choice, default: :up, label: "Pattern runs", choices: {up: "Up and down", across: "Across"}

      figure :pieces, :count, "Panels"
      figure :piece_length, :length, "High", from: :height
      figure :piece_width, :length, "Wide", from: :width
      figure :area, :area, "Covered"
      figure :pleats, :count, "Folds at the points"
      figure :length, :length, "Length", from: :height

      # One fold for so much of a turn (from memory).
      PLEAT = Math::PI / 6
      LEAST_TAB = Rational(1, 2)

      def top = form.silhouette.box[3] - form.silhouette.height * share

      # From where to where it covers, below the top of the form.
      # @return [(Float, Float)] inches
      def stretch
        bottom = form.silhouette.box[3]
        [bottom - covered.box[3], bottom - covered.box[1]].map { (form.silhouette.height - _1).clamp(0.0, nil) }.sort
      end

      # What would make it reach a level below the top.
      def reaching(level, way)
        share = (form.silhouette.height - level) / form.silhouette.height
        (way == :up) ? {"share" => share.ceil(3)} : nil
      end

      def covered = @covered ||= Form::Silhouette.new(form.silhouette.below(top + 1e-9))

      # Twice round the edge and twice the tab.
      def turned_in = 2 * (form.section.depth + tab.to_f)

      def width = up_to_mark(covered.width + turned_in)

      def height = up_to_mark(covered.height + turned_in)

      # Folds at points and bends that turn outwards.
      def pleats = form.path.corners.select { _1 > PLEAT }.sum { (_1 / PLEAT).ceil }

      def needs
        across, along = (direction == :up) ? [width, height] : [height, width]
        [pieces_of(:panels, material: material.id, length: along, width: across, count: 1,
          grain: material.directional ? :along : :any, own_cut: true)]
      end

      def pieces = 1

      def area = covered.area

      def working
        [
          line(:width, "Wide",
            pencil("%l + 2 × (%l + %l), up to the mark", covered.width, form.section.depth, tab), text(width)),
          line(:height, "High",
            pencil("%l + 2 × (%l + %l), up to the mark", covered.height, form.section.depth, tab), text(height)),
          *(line(:pleats, "Folds at the points", "one for every 30° of turn", pleats.to_s) if pleats.positive?)
        ]
      end

      def findings
        [
          *(if tab < LEAST_TAB
              finding(:warn, "narrow_tab", "A tab of #{text(tab)} hardly holds: half an inch or more does.",
                try: {"tab" => "1/2 in"})
            end),
          *(if form.closed? && form.base != :board && share > 0.2
              finding(:note, "open_behind",
                "Nothing is behind the cloth over the opening: it wants a board or a tight " \
                "stretch.")
            end),
          *(finding(:note, "edge_hidden", "The panel’s upper edge shows: hide it under a cord.") if share < 1),
          *(if pleats.positive?
              finding(:note, "pleats",
                "At the points the cloth lies in #{pleats} small folds: crease them before the " \
                "glue, all the same way.")
            end)
        ]
      end

      def steps
        [step("cut", "Cut the panel", "#{text(width)} wide, #{text(height)} high, the pattern " \
          "#{(direction == :up) ? "upright" : "across"}.", move: :cut, minutes: 5,
          look: "Is it so wide and so high, its pattern the right way?"),
          step("stretch", "Stretch and glue it behind",
            "Fix it at the widest place first, then work down each side, a small section at a time. Trim last.",
            lays: :panels, minutes: 4 + edges / INCHES_A_MINUTE + pleats)]
      end

      # So much of its edge is stretched and glued in a minute (from memory).
      INCHES_A_MINUTE = 4.0

      def fixings = {glue: edges}

      def closes = [Form::Silhouette::Area.new(filled: covered.outlines, open: [])]

      def accepts = 0.0

      def lies = [Place::Lie::Panel.new(layer: id, unit: :panels, materials: [material], width: 2.5,
        front: covered.outlines.map { {points: _1} })]

      def templates
        whole = Form::Silhouette.of(form, form.half_face + form.section.depth + tab.to_f)
        outlines = (share < 1) ? Form::Silhouette.new(whole.outlines).below(top - tab.to_f) : whole.outlines
        [Place::Template.new(name: "panel", title: "Panel",
          says: "The cloth, with what goes round the edge and the tab.", outlines:)]
      end

      private

      # How long all its edges are.
      def edges = covered.outlines.sum { |points|
        [*points, points.first].each_cons(2).sum { |(ax, ay), (bx, by)| Math.hypot(bx - ax, by - ay) }
      }
    end
  end
end
