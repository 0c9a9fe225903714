# frozen_string_literal: true

module Lantern
  module Cost
    # What may be taken where a shop has none of a material: what of it the plan rests on, as a maker would ask for
    # it. By width, thickness and wire (common practice); what is counted is what it is, and nothing stands in for it.
    class StandIn
      NAMES = {ribbon: "ribbon", mesh: "mesh", fabric: "cloth", rope: "cord", wire: "wire"}.freeze
      private_constant :NAMES

      # @param material [Plan::Material]
      # @param units [String]
      def initialize(material, units)
        @material, @units = material, units
      end

      # @return [String, nil] one sentence
      def says
        name = NAMES[@material.kind] or return
        "Another #{name} will do if it is #{Measure::Words.list([size, *edges])}#{sheets}."
      end

      private

      def size
        return "#{text(@material.width)} wide" if @material.width && !@material.sheets?
        return "as thick" unless @material.diameter
        "#{text(@material.diameter)} thick#{", pressed lightly" if @material.kind == :rope}"
      end

      # A bow stands by its wire, and a back shows through what is sheer.
      def edges = [("wired" if @material.wired), ("as sheer" if @material.sheer)].compact

      # The pieces are laid on sheets of one size, and a pattern with an up is cut one way.
      def sheets
        return "" unless @material.sheets?
        ", its pieces as large#{" and its pattern without an up" unless @material.directional}"
      end

      def text(length) = Measure::Length.exact_text(length, units: @units)
    end
  end
end
