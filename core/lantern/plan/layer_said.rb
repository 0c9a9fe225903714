# frozen_string_literal: true

module Lantern
  module Plan
    # One layer as a plan says it: its kind, its materials, and the options that were said. An option left out
    # is left to the kind. `at` is its place in the document.
    LayerSaid = Value.define(:id, :kind, :material, :materials, :options, :at)

    class LayerSaid
      # Reads one layer; its options are those its method declares.
      class Reader < Field
        def read(value, at, reading)
          unless value.is_a?(Hash)
            return reading.refuse(at, "A layer must be an object with named fields; #{reading.quote(value)} is none.")
          end
          kind = Methods.find(value["method"])
          return read_common(value.slice("id", "method"), at, reading) unless kind
          read = record(kind, value).read(value, at, reading)
          LayerSaid.new(id: read[:id], kind:, at:, material: read[:material], materials: read[:materials] || [],
            options: kind.options.to_h { [_1.name, read[_1.name]] })
        end

        # @return [Array<Field>] what a layer of this method is made of
        def fields_for(value)
          kind = Methods.find(value["method"]) if value.is_a?(Hash)
          kind ? [*common_fields, *material_fields(kind), *kind.options] : common_fields
        end

        private

        # Made once for every method.
        def record(kind, value)
          (@records ||= {}.compare_by_identity)[kind] ||=
            Record.new(:layer, fields: fields_for(value), label: "A layer")
        end

        # The method is not known, so nothing more can be said of its options.
        def read_common(value, at, reading)
          Record.new(:layer, fields: common_fields, label: "A layer").read(value, at, reading)
          nil
        end

        def common_fields
          titles = -> { Methods.to_h.sort.to_h.transform_values(&:title) }
          [
            Text.new(:id, required: true, most: 60, label: "Layer id"),
            Choice.new(:method, required: true, label: "Method", choices: titles)
          ]
        end

        def material_fields(kind)
          [
            Reference.new(:material, kinds: kind.takes, label: "Material"),
            List.new(:materials, of: Reference.new(:material, kinds: kind.takes, label: "A material"),
              label: "Materials", most: 24)
          ]
        end
      end
    end
  end
end
