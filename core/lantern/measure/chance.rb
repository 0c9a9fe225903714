# frozen_string_literal: true

module Lantern
  module Measure
    # The normal distribution, for "will it be enough?".
    module Chance
      module_function

      # The chance that a need with this mean and spread is no more than what is in hand.
      # Source: the normal distribution function by way of erf.
      # @return [Float] 0..1
      def enough(in_hand, mean:, spread:)
        return (in_hand >= mean - 1e-9) ? 1.0 : 0.0 if spread <= 0
        below((in_hand - mean) / spread)
      end

      # How many spreads above the mean one must go to be this sure.
      # @param sureness [Float] strictly between 0 and 1
      def spreads_for(sureness)
        low, high = -8.0, 8.0
        60.times do
          middle = (low + high) / 2
          (below(middle) < sureness) ? low = middle : high = middle
        end
        (low + high) / 2
      end

      def below(spreads) = 0.5 * (1 + Math.erf(spreads / Math.sqrt(2)))
      private_class_method :below
    end
  end
end
