# frozen_string_literal: true

module Lantern
  module Form
    # A shape as a filled area: what is inside one edge of a closed band, or the band itself where it
    # is open. For panels, rows and fillings, which cover it whole.
    class Silhouette
      # What lies within some outlines and without others.
      Area = Value.define(:filled, :open)

      # @return [Array<Array<(Float, Float)>>] its outlines, corner after corner
      attr_reader :outlines

      class << self
        # @param across [Float] which edge of a closed band: half the face for the outside, less for the inside; of an
        #   open one how far it reaches on both sides of its middle, and as far beyond its ends as beyond its edges
        def of(form, across)
          new(form.path.strands.map { |strand|
            if strand.closed?
              edge(strand, across).points
            else
              round(strand, across.positive? ? across : form.half_face, form)
            end
          })
        end

        # The band itself, strand by strand.
        # @return [Array<Area>]
        def bands(form)
          half = form.half_face
          form.path.strands.map { |strand|
            if strand.closed?
              Area.new(filled: [edge(strand, half).points], open: [edge(strand, -half).points])
            else
              Area.new(filled: [beside(strand, half) + beside(strand, -half).reverse], open: [])
            end
          }
        end

        # The line beside a closed strand, as it can be: where it would cross itself it is cut off.
        # @return [Crossing::Unlooped] its points, and how long what was cut off is
        def edge(strand, across)
          points = beside(strand, across)
          strand.loops?(across) ? Crossing.unlooped(points) : Crossing::Unlooped.new(points:, cut: 0.0)
        end

        private

        # Once round an open strand.
        def round(strand, across, form)
          beyond = across - form.half_face
          kept = beyond.negative? ? strand.shortened(-beyond, -beyond) : strand
          there, back = [across, -across].map { |side| beside(kept, side) }
          return there + back.reverse unless beyond.positive?
          [[there, back].map { |points| further(points[0], kept.direction(0.0), -beyond) },
            [back, there].map { |points| further(points[-1], kept.direction(kept.length), beyond) }]
            .then { |first, last| [first[0], *there, last[1], last[0], *back.reverse, first[1]] }
        end

        def further((x, y), (dx, dy), far) = [x + dx * far, y + dy * far]

        # Points along an edge, notches trimmed, corners rounded on the wide side.
        def beside(strand, across)
          step = strand.length / 180
          parts = strand.parallel(across)
          index = strand.pieces.each_with_index.to_h.compare_by_identity
          parts.flat_map do |piece, from, to|
            count = piece.curvature.zero? ? 1 : [((to - from) / step).ceil, 2].max
            points = (0..count).map { |n| piece.beside(from + (to - from) * n / count, across) }
            points + strand.corner_points(index[piece], across)
          end
        end
      end

      def initialize(outlines)
        @outlines = outlines
      end

      # @return [Array<Float>] left, top, right, bottom
      def box
        @box ||= outlines.flatten(1).transpose.then { |xs, ys| [xs.min, ys.min, xs.max, ys.max] }
      end

      def width = box[2] - box[0]

      def height = box[3] - box[1]

      # By the shoelace formula; parts that overlap count twice.
      def area = outlines.sum { |points| sides(points).sum { |(ax, ay), (bx, by)| ax * by - bx * ay }.abs / 2 }

      # Where a level line crosses it: from where to where, from left to right.
      # @return [Array<(Float, Float)>]
      def chords(y)
        spans = edges.flat_map do |sides|
          crossings = sides.filter_map { |a, b| a[0] + across(a, b, y) if (a[1] <= y) != (b[1] <= y) }
          crossings.sort.each_slice(2).select { _1.size == 2 }
        end
        spans.sort.each_with_object([]) do |(from, to), merged|
          next merged << [from, to] if merged.empty? || from > merged.last[1]
          merged.last[1] = [merged.last[1], to].max
        end
      end

      # What lies below a level line.
      # @return [Array<Array<(Float, Float)>>]
      def below(level)
        outlines.map { |points|
          sides(points).flat_map { |a, b|
            if (a[1] < level) != (b[1] < level)
              crossing = [a[0] + across(a, b, level), level]
            end
            [(a if a[1] >= level), crossing].compact
          }
        }.reject { _1.size < 3 }
      end

      # Points along the edges.
      # @param apart [Float] inches, no further from one to the next
      # @return [Array<(Float, Float)>]
      def points(apart)
        edges.flatten(1).flat_map do |(ax, ay), (bx, by)|
          count = (Math.hypot(bx - ax, by - ay) / apart).ceil.clamp(1, nil)
          (0...count).map { |i| [ax + (bx - ax) * i / count, ay + (by - ay) * i / count] }
        end
      end

      private

      # How far to the right of `a` its side to `b` meets a level line.
      def across(a, b, level) = (level - a[1]) * (b[0] - a[0]) / (b[1] - a[1])

      def edges = @edges ||= outlines.map { sides(_1) }

      def sides(points) = (points + [points.first]).each_cons(2).to_a
    end
  end
end
