# frozen_string_literal: true

module Lantern
  module Form
    # A form as a plan says it, and as it was measured when the plan was read: sizes that cannot be are no plan.
    Said = Value.define(:sizes, :band) do
      # What is said of its parts, where it is joined of several.
      # @return [Array<Hash>]
      def parts = sizes[:parts] || []

      # The ids of the forms it is made of, one for each piece.
      # @return [Array<String>]
      def made_of = [sizes[:material], *parts.map { _1[:material] }].compact
    end
  end
end
