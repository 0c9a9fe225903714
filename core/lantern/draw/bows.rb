# frozen_string_literal: true

module Lantern
  module Draw
    # The lie of a bow on the front of a form: tails under loops under the pinch in the middle, upright
    # whatever hour it sits at.
    module Bows
      module_function

      # @param at [Float] the hour
      # @param bow [Trim::Bows::Kind]
      # @return [Array<Lie>]
      def tied(form, id:, materials:, at:, bow:, width:)
        centre = Form::Clock.point(form, at)
        reach = [*bow.loops, *bow.tails].map { |angle, length| beyond(form, centre, angle, length) }.max || 0
        colours = (0...materials.size).cycle
        tails = bow.tails.map { |angle, length| {points: tail(centre, angle, length, width), colour: colours.next} }
        colours = (0...materials.size).cycle
        loops = bow.loops.sort_by { -_2 }.map { |angle, length| {points: [centre, out(centre, angle, length)], colour: colours.next} }
        pinch = [{points: square(centre, width * 0.32), colour: 0}]
        [
          *(Lie.new(layer: id, what: "tails", kind: :panel, materials:, width:, reach:, front: tails) if tails.any?),
          Lie.new(layer: id, what: "loops", kind: :loop, materials:, width:, reach:, front: loops),
          Lie.new(layer: id, what: "pinch", kind: :panel, materials:, width:, reach: 0.0, front: pinch)
        ]
      end

      # A tail with a dovetail cut in its end.
      def tail(centre, angle, length, width)
        half = width / 2
        [[0.0, -half * 0.4], [length, -half], [length - half * 0.9, 0.0], [length, half], [0.0, half * 0.4]].map { |along, across| turned(centre, angle, along, across) }
      end

      def square(centre, half) = [[-half, -half], [half, -half], [half, half], [-half, half]].map { |x, y| turned(centre, 0.0, x, y) }

      def out(centre, angle, length) = turned(centre, angle, length, 0.0)

      def turned(centre, angle, along, across)
        [centre[0] + along * Math.cos(angle) - across * Math.sin(angle), centre[1] + along * Math.sin(angle) + across * Math.cos(angle)]
      end

      # How far an end sticks out past the form's outer edge.
      def beyond(form, centre, angle, length)
        x, y = out(centre, angle, length)
        left, top, right, bottom = form.silhouette.box
        [left - x, x - right, top - y, y - bottom, 0.0].max
      end

      private_class_method :tail, :square, :beyond
    end
  end
end
