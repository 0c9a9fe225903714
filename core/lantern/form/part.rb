# frozen_string_literal: true

module Lantern
  module Form
    # A piece of a form beside its band: a `:rib` over a gourd, a `:stem` under a clover. `path` is
    # where it lies; `diameter` how thick it is, and `end_diameter` at its far end. Inches.
    Part = Value.define(:kind, :path, :diameter, :end_diameter) do
      def initialize(kind:, path:, diameter: nil, end_diameter: diameter) = super

      def length = path.length
    end
  end
end
