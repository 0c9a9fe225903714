# frozen_string_literal: true

module Lantern
  module Form
    # A ring, known by its outside and its opening, or by a string round it.
    class Ring < Shape
      shape :ring, title: "Ring", typical: {outside: 14, inside: 8}

      size :outside, label: "Outside, across", help: "Across the whole ring, outside edge to outside edge."
      size :inside, label: "Opening, across", help: "Across the hole, inside edge to inside edge."

      # @return [Path] once round, clockwise from the top
      # @raise [Plan::Refused]
      def path = circle(radius)

      def face = (half || raise_unknown) * 2

      def dimensions
        outer = radius + half
        inner = radius - half
        [
          {about: "form.inside", from: [-inner, 0.0], to: [inner, 0.0], length: inner * 2, inset: true},
          {about: "form.outside", from: [-outer, 0.0], to: [outer, 0.0], length: outer * 2},
          {about: "form.face", from: [inner * Math.sqrt(0.5), -inner * Math.sqrt(0.5)],
           to: [outer * Math.sqrt(0.5), -outer * Math.sqrt(0.5)], length: face, across: true}
        ]
      end

      def check
        outside, inside = sizes.values_at(:outside, :inside)
        if outside && inside && inside >= outside
          refuse("inside", "The opening (#{text(inside)}) must be smaller than the form (#{text(outside)}).")
        end
        runs = measured.values_at(:inside_run, :run, :outside_run).compact
        if runs != runs.sort || runs.uniq != runs
          refuse("measured.run", "Along the inside a string must be shorter than along the middle, and there shorter " \
            "than along the outside.")
        end
        raise_unknown unless half
        raise_unknown unless radius
        if half >= radius
          refuse(measured.any? ? "measured" : "inside",
            "The band would be wider than the ring: a face of #{text(half * 2)} on a ring " \
            "#{text((radius + half) * 2)} across.")
        end
      end

      private

      # Half the face: two strings say it best, then the sizes, then the girth for a known section.
      def half
        @half ||= half_by_strings || half_by_sizes || (girth_face && girth_face / 2)
      end

      def half_by_strings
        inside, middle, outside = measured.values_at(:inside_run, :run, :outside_run)
        return (outside - inside) / (4 * Math::PI) if inside && outside
        return (middle - inside) / (2 * Math::PI) if inside && middle
        (outside - middle) / (2 * Math::PI) if outside && middle
      end

      def half_by_sizes
        (sizes[:outside] - sizes[:inside]).to_f / 4 if sizes[:outside] && sizes[:inside]
      end

      def radius
        @radius ||= radius_by_strings || radius_by_sizes
      end

      def radius_by_strings
        inside, middle, outside = measured.values_at(:inside_run, :run, :outside_run)
        return middle / (2 * Math::PI) if middle
        return inside / (2 * Math::PI) + half if inside
        outside / (2 * Math::PI) - half if outside
      end

      def radius_by_sizes
        return sizes[:outside].to_f / 2 - half if sizes[:outside]
        sizes[:inside].to_f / 2 + half if sizes[:inside]
      end

      def circle(radius) = Path.new([Arc.new(centre: [0.0, 0.0], radius:, start: -Math::PI / 2, sweep: 2 * Math::PI)])

      def raise_unknown
        missing = %i[outside inside].reject { sizes[_1] }
        refuse(missing.first || "measured",
          "A ring needs its outside and its opening, or a string round it: the run and the girth.")
      end
    end
  end
end
