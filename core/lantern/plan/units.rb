# frozen_string_literal: true

module Lantern
  module Plan
    # Rewrites a plan document in the other units, so that a maker can switch between inches and
    # centimetres and back without anything being lost: every length is converted exactly, and a
    # text that carries its own units stays as it was written.
    module Units
      # From which units to which, and whether places along the form are lengths.
      Way = Value.define(:from, :to, :open)

      module_function

      # @param document [Hash] a plan document, which need not be workable
      # @param to [String] `"in"` or `"cm"`
      # @return [Hash] the same plan in those units
      def change(document, to:)
        from = document["units"]
        return document if from == to || !%w[in cm].include?(from)
        way = Way.new(from:, to:, open: Document.open_form?(document))
        Rewriting.call(document) { |value, field| convert(value, field, way) }.merge("units" => to)
      end

      # One material on its own, from one kind of units to the other.
      def change_material(material, from:, to:)
        return material if from == to || !%w[in cm].include?(to)
        way = Way.new(from:, to:, open: false)
        Rewriting.value(material, Material::Reader.new(:material)) { |value, field| convert(value, field, way) }
      end

      def convert(value, field, way)
        case field
        when Field::Length then length(value, way.from, way.to)
        when Field::Stop then way.open ? length(value, way.from, way.to) : value
        when Field::Area then value.is_a?(Numeric) ? area(value, way) : value
        else value
        end
      end

      def area(value, way)
        turned = (value * (Measure::Length::IN.fetch(way.from) / Measure::Length::IN.fetch(way.to))**2).to_f
        (turned == turned.round) ? turned.round : turned
      end

      def length(value, from, to)
        return value if value.is_a?(String) && Measure::Length.carries_units?(value)
        number = Measure::Length.read(value, units: from) / Measure::Length::IN.fetch(to)
        (number.denominator == 1) ? number.to_i : number.to_f
      rescue Measure::Length::Unreadable
        value
      end

      private_class_method :convert, :area, :length
    end
  end
end
