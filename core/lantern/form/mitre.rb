# frozen_string_literal: true

module Lantern
  module Form
    # How a line beside a path goes on at a corner, on the wide side: in a point, where bent wire and cut board meet,
    # or round, as foam and vine do.
    # Source: mitre joins with a limit, as GEOS draws them; parallel curves (Steiner) for the round.
    module Mitre
      # So many times as far from the corner as the line lies beside it a point may stand; past that it is cut off
      # square (common practice).
      LIMIT = 4.0
      # Into so many straight pieces a round corner is cut, to say where it lies.
      STEPS = 8

      module_function

      # @param turn [Float] how far the path turns, radians, 0 to pi
      # @param across [Float] how far the line lies beside the path
      # @return [Float] how long the line is from the end of one piece to the beginning of the next
      def length(turn, across, pointed:)
        return turn * across unless pointed
        return 2 * across * Math.tan(turn / 2) if reached?(turn)
        along = cut_off(turn)
        2 * across * (along + Math.sin(turn / 2) - along * Math.cos(turn / 2))
      end

      # @param corner [(Float, Float)]
      # @param before [(Float, Float)] the way the path runs into it, of length one
      # @param after [(Float, Float)] the way it runs out of it
      # @param across [Float] towards the outside, or negative
      # @return [Array<(Float, Float)>] where the line turns, between those two ends
      def points(corner, before, after, across, pointed:)
        turn = Math.atan2(before[0] * after[1] - before[1] * after[0], before[0] * after[0] + before[1] * after[1])
        return around(corner, before, turn, across) unless pointed
        along = reached?(turn.abs) ? Math.tan(turn.abs / 2) : cut_off(turn.abs)
        ends = [[before, along], [after, -along]].map { |(dx, dy), by|
          [corner[0] + dy * across + dx * by * across.abs, corner[1] - dx * across + dy * by * across.abs]
        }
        reached?(turn.abs) ? [ends.first] : ends
      end

      # Whether both lines run on until they meet.
      def reached?(turn) = Math.cos(turn / 2) * LIMIT >= 1

      # How far a line runs on, for one beside it, when its point is cut off square.
      def cut_off(turn) = (LIMIT - Math.cos(turn / 2)) / Math.sin(turn / 2)

      def around((x, y), (dx, dy), turn, across)
        from = Math.atan2(-dx * across, dy * across)
        (1...STEPS).map { |i|
          angle = from + turn * i / STEPS
          [x + across.abs * Math.cos(angle), y + across.abs * Math.sin(angle)]
        }
      end

      private_class_method :reached?, :cut_off, :around
    end
  end
end
