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
        Document.fields.reduce(document) { |plan, field| put(plan, field, way) }.merge("units" => to)
      end

      # One material on its own, from one kind of units to the other.
      def change_material(material, from:, to:)
        return material if from == to || !%w[in cm].include?(to)
        convert(material, Material::Reader.new(:material), Way.new(from:, to:, open: false))
      end

      def put(object, field, way)
        key = field.name.to_s
        (object.is_a?(Hash) && object.key?(key)) ? object.merge(key => convert(object[key], field, way)) : object
      end

      def convert(value, field, way)
        from, to = way.from, way.to
        case field
        when Field::Length then length(value, from, to)
        when Field::Stop then way.open ? length(value, from, to) : value
        when Field::Area then if value.is_a?(Numeric)
                                (value * (Measure::Length::IN.fetch(from) / Measure::Length::IN.fetch(to))**2)
                                  .to_f.then { (_1 == _1.round) ? _1.round : _1 }
                              else
                                value
                              end
        when Field::List then value.is_a?(Array) ? value.map { convert(_1, field.of, way) } : value
        when Field::Record then field.fields.reduce(value) { |object, each| put(object, each, way) }
        else field.respond_to?(:fields_for) ? field.fields_for(value)
          .reduce(value) { |object, each| put(object, each, way) } : value
        end
      end

      def length(value, from, to)
        return value if value.is_a?(String) && Measure::Length.carries_units?(value)
        number = Measure::Length.read(value, units: from) / Measure::Length::IN.fetch(to)
        (number.denominator == 1) ? number.to_i : number.to_f
      rescue Measure::Length::Unreadable
        value
      end

      private_class_method :put, :convert, :length
    end
  end
end
