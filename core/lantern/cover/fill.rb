# frozen_string_literal: true

module Lantern
  module Cover
    # The middle of a closed form filled: a grid behind it, blooms pushed through as closely as they go, from the middle
    # out. Source: hexagonal packing covers at most pi / sqrt 12 of an area.
    class Fill < Covering
      covering :fill, title: "Filled middle", takes: %i[piece],
        summary: "A grid in the opening, blooms pushed through as closely as they go."
      counts :blooms, :blooms
      hands :bloom, :grid
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
      # A bloom may overhang the inside edge by so much of itself (common practice).
      OVERHANG = 0.1

      def check
        super
        refuse("method", "Only a closed form has a middle to fill.") unless form.closed?
        # So many are not laid out; of what could ever lie there more than half do.
        refuse("bloom", "Up to #{most} blooms would go in; more than #{MOST} cannot be planned.") if most > 2 * MOST
        refuse("bloom", "A bloom #{text(bloom)} across does not fit into the opening.") if places.empty?
        refuse_crowd(places.size, "bloom", "blooms")
      end

      def others = [grid_material].compact

      def grid_cut
        return "Cut a grid to the opening" unless grid_material
        "Cut #{grid_material.name} to the opening, #{text(form.opening.width)} by #{text(form.opening.height)},"
      end

      def grid_material = @grid_material ||= grid && other(grid, %i[mesh fabric], "grid")

      def area = form.opening.area

      def overhang = bloom * OVERHANG.to_r

      # Where blooms may lie, the overhang with it.
      def room = area + form.inside_run * overhang + Math::PI * overhang**2

      # More could not lie there, whatever their order.
      def most = (DENSITY * room / (Math::PI * bloom.to_f**2 / 4)).floor

      def places = @places ||= Place::Packing.new(form.opening, bloom, over: overhang).places

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
          line(:room, "Room for blooms", "a bloom may overhang the edge by a tenth of itself", square_text(room)),
          line(:most, "At most, packed like honeycomb",
            pencil("0.9069 × %a ÷ (π × %l² ÷ 4), rounded down", room, bloom),
            most.to_s),
          line(:blooms, "Whole blooms, none over another", "laid out on the drawing", blooms.to_s),
          line(:ties, "Ties to the inside rail", pencil("%l ÷ %l, rounded up", form.inside_run, TIE_EVERY), ties.to_s)
        ]
      end

      def steps
        [step("grid", "Tie the grid in", "#{grid_cut} and tie it to the inside edge, #{ties} ties.",
          count: ties, unit: :ties, move: :grid, minutes: ties * 0.6 + 3),
          step("blooms", "Push the blooms through", "From the middle out, each touching its neighbours; the " \
            "outermost may overhang the inside edge by #{text(overhang)}.",
            count: blooms, unit: :blooms, minutes: blooms * 0.7)]
      end

      def fixings = {glue: blooms * 0.25, cable: ties}

      def lies = [Place::Lie::Disc.new(layer: id, unit: :blooms, materials: [material], width: bloom.to_f,
        front: places.map { {points: [_1]} })]
    end
  end
end
