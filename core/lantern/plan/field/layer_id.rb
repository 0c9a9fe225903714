# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # The id of one of the plan's layers, or of what comes before all of them.
      class LayerId < Text
        # @param besides [Hash{Symbol=>String}] what else it may name, and what the screens say for it
        def initialize(name, besides: {}, **rest)
          super(name, most: 60, **rest)
          @besides = besides
        end

        private

        # The screens offer the layers that there are.
        def kind = "layer"

        def limits = {"choices" => @besides.map { |word, says| {"value" => word.to_s, "says" => says} }}
      end
    end
  end
end
