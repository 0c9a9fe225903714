# frozen_string_literal: true

module Lantern
  module Cover
    # The middle of a closed form filled: a grid behind it, blooms pushed through as closely as they go.
    # Source: hexagonal packing covers at most pi / sqrt 12 of an area.
    class Fill < Covering
      covering :fill, title: "Filled middle", takes: %i[piece],
        summary: "A grid in the opening, blooms pushed through as closely as they go."
      counts :blooms, :blooms
      hands :bloom, :tie_on
      laid :disc

      option :bloom, :length, default: Rational(2), most: 24, label: "A bloom, across"
      option :grid, :reference, fine: true, kinds: %i[mesh fabric], label: "Grid", default_says: "one you have"

      figure :blooms, :count, "Blooms"
      figure :area, :area, "The opening"
      figure :ties, :count, "Ties to the inside rail"
      figure :length, :length, "Length"

      vary :bloom, takes: :less, says: "The smallest blooms, and so the closest"

      DENSITY = Math::PI / Math.sqrt(12)
      # From one tie to the next along the inside rail (from memory).
      TIE_EVERY = 3
      GRID_SPREAD = 0.03 # from memory

      def check
        super
        refuse("method", "Only a closed form has a middle to fill.") unless form.closed?
        refuse("bloom", "A bloom #{text(bloom)} across does not fit into the opening.") if places.empty?
        refuse_crowd(places.size, "bloom", "blooms")
      end

      def others = [grid_material].compact

      def grid_material = @grid_material ||= grid && other(grid, %i[mesh fabric], "grid")

      def area = form.opening.area

      # More could not lie there, whatever their order.
      def most = (DENSITY * area / (Math::PI * bloom.to_f**2 / 4)).floor

      # Where blooms lie, in rows like cells of a honeycomb, none over the edge; of a few such rows
      # shifted a little, those that hold most.
      def places
        @places ||= begin
          shifts = [0.0, 0.5]
          shifts.product(shifts).map { |x, y| packed(x * bloom, y * bloom) }.max_by(&:size)
        end
      end

      def blooms = places.size

      def ties = (form.inside_run / TIE_EVERY - 1e-9).ceil

      def needs
        blooming = Place::Need.items(material: material.id, what: :blooms, count: blooms)
        return [blooming] unless grid_material
        [blooming, Place::Need.pieces(material: grid_material.id, what: :grids, length: up_to_mark(form.opening.height),
          width: (up_to_mark(form.opening.width) if grid_material.sheets?), count: 1, spread: GRID_SPREAD)]
      end

      def length = 0.0

      def working
        [
          line(:area, "Opening", "inside the inside edge", square_text(area)),
          line(:most, "At most, packed like honeycomb", "0.9069 × that ÷ (π × #{bare(bloom)}² ÷ 4), rounded down",
            most.to_s),
          line(:blooms, "Whole blooms that stay clear of the edge", "laid out on the drawing", blooms.to_s),
          line(:ties, "Ties to the inside rail", "#{bare(form.inside_run)} ÷ #{bare(TIE_EVERY)}, rounded up", ties.to_s)
        ]
      end

      def steps
        [step("grid", "Tie the grid in", "Cut it to the opening and tie it to the inside edge, #{ties} ties.",
          count: ties, unit: :ties, move: :tie_on, minutes: ties * 0.6 + 3),
          step("blooms", "Push the blooms through", "From the edge inwards, each touching its neighbours.",
            count: blooms, unit: :blooms, minutes: blooms * 0.7)]
      end

      def fixings = {glue: blooms * 0.25, cable: ties}

      def lies = [Place::Lie::Disc.new(layer: id, unit: :blooms, materials: [material], width: bloom.to_f,
        front: places.map { {points: [_1]} })]

      private

      def packed(shift_x, shift_y)
        left, top, _, bottom = form.opening.box
        radius = bloom.to_f / 2
        rise = bloom * Math.sqrt(0.75)
        (0..((bottom - top) / rise).ceil + 1).flat_map do |row|
          y = top - shift_y + row * rise
          first = left - shift_x + (row.odd? ? radius : 0)
          form.opening.chords(y).flat_map do |from, to|
            (((from + radius - first) / bloom).ceil..((to - radius - first) / bloom).floor)
              .map { [first + _1 * bloom.to_f, y] }
          end
        end.select { |x, y| form.opening.clear?(x, y, radius) }
      end
    end
  end
end
