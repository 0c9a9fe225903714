# frozen_string_literal: true

module Lantern
  module Place
    class Move
      # Draws a frame: strips, cords, fingers, arrows and what else hands work with, as marks that any printer prints
      # without knowing what they are. Places are in units of a {Frame}, x to the right, y down, angles in degrees,
      # nought to the right, a quarter down. Paths have the commands `M`, `L`, `C`, `Q` and `Z`, their places apart.
      #
      # Paints: `first`, `second`, `third`, the step's materials; `first_shade` and so on, their backs; `ink`, `light`,
      # `paper`, `form`, `wire`, `stem`, `metal`, `hand`, `glue`, and `way`, the way of the hand.
      class Sketch
        # One mark: an area that is filled, or a line. Widths are in units of a frame.
        Mark = Value.define(:path, :fill, :stroke, :width, :opacity, :cap, :dash) do
          def to_h
            {"path" => path, "fill" => fill&.to_s, "stroke" => stroke&.to_s, "width" => width, "opacity" => opacity,
             "cap" => cap&.to_s, "dash" => dash}.compact
          end
        end

        # Words at a place: what they say, and whether they end or begin there, or lie about it.
        Label = Value.define(:x, :y, :says, :anchor) do
          def to_h = {"x" => x, "y" => y, "says" => says, "anchor" => anchor.to_s}
        end

        include Materials
        include Forms
        include Tools

        PAINTS = %i[first second third first_shade second_shade third_shade ink light paper form wire stem metal hand
          glue way].freeze
        EDGE = 1.5

        attr_reader :marks, :labels

        def initialize(&drawn)
          @marks, @labels = [], []
          instance_eval(&drawn)
          @marks.freeze
          @labels.freeze
        end

        private

        def area(path, paint = :first, edge: EDGE, opacity: nil)
          mark(path, fill: known(paint), stroke: (:ink if edge.positive?), width: (edge if edge.positive?), opacity:,
            cap: :round)
        end

        def line(path, paint = :ink, width: EDGE, opacity: nil, dash: nil, cap: :round)
          mark(path, stroke: known(paint), width:, opacity:, cap:, dash:)
        end

        def circle(x, y, radius, paint = :first, **more) = area(oval(x, y, radius, radius), paint, **more)

        def ellipse(x, y, wide, high, paint = :first, turned: 0, **more) = area(oval(x, y, wide, high, turned), paint,
          **more)

        # A path drawn about nought, put at a place and turned.
        def put(path, x, y, degrees = 0)
          path.gsub(/(-?[\d.]+) (-?[\d.]+)/) { put_place($1.to_f, $2.to_f, x, y, degrees).join(" ") }
        end

        def put_place(along, across, x, y, degrees)
          turn = degrees * Math::PI / 180
          cos, sin = Math.cos(turn), Math.sin(turn)
          [(x + along * cos - across * sin).round(1), (y + along * sin + across * cos).round(1)]
        end

        ARM = 0.5523
        private_constant :ARM

        def oval(x, y, wide, high, degrees = 0)
          a, b = wide * ARM, high * ARM
          put("M#{wide} 0 C#{wide} #{b} #{a} #{high} 0 #{high} C#{-a} #{high} #{-wide} #{b} #{-wide} 0 " \
            "C#{-wide} #{-b} #{-a} #{-high} 0 #{-high} C#{a} #{-high} #{wide} #{-b} #{wide} 0 Z", x, y, degrees)
        end

        def shade(paint) = %i[first second third].include?(paint) ? :"#{paint}_shade" : paint

        def known(paint)
          PAINTS.include?(paint) ? paint : raise(ArgumentError, "“#{paint}” is no paint of a frame.")
        end

        def mark(path, fill: nil, stroke: nil, width: nil, opacity: nil, cap: nil, dash: nil)
          @marks << Mark.new(path: path.strip, fill:, stroke:, width: width&.round(2), opacity:, cap:, dash:)
        end
      end
    end
  end
end
