# frozen_string_literal: true

module Lantern
  # Forms and their measures: from what a tape says to a {Form::Band}.
  module Form
    # The order in which shapes are offered; any other comes after these.
    FAMILIAR = %i[ring oval heart clover gourd star cross egg lens cane arc outline composite].freeze

    MOST_PARTS = 8

    SHAPES = Registry.new("shape")

    class << self
      # @return [Hash{Symbol=>Class}] every known shape by its name in plans
      def shapes = SHAPES.to_h

      # @return [Hash{Symbol=>Class}] the same in the order in which they are offered
      def in_order = shapes.sort_by { |name, _| FAMILIAR.index(name) || FAMILIAR.size }.to_h

      # @param sizes [Hash] a form as {Reader} reads it
      # @return [Band]
      # @raise [Plan::Refused] when there can be no such form; of one whose band is too wide, with the widest that goes
      def measure(sizes)
        band(sizes)
      rescue Plan::Refused => refused
        face = sizes[:face]
        raise unless face && refused.problems.map(&:at) == ["form.face"]
        widest = Widest.face(sizes, below: face) { band(_1) } or raise
        says = "#{refused.problems.first.says} The widest that goes is #{Measure::Length.text(widest,
          units: sizes[:units])}."
        raise Plan::Refused.at("form.face", says)
      end

      private

      def band(sizes)
        units = sizes[:units]
        shape = shapes.fetch(sizes[:shape]).new(sizes, units:)
        shape.check
        face = shape.face
        check_edges(shape, face, units)
        section = Base.section(sizes, face, units:)
        measured = shape.measured
        band = Band.new(base: sizes[:base], shape: sizes[:shape], path: shape.path, section:, face:, measured:,
          sections: sizes[:sections] || 1,
          dimensions: shape.dimensions, parts: shape.parts, members: shape.members, preparing: preparing(shape, sizes),
          joints: shape.joints, holds: shape.holds, seams: shape.seams, ties: sizes[:ties],
          findings: [*Strings.findings(sizes, measured, section, units, face),
            *Corners.findings(shape.path, face, units), *shape.findings])
        before = sizes[:before]
        before&.covered? ? band.grown(before.thickness.to_f) : band
      end

      def preparing(shape, sizes)
        [*shape.preparing, *("Strip the old covering off, and put what is still good aside." if sizes[:before]&.strip?)]
      end

      # How much of an edge may be cut off where it would cross itself, as a share (from memory).
      LOOPED = 0.1

      # An edge that loops nearly all the way is no edge: there can be no such band.
      # @raise [Plan::Refused]
      def check_edges(shape, face, units)
        shape.path.strands.select(&:closed?).product([face / 2, -face / 2]) do |strand, across|
          next unless strand.loops?(across)
          edge = Silhouette.edge(strand, across)
          next if edge.cut < LOOPED * (Crossing.around(edge.points) + edge.cut)
          side = across.positive? ? "outside" : "inside"
          raise Plan::Refused.at("form.face", "A band #{Measure::Length.text(face, units:)} across is too " \
            "wide for this shape: its #{side} edge would cross itself.")
        end
      end
    end
  end
end
