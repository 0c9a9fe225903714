# frozen_string_literal: true

module Lantern
  module Plan
    # Raised with every problem found in a plan, never just the first.
    class Refused < StandardError
      attr_reader :problems

      # One problem, raised where it was found.
      def self.at(place, says) = new([Problem.new(at: place, says:)])

      # @param problems [Array<Problem>]
      def initialize(problems)
        @problems = problems.uniq.freeze
        super(problems.map { "#{_1.at}: #{_1.says}" }.join("\n"))
      end

      # @return [Hash] as the command line and the API answer it
      def to_h = {"problems" => problems.map(&:to_h)}
    end
  end
end
