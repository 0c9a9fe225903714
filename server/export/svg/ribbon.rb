# frozen_string_literal: true

module Server
  module Svg
    # Ribbon and cloth as they fold, from a foot at nought along the x axis: a loop with an inside and an outside, a
    # tail with a fall and a dovetail. Light comes from one side of it.
    module Ribbon
      INK = "#1c2431"

      module_function

      # @param fill [String] what its outside is filled with
      # @param lit [Integer] on which side the light falls, -1 above, 1 below
      # @return [Array<String>]
      def loop(length, width, fill, lit)
        half = [width / 2.0, length * 0.6].min
        to = ->(along, across) { "#{at(length * along)} #{at(half * across)}" }
        outside = "M0 0 C#{to[0.25, -0.5]} #{to[0.55, -1]} #{to[0.8, -0.95]} C#{to[1.06, -0.7]} #{to[1.06, 0.7]} " \
          "#{to[0.8, 0.95]} C#{to[0.55, 1]} #{to[0.25, 0.5]} 0 0 Z"
        [shape(outside, fill, half * 0.06), hollow(to, -lit),
          line("M#{to[0.06, 0]} L#{to[0.34, lit * 0.3]} M#{to[0.06, 0]} L#{to[0.3, 0]}", half * 0.07, INK, 0.5),
          line("M#{to[0.3, lit * 0.5]} Q#{to[0.6, lit * 0.82]} #{to[0.84, lit * 0.62]}", half * 0.14, "#ffffff", 0.35)]
      end

      # @return [Array<String>]
      def tail(length, width, fill)
        half = width / 2.0
        sway = [half * 0.3, length * 0.05].min
        outline = "M0 #{at(-half * 0.5)} C#{at(length * 0.35)} #{at(-half - sway)} #{at(length * 0.65)} " \
          "#{at(-half + sway)} #{at(length)} #{at(-half)} L#{at(length - half * 0.8)} 0 L#{at(length)} #{at(half)} " \
          "C#{at(length * 0.65)} #{at(half + sway)} #{at(length * 0.35)} #{at(half - sway)} 0 #{at(half * 0.5)} Z"
        fold = "M#{at(half * 0.4)} 0 Q#{at(length * 0.3)} #{at(half * 0.35)} #{at(length * 0.55)} #{at(half * 0.1)}"
        [shape(outline, fill, width * 0.05), (line(fold, width * 0.05, INK, 0.35) if length > width * 1.2)].compact
      end

      # What is seen of the inside, away from the light.
      def hollow(to, away)
        up = ->(along, across) { to[along, away * across] }
        path = "M#{up[0.3, 0.34]} C#{up[0.55, 0.86]} #{up[0.8, 0.98]} #{up[0.93, 0.52]} C#{up[0.8, 0.5]} " \
          "#{up[0.55, 0.42]} #{up[0.3, 0.34]} Z"
        %(<path d="#{path}" fill="#{INK}" fill-opacity="0.42"/>)
      end

      def shape(path, fill, edge) = %(<path d="#{path}" fill="#{fill}" stroke="#{INK}" stroke-opacity="0.7" ) +
        %(stroke-width="#{at(edge)}" stroke-linejoin="round"/>)

      def line(path, width, paint, opacity) = %(<path d="#{path}" fill="none" stroke="#{paint}" ) +
        %(stroke-opacity="#{opacity}" stroke-width="#{at(width)}" stroke-linecap="round"/>)

      def at(number) = number.to_f.round(4)

      private_class_method :hollow, :shape, :line, :at
    end
  end
end
