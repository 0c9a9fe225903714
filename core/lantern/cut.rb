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
    def self.cut(material, demand)
      way = WAYS.fetch(Plan::Kind.fetch(material.kind).sold).call
      cutting = way.cut(material, demand)
      more = demand.reserve.sum(&:count)
      return cutting if cutting.short.positive? || demand.reserve.all? { cutting.room_for(_1) >= more }
      sure = way.cut(material, demand.with_reserve)
      sure.short.positive? ? cutting : cutting.with_packages_of(sure)
    end
  end
end
