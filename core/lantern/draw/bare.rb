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

      # @param layers [Array<Cover::Covering>]
      def initialize(form, layers, along: ALONG, across: ACROSS)
        @form = form
        @lies = layers.flat_map(&:lies)
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
        by_place = seen(:front).group_by { |place| (place[:step] * 3) / @across }
        {inside: share(by_place[0]), middle: share(by_place[1]), outside: share(by_place[2])}
      end

      # Places of the front where the form shows.
      # @return [Array<(Float, Float)>]
      def patches = seen(:front).reject { _1[:covered] }.map { _1[:point] }

      private

      def share(places) = places.count { _1[:covered] }.fdiv(places.size)

      def seen(side)
        (@seen ||= {})[side] ||= begin
          cloth = Cloth.new(@lies, side)
          places.map { |place| place.merge(covered: cloth.over?(*place[:point])) }
        end
      end

      def places
        @places ||= (0...@along).to_a.product((0...@across).to_a).map do |i, step|
          across = @form.half_face * RIM * (2.0 * step / (@across - 1) - 1)
          {step:, point: @form.path.beside(@form.path.length * (i + 0.5) / @along, across)}
        end
      end

      # Everything that lies on one side, found by where it is.
      class Cloth
        # So many cells to the longest strip's reach.
        CELL = 1.0

        def initialize(lies, side)
          @cells = Hash.new { |cells, cell| cells[cell] = [] }
          lies.each { |lie| lie.public_send(side).each { |item| lay(lie, item[:points]) } }
        end

        def over?(x, y) = @cells.fetch([(x / CELL).floor, (y / CELL).floor], []).any? { |patch| patch.call(x, y) }

        private

        def lay(lie, points)
          case lie.kind
          when :band, :panel then polygon(points)
          when :cord, :line then points.each_cons(2) { |from, to| stroke(from, to, lie.width / 2) }
          when :loop then stroke(points[0], points[1], lie.width / 2)
          when :disc then stroke(points[0], points[0], lie.width / 2)
          when :knot then knot(points, lie.width)
          end
        end

        def knot(points, width)
          place, *tails = points
          tails.each { stroke(place, _1, width / 2) }
          stroke(place, place, width / 2)
        end

        def stroke(from, to, reach)
          (ax, ay), (bx, by) = from, to
          length = (bx - ax)**2 + (by - ay)**2
          put([ax, bx], [ay, by], reach, lambda { |x, y|
            share = length.zero? ? 0 : (((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / length).clamp(0, 1)
            (x - ax - share * (bx - ax))**2 + (y - ay - share * (by - ay))**2 <= reach**2
          })
        end

        # Inside, by how often a ray to the right crosses the edge.
        def polygon(points)
          sides = (points + [points.first]).each_cons(2).to_a
          put(*points.transpose, 0.0, lambda { |x, y|
            sides.count { |(ax, ay), (bx, by)| (ay > y) != (by > y) && x < ax + (y - ay) * (bx - ax) / (by - ay) }.odd?
          })
        end

        def put(xs, ys, reach, patch)
          cells = ->(numbers) { ((numbers.min - reach) / CELL).floor..((numbers.max + reach) / CELL).floor }
          cells.call(xs).each { |column| cells.call(ys).each { |row| @cells[[column, row]] << patch } }
        end
      end
      private_constant :Cloth
    end
  end
end
