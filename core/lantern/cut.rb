# frozen_string_literal: true

module Lantern
  # From what is asked of a material to what is cut from what.
  module Cut
    # How what is sold so is cut.
    WAYS = {length: -> { Rolls }, sheet: -> { Sheets }, count: -> { Counts }}.freeze
    private_constant :WAYS

    # Cuts one material.
    # @param material [Plan::Material]
    # @param demand [Demand]
    # @return [Cutting]
    def self.cut(material, demand) = WAYS.fetch(Plan::Kind.fetch(material.kind).sold).call.cut(material, demand)
  end
end
