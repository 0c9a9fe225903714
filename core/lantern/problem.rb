# frozen_string_literal: true

module Lantern
  # Whatever a person is told instead of an answer: a sentence or more, each at its place. What a plan is refused for
  # is one kind of it, what cannot be kept another; whoever stands next to the person rescues this one.
  #
  #   raise Problem.at("form.width", "A ring is at least 1 in across.")
  class Problem < StandardError
    # One sentence, and the field of the document that it is about: "" where it is about all of it.
    Entry = Value.define(:at, :says) do
      def to_h = {"at" => at, "says" => says}
    end

    # @return [Array<Entry>]
    attr_reader :problems

    # One problem, raised where it was found.
    # @return [Problem]
    def self.at(place, says) = new([Entry.new(at: place, says:)])

    # @param problems [Array<Entry>, String] a sentence alone is about all of it
    def initialize(problems)
      problems = [Entry.new(at: "", says: problems)] if problems.is_a?(String)
      @problems = problems.uniq.freeze
      super(@problems.map { _1.at.empty? ? _1.says : "#{_1.at}: #{_1.says}" }.join("\n"))
    end

    # @return [Hash] as the command line and the API answer it
    def to_h = {"problems" => problems.map(&:to_h)}
  end
end
