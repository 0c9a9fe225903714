# frozen_string_literal: true

module Lantern
  module Form
    # What shapes share that are known by their width and height over all and by their face. The
    # middle of the band fits into a box that is a face smaller both ways, since every edge and
    # every rounded corner of the outside lies half a face from it.
    #
    # @abstract a subclass answers `trace(width, height)`: its middle path in a box of that size, about nought
    class Boxed < Shape
      def self.box(height: true)
        size :width, label: "Width, over all", required: true, help: "Across it at its widest, outside edge to outside edge."
        size :height, label: "Height, over all", required: true, help: "From its lowest to its highest point." if height
        size :face, label: "Face", required: true, help: "Across the band, from edge to edge."
      end

      def check
        smallest = sizes.values_at(:width, :height).compact.min
        refuse("face", "A face of #{text(face)} leaves no middle in a form #{text(smallest)} across.") if face >= smallest.to_f / 2
        refuse("face", "The band (#{text(face)} across) is wider than the tightest bend allows (#{text(path.tightest_radius)} along its middle): the inside edge would fold over itself.") if path.tightest_radius < face / 2 - 1e-9
        refuse("face", "With a face of #{text(face)} nothing is left of the inside edge.") if path.crowded(face / 2) <= 0
        fits_string
      end

      def face = sizes[:face].to_f

      def path = @path ||= sized_by_string(trace(width - face, height - face))

      def dimensions
        left, right, top, bottom = reach
        [{about: "form.width", from: [left, bottom], to: [right, bottom], length: right - left},
          {about: "form.height", from: [right, top], to: [right, bottom], length: bottom - top}]
      end

      private

      # Left, right, top and bottom over all. Corners are rounded half a face out; an open end is cut square.
      def reach
        half = face / 2
        points = path.closed? ? path.trace(0.0) : path.trace(half) + path.trace(-half)
        out = path.closed? ? half : 0
        xs, ys = points.transpose
        [xs.min - out, xs.max + out, ys.min - out, ys.max + out]
      end

      def width = sizes[:width].to_f

      def height = (sizes[:height] || sizes[:width]).to_f

      # A string along the middle, or along both edges, says how large the form really is.
      def sized_by_string(path)
        real = measured[:run] || edges_mean
        real ? path.scaled(real / path.length) : path
      end

      def edges_mean
        inside, outside = measured.values_at(:inside_run, :outside_run)
        (inside + outside) / 2 if inside && outside
      end

      def fits_string
        runs = measured.values_at(:inside_run, :outside_run).compact
        refuse("measured.inside_run", "Along the inside a string must be shorter than along the outside.") if runs.size == 2 && runs[0] >= runs[1]
      end
    end
  end
end
