# frozen_string_literal: true

module Lantern
  module Form
    # A form, measured: the middle of its band as a path, the cut across it, and the figures that
    # coverings work with. Where a string was laid along it, what the string says is the figure.
    # All in inches.
    class Band
      attr_reader :base, :shape, :path, :section, :face, :sections, :findings, :dimensions, :parts, :preparing

      # @param measured [Hash] what a string says: any of run, inside_run, outside_run, girth
      # @param dimensions [Array<Hash>] what to write on a drawing: `about`, `from`, `to`, `length`
      # @param parts [Array<Part>] ribs and stem
      # @param seams [Array<(Path, Numeric)>, nil] where parts lie on others ({#seams})
      # @param preparing [Array<String>] what has to be done to it first
      def initialize(base:, shape:, path:, section:, face:, sections: 1, measured: {}, findings: [], dimensions: [],
        parts: [], preparing: [], ties: nil, members: nil, joints: 0, seams: nil, holds: [])
        @base = base
        @shape = shape
        @path = path
        @section = section
        @face = face
        @sections = sections
        @measured = measured.transform_values(&:to_f).freeze
        @findings = findings.freeze
        @dimensions = dimensions.freeze
        @parts = parts.freeze
        @preparing = preparing.freeze
        @ties = ties
        @members = members
        @joints = joints
        @seams = seams
        @holds = holds.freeze
      end

      # @return [Array<Symbol>] what making it ready holds, as keys of {Place::Caution}
      attr_reader :holds

      # @return [Integer] places where its parts are tied together
      attr_reader :joints

      # The edges that a cord is laid along: of what lies on something else; where nothing does, its own outside.
      # @return [Array<(Path, Numeric)>] a path, and how far beside it the edge is
      def seams = @seams || path.strands.map { [_1, half_face] }

      # How much glue, by the inch, holds what lies on something else: once along its seam.
      # @return [Float] inches; nought where nothing lies on anything
      def glued = @seams ? @seams.sum { |path, edge| path.edge(edge) } : 0.0

      # The bands it is joined from, each as its own; most forms are one.
      # @return [Array<Band>]
      def members
        @members ||= path.strands.one? ? [self] : path.strands.map { |strand|
          like(strand, sections: [(sections * strand.length / path.length).round, 1].max)
        }
      end

      # Whether its members differ in what they are made of or across.
      def differs?
        members.map { [_1.base, _1.face.round(6), _1.girth.round(6), _1.section.rails.size] }.uniq.size > 1
      end

      # The stretch of it from one distance along it to another, as a band of its own. Sections and ties are those that
      # fall on it, as near as whole ones go.
      def between(from, to)
        own = path.between(from, to)
        share = own.length / path.length
        whole = ->(number) { number && [(number * share).round, 1].max }
        like(own, sections: whole.call(sections), ties: whole.call(ties))
      end

      def half_face = face / 2

      # Length along the middle of the band.
      def run = @run ||= @measured[:run] || path.length

      def inside_run = @inside_run ||= @measured[:inside_run] || path.edge(-half_face)

      def outside_run = @outside_run ||= @measured[:outside_run] || path.edge(half_face)

      # Sum over the path of the longer edge: coverage is decided here.
      def wide_run = @wide_run ||= closed? ? [@measured[:outside_run] || 0, stretches.wide].max : stretches.wide

      # Sum over the path of the shorter edge: here turns crowd.
      def crowded_run = @crowded_run ||= @measured[:inside_run] || path.crowded(half_face)

      # Once round the band with a tape.
      def girth = @girth ||= @measured[:girth] || section.girth

      # What there is to cover. Source: Pappus's second theorem.
      def area = girth * run

      def tightest_inside_radius = path.tightest_radius - half_face

      def closed? = path.closed?

      # Its legs and the fans over its corners.
      # @return [Stretches]
      def stretches = @stretches ||= Stretches.of(path, half_face)

      # @return [Integer, nil] ties twisted on to each rail already
      attr_reader :ties

      # The whole shape, filled, out to the outside edge.
      def silhouette = @silhouette ||= Silhouette.of(self, half_face)

      # What the inside edge leaves open.
      def opening = @opening ||= Silhouette.of(self, -half_face)

      # The band as areas, strand by strand.
      # @return [Array<Silhouette::Area>]
      def areas = @areas ||= Silhouette.bands(self)

      # @return [Array<Part>] from left to right
      def ribs = parts.select { _1.kind == :rib }

      # @return [Part, nil]
      def stem = parts.find { _1.kind == :stem }

      # Length of one rail, counted from the inside. A rail off the middle has a length of its own.
      # @param number [Integer] from 1, the innermost
      def rail_run(number) = path.edge(section.rails.fetch(number - 1)[0])

      def rail_girth = 2 * Math::PI * section.rail_radius

      # The same form with a covering on it, so much thicker all round: the next layer's form.
      # Source: Steiner's formula, the girth grows by 2 pi times as much.
      def grown(thickness)
        measured = @measured.slice(:run)
        measured[:girth] = girth + 2 * Math::PI * thickness if @measured[:girth]
        Band.new(base:, shape:, path:, section: section.grown(thickness), face: face + 2 * thickness, sections:,
          measured:, findings:, dimensions:, parts:, preparing:, ties:, joints:, holds:,
          seams: @seams&.map { |seam, half| [seam, half + thickness] },
          members: @members&.map { _1.equal?(self) ? nil : _1.grown(thickness) }&.then { _1.include?(nil) ? nil : _1 })
      end

      # A band like this one along another path.
      def like(path, sections: self.sections, ties: self.ties)
        said = {run: @measured[:run] && @measured[:run] * path.length / self.path.length, girth: @measured[:girth]}
        Band.new(base:, shape:, path:, section:, face:, sections:, ties:, measured: said.compact)
      end
      private :like

      # How many bytes it takes with all that it has worked out, about (from memory).
      def bytes = 10_000 + 1_000 * path.strands.sum { _1.pieces.size }

      def figures
        {run:, inside_run:, outside_run:, crowded_run:, wide_run:, face:, girth:, area:}
      end
    end
  end
end
