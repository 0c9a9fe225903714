# frozen_string_literal: true

module Lantern
  module Plan
    # One covering of a plan: the method, its materials, and the options that were said. An option
    # left out is left to the method. `at` is its place in the document.
    Layer = Value.define(:id, :covering, :material, :materials, :options, :at)

    class Layer
      # Reads one layer; its options are those its method declares.
      class Reader < Field
        def read(value, at, reading)
          return reading.refuse(at, "A layer must be an object with named fields; #{reading.quote(value)} is none.") unless value.is_a?(Hash)
          covering = Cover.find(value["method"])
          return read_common(value.slice("id", "method"), at, reading) unless covering
          read = Record.new(:layer, fields: fields_for(value), label: "A layer").read(value, at, reading)
          Layer.new(id: read[:id], covering:, at:, material: read[:material], materials: read[:materials] || [],
            options: covering.options.to_h { [_1.name, read[_1.name]] })
        end

        # @return [Array<Field>] what a layer of this method is made of
        def fields_for(value)
          covering = Cover.find(value["method"]) if value.is_a?(Hash)
          covering ? [*common_fields, *material_fields(covering), *covering.options] : common_fields
        end

        private

        # The method is not known, so nothing more can be said of its options.
        def read_common(value, at, reading)
          Record.new(:layer, fields: common_fields, label: "A layer").read(value, at, reading)
          nil
        end

        def common_fields
          [
            Text.new(:id, required: true, most: 60, label: "Layer id"),
            Choice.new(:method, required: true, label: "Method", choices: -> { Cover.all.to_h { [_1.method_name, _1.title] } })
          ]
        end

        def material_fields(covering)
          [
            Reference.new(:material, kinds: covering.takes, label: "Material"),
            List.new(:materials, of: Reference.new(:material, kinds: covering.takes, label: "A material"), label: "Materials", most: 24)
          ]
        end
      end
    end
  end
end
