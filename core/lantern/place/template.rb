# frozen_string_literal: true

module Lantern
  module Place
    # An outline at its true size, to be printed, cut out and laid on felt, cloth, mesh or board. Points are
    # inches, the middle of the form at nought, y running down. `name` is its key.
    Template = Value.define(:name, :title, :says, :outlines) do
      # Both edges of a band so far from its middle; where it is open, once round it.
      # @param form [Form::Band]
      # @param reach [Numeric] inches
      # @return [Array<Array<(Float, Float)>>]
      def self.band(form, reach)
        outer = Form::Silhouette.of(form, reach).outlines
        form.closed? ? outer + Form::Silhouette.of(form, -reach).outlines : outer
      end

      # @return [Hash] for the API, without the outlines
      def to_h = {"name" => name, "title" => title, "says" => says}
    end
  end
end
