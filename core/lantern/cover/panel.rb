# frozen_string_literal: true

module Lantern
  module Cover
    # Cloth stretched over the face of the whole shape and glued behind; over all of it, or only its
    # lower part.
    class Panel < Covering
      covering :panel, title: "Panel", takes: %i[fabric],
        summary: "Cloth stretched over the whole shape and glued behind."
      counts :pieces, "panel"
      hand :stretch

      spread 0.03 # from memory

      option :share, :number, default: 1.0, least: 0.05, most: 1.0, label: "Share of the height", help: "From the bottom: 0.75 leaves the top quarter for something else."
      # At least half an inch to glue down (common practice).
      option :tab, :length, default: Rational(1, 2), most: 12, label: "Tab to glue down"
      option :direction, :choice, default: :up, label: "Pattern runs", choices: {up: "Up and down", across: "Across"}

      # One fold for so much of a turn (from memory).
      PLEAT = Math::PI / 6
      LEAST_TAB = Rational(1, 2)

      def top = form.silhouette.box[3] - form.silhouette.height * share

      # The part that is covered.
      def covered = @covered ||= Form::Silhouette.new(form.silhouette.below(top + 1e-9))

      # Twice round the edge and twice the tab.
      def turned_in = 2 * (form.section.depth + tab.to_f)

      def width = up_to_mark(covered.width + turned_in)

      def height = up_to_mark(covered.height + turned_in)

      # Folds at points and bends that turn outwards.
      def pleats = form.path.corners.select { _1 > PLEAT }.sum { (_1 / PLEAT).ceil }

      def needs
        across, along = (direction == :up) ? [width, height] : [height, width]
        [Need.pieces(material: material.id, what: "panel", length: along, width: across, count: 1, grain: material.directional ? :along : :any, spread: self.class.spread)]
      end

      def figures = {pieces: 1, piece_length: height, piece_width: width, area: covered.area, pleats:, length: height.to_f}

      def working
        [
          line("Wide", "#{bare(covered.width)} + 2 × (#{bare(form.section.depth)} + #{bare(tab)}), up to the mark", text(width)),
          line("High", "#{bare(covered.height)} + 2 × (#{bare(form.section.depth)} + #{bare(tab)}), up to the mark", text(height)),
          *(line("Folds at the points", "one for every 30° of turn", pleats.to_s) if pleats.positive?)
        ]
      end

      def findings
        [
          *(finding(:warn, "narrow_tab", "A tab of #{text(tab)} hardly holds: half an inch or more does.", try: {"tab" => "1/2 in"}) if tab < LEAST_TAB),
          *(finding(:note, "open_behind", "Nothing is behind the cloth over the opening: it wants a board or a tight stretch.") if form.closed? && form.base != :board && share > 0.2),
          *(finding(:note, "edge_hidden", "The panel’s upper edge shows: hide it under a cord.") if share < 1),
          *(finding(:note, "pleats", "At the points the cloth lies in #{pleats} small folds: crease them before the glue, all the same way.") if pleats.positive?)
        ]
      end

      def steps
        [step("cut", "Cut the panel", "#{text(width)} wide, #{text(height)} high, the pattern #{(direction == :up) ? "upright" : "across"}.", minutes: 5),
          step("stretch", "Stretch and glue it behind", "Fix it at the widest place first, then work down each side, a small section at a time. Trim last.", minutes: 15 + pleats)]
      end

      def minutes = 20 + pleats

      def glue = covered.outlines.sum { |points| (points + [points.first]).each_cons(2).sum { |(ax, ay), (bx, by)| Math.hypot(bx - ax, by - ay) } }

      def lies = [Draw::Lie.new(layer: id, what: "panel", kind: :panel, materials: [material], width: 2.5, front: covered.outlines.map { {points: _1} })]
    end
  end
end
