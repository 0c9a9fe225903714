# frozen_string_literal: true

module Lantern
  module Plan
    # Rewrites a plan document value by value, by the fields that say what may stand where; what no field knows stays as
    # it is, and the plan need not be workable.
    module Rewriting
      module_function

      # @param document [Hash] a plan document
      # @param fields [Array<Field>]
      # @yieldparam value [Object] what stands there, and holds nothing else
      # @yieldparam field [Field] what may stand there
      # @yieldreturn [Object] what stands there from then on
      # @return [Hash]
      def call(document, fields = Document.fields, &)
        fields.reduce(document) do |object, field|
          key = field.name.to_s
          (object.is_a?(Hash) && object.key?(key)) ? object.merge(key => value(object[key], field, &)) : object
        end
      end

      def value(value, field, &)
        case field
        when Field::List then value.is_a?(Array) ? value.map { value(_1, field.of, &) } : value
        when Field::Stack then value.is_a?(Array) ? value(value, field.ids, &) : yield(value, field)
        when Field::OneOrSeveral then value.is_a?(Array) ? value.map {
          value(_1, field.of, &)
        } : value(value, field.of, &)
        when Field::Either, Field::Spot
          (value.is_a?(Hash) && field.record) ? value(value, field.record, &) : yield(value, field)
        when Field::Record then call(value, field.fields, &)
        else field.respond_to?(:fields_for) ? call(value, field.fields_for(value), &) : yield(value, field)
        end
      end
    end
  end
end
