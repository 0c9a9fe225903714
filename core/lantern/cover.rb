# frozen_string_literal: true

module Lantern
  # The coverings: one file a method, each declaring its own options, sum, findings, steps and the
  # lie of its strips.
  module Cover
    # More turns than this cannot be drawn or made.
    MOST = 4000

    @coverings = {}

    class << self
      # @return [Array<Class>] every known covering, in the order of their names
      def all = @coverings.values.sort_by { _1.method_name.to_s }

      # @return [Array<Class>] those that cover the form; the others trim it and hang it
      def coverings = all.select { _1.stage == :cover }

      # @return [Class, nil] the covering of that name
      def find(name) = name.is_a?(String) ? @coverings.find { |known, _| known.to_s == name }&.last : nil

      # Makes a covering known under its name. Called by {Covering.covering}.
      def know(covering) = @coverings[covering.method_name] = covering

      # Takes a covering out again; for specs that define one of their own.
      def forget(name) = @coverings.delete(name)

      # Works every layer of a plan on the form.
      # @return [Array<Covering>] in the plan's order, each ready to be asked
      # @raise [Plan::Refused] with the problems of all layers
      def work(plan, form)
        problems = []
        layers = plan.layers.filter_map do |layer|
          covering = layer.covering.new(plan:, layer:, form:).tap(&:check).tap(&:settle)
          form = form.grown(covering.thickness) if covering.thickness.positive?
          covering
        rescue Plan::Refused => refused
          problems.concat(refused.problems)
          nil
        end
        raise Plan::Refused.new(problems) if problems.any?
        layers
      end
    end
  end
end
