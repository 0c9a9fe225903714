# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # The id of one of the plan's materials.
      class Reference < Field
        attr_reader :kinds

        # @param kinds [Array<Symbol>] the kinds of material that will do
        def initialize(name, kinds: [], **rest)
          super(name, **rest)
          @kinds = kinds
        end

        # @return [String, nil]
        def read(value, at, reading)
          unless value.is_a?(String)
            return reading.refuse(at, "#{label} must be the id of a material; #{reading.quote(value)} is none.")
          end
          return value if reading.material_ids.nil? || reading.material_ids.include?(value)
          reading.refuse(at, "There is no material #{reading.quote(value)} in this plan.")
        end

        private

        def limits = {"kinds" => @kinds.map(&:to_s)}
      end
    end
  end
end
