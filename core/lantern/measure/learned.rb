# frozen_string_literal: true

module Lantern
  module Measure
    # What finished makes say of a covering and a material: by how much what was really used differs from
    # the sum, how far makes lie apart, and how many makes say so. A maker takes it into a plan, or leaves
    # it.
    Learned = Value.define(:method, :material, :factor, :spread, :makes)

    class Learned
      # The sum itself, worth about three makes, with the covering's own first guess of a spread.
      PRIOR_MAKES = 3

      class << self
        # The ratio of used to planned as a normal variable of unknown mean and variance, under the
        # conjugate normal-inverse-chi-square prior: mean 1, worth {PRIOR_MAKES} makes, its spread the
        # covering's first guess.
        # Source: Gelman et al., Bayesian Data Analysis, 3rd ed., section 3.3, equation 3.7.
        #
        # @param ratios [Array<Float>] used over planned, one for each make
        # @param spread [Float] the first guess
        # @return [Learned]
        def from(method, material, ratios, spread:)
          after = update(ratios, mean: 1.0, mean_worth: PRIOR_MAKES, variance: spread**2, variance_worth: PRIOR_MAKES)
          # The next make lies about the mean by the spread of makes and by what is not yet known of it.
          new(method:, material:, factor: after[:mean].round(4),
            spread: Math.sqrt(after[:variance] * (1 + 1.0 / after[:mean_worth])).round(4), makes: ratios.size)
        end

        # @return [Hash] the same four, after the data
        def update(data, mean:, mean_worth:, variance:, variance_worth:)
          n = data.size
          return {mean:, mean_worth:, variance:, variance_worth:} if n.zero?
          average = data.sum / n.to_f
          squares = data.sum { (_1 - average)**2 }
          worth = mean_worth + n
          freedom = variance_worth + n
          {mean: (mean_worth * mean + n * average) / worth, mean_worth: worth, variance_worth: freedom,
           variance: (variance_worth * variance + squares + mean_worth * n / worth.to_f * (average - mean)**2) /
             freedom}
        end
      end

      # What a layer needs, with the allowance on it: what may be joined grows by the factor for all that
      # the layer takes of the material; where all is cut to pieces, there are more of them.
      # @param needs [Array<Place::Need>] of one layer
      # @return [Array<Place::Need>]
      def on(needs)
        own, others = needs.partition { _1.material == material && !_1.items? }
        return needs if own.empty?
        run = own.find(&:run?)
        return others + own.map { |need| more_of(need) } unless run
        more = (factor - 1) * own.sum { _1.total.to_f }
        needs.map { |need|
          need.equal?(run) ? need.with(length: [need.length + more, 0.1].max, spread:, freedom:) : need
        }
      end

      # Of the distribution of the next make, before whose makes three were as good as seen.
      # Source: Gelman et al., Bayesian Data Analysis, 3rd ed., section 3.3: Student's t of so many degrees of freedom.
      def freedom = PRIOR_MAKES + makes

      # Whether it says more than chance would: the mean is off the sum by more than its own give or take, two of its
      # standard errors.
      def lesson? = (factor - 1).abs > 2 * spread / Math.sqrt(PRIOR_MAKES + makes + 1)

      # @return [String] as the working says it
      def says = "Your last #{"#{makes} " unless makes == 1}took about #{Words.percent((factor - 1).abs)} " \
        "#{(factor < 1) ? "less" : "more"}"

      private

      def more_of(need)
        count = (need.count * factor - 1e-9).ceil
        need.with(count:, spread: need.spread.zero? ? 0 : spread, spares: [need.spares, count].min)
      end
    end
  end
end
