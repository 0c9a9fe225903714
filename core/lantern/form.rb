# frozen_string_literal: true

module Lantern
  # Forms and their measures: from what a tape says to a {Form::Band}.
  module Form
    # The order in which shapes are offered; any other comes after these.
    FAMILIAR = %i[ring oval heart clover gourd star cross egg lens cane arc outline composite].freeze

    @shapes = {}

    class << self
      # @return [Hash{Symbol=>Class}] every known shape by its name in plans
      attr_reader :shapes

      # @param plan [Plan::Document]
      # @return [Band] as it was measured when the plan was read: sizes that cannot be are no plan
      def measure(plan) = plan.band

      # @param sizes [Hash] a form as {Reader} reads it
      # @return [Band]
      # @raise [Plan::Refused] when there can be no such form
      def measure_sizes(sizes)
        units = sizes[:units]
        shape = shapes.fetch(sizes[:shape]).new(sizes, units:)
        shape.check
        face = shape.face
        section = Base.section(sizes, face, units:)
        measured = shape.measured
        Band.new(base: sizes[:base], shape: sizes[:shape], path: shape.path, section:, face:, measured:, sections: sizes[:sections] || 1,
          dimensions: shape.dimensions, parts: shape.parts, preparing: shape.preparing, ties: sizes[:ties],
          findings: [*Strings.findings(sizes, measured, section, units), *Corners.findings(shape.path, face, units), *shape.findings])
      end

      # @return [Hash] every base, shape and size, for the API
      def declare
        {
          "bases" => Base::TITLES.map { |name, title| {"name" => name.to_s, "title" => title, "fields" => Base::FIELDS[name].map(&:declare)} },
          "shapes" => shapes.sort_by { |name, _| FAMILIAR.index(name) || FAMILIAR.size }.map { |name, shape| declare_shape(name, shape) },
          "measured" => Reader::MEASURED.map(&:declare), "shelf" => Shelf.declare
        }
      end

      private

      # Typical sizes carry their units, so that they mean the same in every plan.
      def declare_shape(name, shape)
        typical = shape.typical.to_h { |size, inches| [size.to_s, inches.is_a?(Numeric) ? "#{inches} in" : inches] }
        {"name" => name.to_s, "title" => shape.title, "fields" => shape.sizes.map(&:declare), "typical" => typical, "sketch" => sketch("base" => "foam", "shape" => name.to_s, **typical)}
      end

      # A form as a small drawing: the line of its middle, how wide its band is, and what is beside it.
      def sketch(document)
        reading = Plan::Reading.new(units: "in")
        form = measure_sizes(Reader.new(:form).read(document, "form", reading))
        scale = Draw::Scale.new("in")
        Draw::Outline.form(form, scale).slice("middle", "face", "parts").merge("box" => Draw.bounds(form, [], scale))
      end
    end
  end
end
