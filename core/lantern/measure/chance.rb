# frozen_string_literal: true

module Lantern
  module Measure
    # "Will it be enough?": the normal distribution; where its spread is known from a few makes only, Student's.
    # `freedom` is how many degrees of freedom that has, nil where the spread is taken for known.
    module Chance
      module_function

      # The chance that a need with this mean and spread is no more than what is in hand.
      # @param freedom [Integer, nil]
      # @return [Float] 0..1
      def enough(in_hand, mean:, spread:, freedom: nil)
        return (in_hand >= mean - 1e-9) ? 1.0 : 0.0 if spread <= 0
        below((in_hand - mean) / spread, freedom)
      end

      # How many spreads above the mean one must go to be this sure.
      # @param sureness [Float] strictly between 0 and 1
      # @param freedom [Integer, nil]
      def spreads_for(sureness, freedom: nil)
        low, high = -MOST, MOST
        80.times do
          middle = (low + high) / 2
          (below(middle, freedom) < sureness) ? low = middle : high = middle
        end
        (low + high) / 2
      end

      # As many spreads as are looked at: with one degree of freedom 999 in 1 000 lie within 320.
      MOST = 400.0
      # From so many degrees on Student's distribution is the normal one to a thousandth.
      MANY = 1_000
      private_constant :MOST, :MANY

      # The distribution function.
      def below(spreads, freedom)
        (freedom && freedom < MANY) ? student(spreads, freedom) : 0.5 * (1 + Math.erf(spreads / Math.sqrt(2)))
      end

      # Source: Abramowitz and Stegun, Handbook of Mathematical Functions, 26.7.3 and 26.7.4.
      def student(spreads, freedom)
        angle = Math.atan(spreads / Math.sqrt(freedom))
        cosine = Math.cos(angle)
        first = freedom.odd? ? 1 : 0
        # 1, 1/2 cos^2, (1/2)(3/4) cos^4 of even degrees; cos, 2/3 cos^3, (2/3)(4/5) cos^5 of odd ones.
        term = freedom.odd? ? cosine : 1.0
        sum = (freedom > 1) ? term : 0.0
        (first + 2..freedom - 2).step(2) do |k|
          term *= (k - 1.0) / k * cosine**2
          sum += term
        end
        within = Math.sin(angle) * sum
        within = (angle + within) * 2 / Math::PI if freedom.odd?
        0.5 * (1 + within)
      end
      private_class_method :below, :student
    end
  end
end
