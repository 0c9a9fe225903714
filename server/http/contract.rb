# frozen_string_literal: true

require "yaml"

module Server
  # What the contract of the API says of its routes beside what they take and answer: who may ask them (`x-who`), which
  # of them are heavy (`x-heavy`), where they were before (`x-was`), and which are questions that the core answers
  # (`x-question`).
  class Contract
    # Anybody; who has signed in; who is in the workshop at all; who may change it.
    STRANGER, ACCOUNT, HELPER, MAKER = %w[stranger account helper maker].freeze

    # A question of the core: `answers` is the class of {Lantern::Ask} that answers it, within `seconds` of the
    # processor; `small`, whether it works one plan and is answered where it arrives when that is small; `heavy`,
    # whether it counts against what an account may ask; `problems`, whether what is wrong with what was sent is an
    # answer too; `beside`, what it has to know besides what is sent; `plan`, whether a plan is sent
    # among other things, under that name, and not by itself; `cached`, whether its answer is worked from what was
    # worked out before for the workshop.
    Question = Struct.new(:path, :answers, :seconds, :small, :heavy, :problems, :beside, :plan, :cached,
      keyword_init: true) do
      # @return [Symbol] the last word of its path
      def key = path[/\w+\z/].to_sym

      # @param sent [Hash]
      # @return [Hash] what of it is worked
      def document(sent) = plan ? sent["plan"] : sent

      # @return [Hash] what was sent, with another document in it
      def with(sent, document) = plan ? sent.merge("plan" => document) : document
    end

    Route = Struct.new(:who, :heavy)
    private_constant :Route

    # @param path [String] of the contract
    # @return [Contract] read once
    def self.of(path) = (@read ||= {})[path] ||= new(path)

    # @return [Array<Question>]
    attr_reader :questions
    # @return [Hash{String=>String}] where a route is now, by where it was
    attr_reader :moved

    # @param path [String] of the contract
    def initialize(path)
      paths = YAML.load_file(path)["paths"]
      @routes = paths.flat_map { |route, verbs| routes(route, verbs) }.to_h
      asked = paths.filter_map { |route, verbs| ["/api#{route}", verbs["post"]] if verbs["post"] }
      @moved = asked.filter_map { |route, about| ["/api#{about["x-was"]}", route] if about["x-was"] }.to_h.freeze
      @questions = asked.filter_map { |route, about| question(route, about["x-question"]) }.freeze
    end

    # What is not there is a maker's.
    # @param route [String, nil] of the application, as Sinatra names it: `GET /api/wreaths/:id`
    # @return [String]
    def who(route) = @routes.fetch(unnamed(route), nil)&.who || MAKER

    # @param route [String, nil] as above
    # @return [Boolean] whether answering takes long
    def heavy?(route) = @routes.fetch(unnamed(route), nil)&.heavy || false

    private

    # Whatever its parts are called.
    def unnamed(route) = route.to_s.sub(/\AHEAD /, "GET ").gsub(/:\w+|\{\w+\}/, "{}")

    def routes(route, verbs)
      verbs.except("parameters").map do |verb, about|
        [unnamed("#{verb.upcase} /api#{route}"),
          Route.new(about.fetch("x-who", MAKER), about["x-heavy"] || about.dig("x-question", "heavy") || false)]
      end
    end

    def question(path, about)
      about && Question.new(path:, small: false, heavy: false, problems: false, plan: false, cached: false,
        beside: [], **about.transform_keys(&:to_sym))
    end
  end
end
