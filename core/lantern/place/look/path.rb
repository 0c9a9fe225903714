# frozen_string_literal: true

module Lantern
  module Place
    class Look
      # A path as a look declares it: `M`, `L`, `C`, `Q` and `Z`, with places in the measure of their frame; and `A`,
      # half a circle as wide as the strip, clockwise to a place straight across from where the path is.
      module Path
        # How long the arms of a curve are that goes a quarter round a circle, as a share of its radius.
        ROUND = 0.5523

        PLACES = {"M" => 1, "L" => 1, "C" => 3, "Q" => 2, "A" => 1, "Z" => 0}.freeze
        # A share, halves of the width, or both.
        PLACE = /\A(-?\d*\.?\d+)?(?:([+-]?\d*\.?\d+)w)?\z/

        module_function

        # @param text [String]
        # @return [Array<Array>] commands, each with its places: a share, halves of the width, across
        # @raise [ArgumentError] for what is no such path
        def read(text)
          text.scan(/([A-Z])([^A-Z]*)/).map do |letter, rest|
            numbers = rest.split
            places = PLACES.fetch(letter) { raise ArgumentError, "“#{letter}” is no command of a look." }
            raise ArgumentError, "“#{letter}#{rest}” has not #{places} places." unless numbers.size == 2 * places
            [letter, *numbers.each_slice(2).map { |along, across| [*along(along), Float(across)] }]
          end
        end

        # A circle or an ellipse as four curves.
        # @param wide [Float] half its width
        # @param long [Float] half its length, along the line out from the middle
        # @param out [Float] how far its own middle is from there
        # @param turned [Float] in degrees
        # @param middle [Float] where, along
        # @return [String]
        def oval(wide, long = wide, out: 0, turned: 0, middle: 0)
          cos, sin = Math.cos(turned * Math::PI / 180), Math.sin(turned * Math::PI / 180)
          corners = QUARTERS.map { |across, along|
            x, y = across * wide, along * long - out
            "#{turn(middle, x * cos - y * sin)} #{format("%.4f", x * sin + y * cos)}"
          }
          "M#{corners[0]} #{corners.drop(1).each_slice(3).map { "C#{_1.join(" ")}" }.join(" ")} Z"
        end

        # All round a circle: every end of a curve, and its arms.
        QUARTERS = [[1, 0], [1, ROUND], [ROUND, 1], [0, 1], [-ROUND, 1], [-1, ROUND], [-1, 0], [-1, -ROUND],
          [-ROUND, -1], [0, -1], [ROUND, -1], [1, -ROUND], [1, 0]].freeze
        private_constant :QUARTERS

        # Halves of the width away from a share of the length.
        def turn(share, halves) = share.zero? ? format("%.4fw", halves) : format("%g%+.4fw", share, halves)

        # @return [(Float, Float)] a share, and halves of the width
        def along(text)
          share, halves = text.end_with?("w") ? text.match(/\A(.*?)([+-]?[\d.]+)w\z/).captures : [text, nil]
          [share.empty? ? 0.0 : Float(share), halves ? Float(halves) : 0.0]
        end

        private_class_method :along, :turn
      end
    end
  end
end
