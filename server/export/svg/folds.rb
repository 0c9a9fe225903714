# frozen_string_literal: true

module Server
  module Svg
    # Where cloth that is gathered lies in folds. Corners go round a piece in the order in which a drawing has them.
    module Folds
      module_function

      # Along a gathered strip, at a share of the way across it. Its corners are one edge, two places across its end,
      # the other edge back, two places across its beginning; across a bend it follows the ends' own curve.
      # @return [Array<(Float, Float)>]
      def along(corners, share)
        count = corners.size / 2 - 2
        near, far = corners.first(count), corners[count + 2, count].reverse
        begun = bow(near.first, corners[-1], corners[-2], far.first, share)
        ended = bow(near.last, corners[count], corners[count + 1], far.last, share)
        near.zip(far).each_with_index.map do |(a, b), i|
          x, y = between(a, b, share)
          part = i.fdiv(count - 1)
          [x + begun[0] * (1 - part) + ended[0] * part, y + begun[1] * (1 - part) + ended[1] * part]
            .map { _1.round(3) }
        end
      end

      # From both ties of a loop, whose first corner lies at one and whose middle one at the other.
      # @return [Array<Array>] a line for every fold
      def from_ties(corners, middle)
        half, quarter = corners.size / 2, corners.size / 4
        [0, half].product([quarter, nil, -quarter]).map do |tie, side|
          aim = side ? between(middle, corners[side], 0.5) : middle
          [corners[tie], between(corners[tie], aim, 0.62)]
        end
      end

      # Along the side that the light falls on, a little within.
      def lit(corners, middle)
        corners.select { |x, y| x + y < middle.sum }.map { between(middle, _1, 0.8) }
          .sort_by { |x, y| Math.atan2(y - middle[1], x - middle[0]) % (2 * Math::PI) }
      end

      # How far the way across lies beside the straight line from edge to edge.
      def bow(near, third, two_thirds, far, share)
        steps = [near, third, two_thirds, far]
        piece = (share * 3).floor.clamp(0, 2)
        place = between(steps[piece], steps[piece + 1], share * 3 - piece)
        straight = between(near, far, share)
        [place[0] - straight[0], place[1] - straight[1]]
      end

      def between((ax, ay), (bx, by), share) = [(ax + (bx - ax) * share).round(3), (ay + (by - ay) * share).round(3)]

      private_class_method :bow, :between
    end
  end
end
