# frozen_string_literal: true

module Lantern
  module Draw
    # Simulated coverage: from where the strips lie, and from nothing else, how much of the form still
    # shows, and where. The band is looked at in many places, front and back; a place is covered when a
    # strip, a coil, a knot or a panel lies over it.
    class Bare
      # Places looked at along the band and across it.
      ALONG = 240
      ACROSS = 9
      # The outermost places lie just inside the edges: on an edge itself a strip ends.
      RIM = 0.97

      # One place looked at: how far across, where it is, and whether anything lies over it.
      Look = Value.define(:step, :point, :covered)

      # @param form [Form::Band]
      # @param lies [Array<Place::Lie>]
      def initialize(form, lies, along: ALONG, across: ACROSS)
        @form = form
        @lies = lies
        @along = along
        @across = across
      end

      # @return [Float] the share of the front that is covered, 0..1
      def front = share(seen(:front))

      # @return [Float] the share of the back
      def back = share(seen(:back))

      # @return [Float] both sides together
      def covered = (front + back) / 2

      # The share covered of the inner third, the middle and the outer third of the front.
      # @return [Hash{Symbol=>Float}]
      def thirds
        by_place = seen(:front).group_by { |look| (look.step * 3) / @across }
        {inside: share(by_place[0]), middle: share(by_place[1]), outside: share(by_place[2])}
      end

      # Places of the front where the form shows.
      # @return [Array<(Float, Float)>]
      def patches = seen(:front).reject(&:covered).map(&:point)

      # @return [Hash] ready for JSON: shares, and the bare places of the front in these units
      def to_h(units)
        scale = Scale.new(units)
        {
          "front" => front.round(4), "back" => back.round(4),
          **thirds.to_h { |third, share| [third.to_s, share.round(4)] },
          "patches" => patches.map { scale.point(_1) }
        }
      end

      private

      def share(looks) = looks.count(&:covered).fdiv(looks.size)

      def seen(side)
        (@seen ||= {})[side] ||= begin
          cloth = Cloth.new(@lies.flat_map { _1.covers(side) })
          places.map { |step, point| Look.new(step:, point:, covered: cloth.over?(*point)) }
        end
      end

      def places
        @places ||= (0...@along).to_a.product((0...@across).to_a).map do |i, step|
          across = @form.half_face * RIM * (2.0 * step / (@across - 1) - 1)
          [step, @form.path.beside(@form.path.length * (i + 0.5) / @along, across)]
        end
      end

      # Everything that lies on one side, found by where it is.
      class Cloth
        # A cell is an inch wide.
        CELL = 1.0

        # @param patches [Array<Place::Stroke, Place::Polygon>]
        def initialize(patches)
          @cells = Hash.new { |cells, cell| cells[cell] = [] }
          patches.each { put(_1) }
        end

        def over?(x, y) = @cells.fetch([(x / CELL).floor, (y / CELL).floor], []).any? { _1.over?(x, y) }

        private

        def put(patch)
          left, top, right, bottom = patch.box.map { (_1 / CELL).floor }
          (left..right).each { |column| (top..bottom).each { |row| @cells[[column, row]] << patch } }
        end
      end
      private_constant :Cloth
    end
  end
end
