# frozen_string_literal: true

module Lantern
  module Form
    # Reads a plan's form: its base and its shape say which sizes go with them.
    class Reader < Plan::Field
      MEASURED = [
        Length.new(:run, label: "String along the middle", help: "Once round, along the middle of the band."),
        Length.new(:inside_run, label: "String along the inside", help: "Once round, along the inside edge."),
        Length.new(:outside_run, label: "String along the outside", help: "Once round, along the outside edge."),
        Length.new(:girth, most: 240, label: "String round the band", help: "Once round the band: front, edge, back, edge.")
      ].freeze

      def read(value, at, reading)
        return reading.refuse(at, "The form must be an object with named fields; #{reading.quote(value)} is none.") unless value.is_a?(Hash)
        Record.new(name, fields: fields_for(value), label:).read(value, at, reading)&.merge(units: reading.units)
      end

      # @return [Array<Plan::Field>] what a form of this base and shape is made of
      def fields_for(value)
        value = {} unless value.is_a?(Hash)
        base = Base::FIELDS.find { |name, _| name.to_s == value["base"] }
        shape = Form.shapes.find { |name, _| name.to_s == value["shape"] }
        common_fields + (shape ? shape.last.sizes : []) + (base ? base.last : [])
      end

      private

      def common_fields
        [
          Choice.new(:base, choices: Base::TITLES, required: true, label: "Base"),
          Choice.new(:shape, choices: -> { Form.shapes.transform_values(&:title) }, required: true, label: "Shape"),
          Record.new(:measured, fields: MEASURED, label: "What a string says")
        ]
      end
    end
  end
end
