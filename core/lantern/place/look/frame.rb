# frozen_string_literal: true

module Lantern
  module Place
    class Look
      # What the places in the path of a mark mean for one piece: along a leg of it, about its middle, across a strip,
      # round a hull. The points of a piece are x and y in turn.
      class Frame
        # Of how many directions a strip's texture takes the nearest.
        DIRECTIONS = 24
        # How many straight parts a curve is where it is looked at as corners.
        PARTS = 6

        class << self
          # Every frame of a piece that a mark is drawn in.
          # @param points [Array<(Numeric, Numeric)>]
          # @param half [Float] half the strip's width
          # @param turn [Float] in degrees
          # @return [Array<Frame>]
          def of(mark, points, half, slender: nil, turn: 0)
            ALL.fetch(mark.frame).call(points, half, slender, turn)
          end
        end

        # The nearest of the directions, from nought: a strip has neither front nor back.
        # @return [Integer]
        def direction(_mark) = 0

        # @return [String] the mark as path data
        def print(mark)
          mark.path.map { |letter, *places|
            "#{(letter == "A") ? half_circle : letter}#{places.map { |place| text(*at(place, mark)) }.join(" ")}"
          }.join
        end

        # @return [Array<(Float, Float)>] the mark as corners; of one stretch
        def corners(mark)
          mark.path.each_with_object([]) do |(letter, *places), corners|
            ends = places.map { at(_1, mark) }
            next corners.concat(round(corners.last, ends[0])) if letter == "A"
            next corners.concat(ends) if ends.size < 2
            corners.concat(bent([corners.last, *ends]))
          end
        end

        # How much each place of a curve of so many counts on the way, part by part.
        # Source: the polynomials of Bernstein, 1912.
        WEIGHTS = [3, 4].to_h { |places|
          most = places - 1
          [places, (1..PARTS).map { |i|
            share = i.fdiv(PARTS)
            (0..most).map { |k| [1, most, most, 1][(k == most) ? 3 : k] * (1 - share)**(most - k) * share**k }
          }]
        }.freeze
        private_constant :WEIGHTS

        private

        def text(x, y) = "#{Frame.number(x)} #{Frame.number(y)}"

        # Half a circle from one place to another, clockwise as it is drawn.
        def round((x, y), (to_x, to_y))
          middle_x, middle_y, from_x, from_y = (x + to_x) / 2.0, (y + to_y) / 2.0, (x - to_x) / 2.0, (y - to_y) / 2.0
          (1..PARTS).map { |i|
            cos, sin = Math.cos(Math::PI * i / PARTS), Math.sin(Math::PI * i / PARTS)
            [middle_x + from_x * cos - from_y * sin, middle_y + from_x * sin + from_y * cos]
          }
        end

        # A curve's corners, but for where it begins.
        def bent(places)
          WEIGHTS.fetch(places.size).map do |weights|
            x = y = 0.0
            i = 0
            while i < weights.size
              x += places[i][0] * weights[i]
              y += places[i][1] * weights[i]
              i += 1
            end
            [x, y]
          end
        end

        class << self
          # A number as drawings have it, to a thousandth.
          # @return [String]
          def number(value)
            rounded = (value * 1000).round
            (rounded % 1000).zero? ? (rounded / 1000).to_s : (rounded / 1000.0).to_s
          end
        end

        class Leg < Frame
          # @param from [(Numeric, Numeric)]
          # @param to [(Numeric, Numeric)]
          def initialize((x, y), (to_x, to_y), half, slender = nil, angle = nil)
            @x, @y = x, y
            @length = Math.hypot(to_x - x, to_y - y)
            @half = slender ? [half, @length * slender].min : half
            @angle = angle || Math.atan2(to_y - y, to_x - x)
            @cos, @sin = Math.cos(@angle), Math.sin(@angle)
          end

          def none? = @length < 1e-6

          def direction(_mark) = (@angle % Math::PI * DIRECTIONS / Math::PI + 0.5).floor % DIRECTIONS

          private

          def half_circle = @half_circle ||= Frame.number(@half).then { "A#{_1} #{_1} 0 0 1 " }

          def at((share, halves, across), mark)
            along = share * @length + halves * @half
            across = across * @half * way(mark.side)
            [@x + along * @cos - across * @sin, @y + along * @sin + across * @cos]
          end

          # Light comes from the upper left: on which side of a leg that runs at this angle it falls.
          def way(side)
            return 1 unless side
            lit = (@cos - @sin >= 0) ? -1 : 1
            (side == :lit) ? lit : -lit
          end
        end

        class Points < Frame
          # @param points [Array<(Numeric, Numeric)>]
          def initialize(points)
            @points = points
          end

          def direction(mark)
            mark.grain ? Leg.new(@points.first, @points[@points.size / 2 - 1], 1).direction(mark) : 0
          end

          def print(mark)
            "M#{@points.map { |x, y| text(x, y) }.join("L")}#{"Z" if mark.shape == :area}"
          end

          def corners(_mark) = @points
        end

        # A strip by its corners: one edge, two places across its end, the other edge back, two places across its
        # beginning. Lines run along it, and at its ends across the bend that the ends have.
        class Strip < Frame
          def initialize(corners)
            @corners = corners
            count = corners.size / 2 - 2
            @near, @far = corners.first(count), corners[count + 2, count].reverse
            @begins = [@near.first, corners[-1], corners[-2], @far.first]
            @ends = [@near.last, corners[count], corners[count + 1], @far.last]
          end

          def print(mark) = mark.along.map { |share| "M#{line(share).map { text(*_1) }.join("L")}" }.join

          private

          def line(share)
            begun, ended = bow(@begins, share), bow(@ends, share)
            @near.zip(@far).each_with_index.map do |(a, b), i|
              x, y = between(a, b, share)
              part = i.fdiv(@near.size - 1)
              [x + begun[0] * (1 - part) + ended[0] * part, y + begun[1] * (1 - part) + ended[1] * part]
            end
          end

          # How far the way across lies beside the straight line from edge to edge.
          def bow(steps, share)
            piece = (share * 3).floor.clamp(0, 2)
            place = between(steps[piece], steps[piece + 1], share * 3 - piece)
            straight = between(steps[0], steps[3], share)
            [place[0] - straight[0], place[1] - straight[1]]
          end

          def between((ax, ay), (bx, by), share) = [ax + (bx - ax) * share, ay + (by - ay) * share]
        end

        # A hull by its corners: `along` is how far round it, `across` how far out from its middle. With a side, it is
        # begun where the light falls.
        class Hull < Frame
          def initialize(corners)
            @corners = corners
            @middle = corners.transpose.map { _1.sum.fdiv(corners.size) }
          end

          private

          def at((round, _, out), mark)
            x, y = corner(round + (mark.side ? lit : 0))
            [@middle[0] + (x - @middle[0]) * out, @middle[1] + (y - @middle[1]) * out]
          end

          def lit = @lit ||= @corners.each_index.min_by { @corners[_1].sum }.fdiv(@corners.size)

          def corner(round)
            place = round * @corners.size
            share = place - place.floor
            (ax, ay), (bx, by) = @corners[place.floor % @corners.size], @corners[(place.floor + 1) % @corners.size]
            [ax + (bx - ax) * share, ay + (by - ay) * share]
          end
        end

        legs = ->(pairs, half, slender) { pairs.map { |from, to| Leg.new(from, to, half, slender) }.reject(&:none?) }
        ALL = Registry.new("frame")
        ALL.know(:legs, ->(points, half, slender, _) { legs[points.each_cons(2), half, slender] })
        ALL.know(:ends, ->((first, *others), half, slender, _) { legs[others.map { [first, _1] }, half, slender] })
        ALL.know(:round, ->(((x, y), *), half, _, turn) {
          [Leg.new([x, y], [x + half, y], half, nil, turn * Math::PI / 180)]
        })
        ALL.know(:points, ->(points, *) { [Points.new(points)] })
        ALL.know(:strip, ->(points, *) { [Strip.new(points)] })
        ALL.know(:hull, ->(points, *) { [Hull.new(points)] })
      end
    end
  end
end
