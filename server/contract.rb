# frozen_string_literal: true

require "yaml"

module Server
  # What the contract of the API says of its routes beside what they take and answer: who may ask them (`x-who`), and
  # which of them are heavy (`x-heavy`).
  class Contract
    # Anybody; who has signed in; who is in the workshop at all; who may change it.
    STRANGER, ACCOUNT, HELPER, MAKER = %w[stranger account helper maker].freeze
    STRICTEST_FIRST = [MAKER, HELPER, ACCOUNT, STRANGER].freeze

    Route = Struct.new(:verb, :path, :who, :heavy)
    private_constant :Route

    # @param path [String] of the contract
    def initialize(path)
      @routes = YAML.load_file(path)["paths"].flat_map { |route, verbs| routes(route, verbs) }
    end

    # The strictest of what fits, so that no address is open by being two things; what is not there is a maker's.
    # @return [String]
    def who(verb, path)
      all = fitting(verb, path).map(&:who)
      STRICTEST_FIRST.find { all.include?(_1) } || MAKER
    end

    # @return [Boolean] whether answering takes long
    def heavy?(verb, path) = fitting(verb, path).any?(&:heavy)

    private

    def routes(route, verbs)
      pattern = /\A\/api#{Regexp.escape(route).gsub(/\\\{\w+\\\}/, "[^/]+")}\z/
      verbs.except("parameters").map do |verb, about|
        Route.new(verb.upcase, pattern, about.fetch("x-who", MAKER), about["x-heavy"] == true)
      end
    end

    def fitting(verb, path)
      verb = "GET" if verb == "HEAD"
      @routes.select { _1.verb == verb && path.match?(_1.path) }
    end
  end
end
