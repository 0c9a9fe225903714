# frozen_string_literal: true

require "json"
require_relative "../../core/lantern"

module Server
  # What a person is told by what keeps and answers, besides what a plan is refused for. A kind of it says once which
  # status of HTTP goes with it, and its sentence.
  #
  #   Missing = Problem.of(404, "There is nothing here; it may have been deleted.")
  #   raise Missing
  class Problem < Lantern::Problem
    @status = 422

    class << self
      # @return [Integer] of HTTP
      attr_reader :status

      # @param at [String] the field that it is about
      # @return [Class]
      def of(status, says, at: "")
        Class.new(self) {
          @status = status
          define_method(:initialize) { |entries = [Lantern::Problem::Entry.new(at:, says:)]| super(entries) }
        }
      end

      # The same for what stands before the application.
      # @param headers [Hash{String=>String}] besides
      # @return [(Integer, Hash, Array<String>)] as Rack takes it
      def response(status, says, headers = {})
        [status, {"content-type" => "application/json", **headers}, [JSON.generate(new(says).to_h)]]
      end

      def inherited(kind)
        super
        kind.instance_variable_set(:@status, status)
      end
    end

    def status = self.class.status
  end
end
