# frozen_string_literal: true

require "yaml"

module Server
  # What the contract of the API says of its routes beside what they take and answer: who may ask them (`x-who`), and
  # which of them are heavy (`x-heavy`).
  class Contract
    # Anybody; who has signed in; who is in the workshop at all; who may change it.
    STRANGER, ACCOUNT, HELPER, MAKER = %w[stranger account helper maker].freeze

    Route = Struct.new(:who, :heavy)
    private_constant :Route

    # @param path [String] of the contract
    def initialize(path)
      @routes = YAML.load_file(path)["paths"].flat_map { |route, verbs| routes(route, verbs) }.to_h
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
          Route.new(about.fetch("x-who", MAKER), about["x-heavy"] == true)]
      end
    end
  end
end
