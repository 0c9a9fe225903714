# frozen_string_literal: true

require "yaml"

module Trial
  # Every route of the contract, spelled in forty ways that are not its own, by every method, as whoever may not have
  # it: nothing is answered that its own spelling does not answer, and nothing is changed.
  class Strangers
    METHODS = %w[GET HEAD POST PUT DELETE OPTIONS PATCH].freeze
    # What may be asked by whom who is nobody's guest.
    OPEN = {stranger: %w[stranger], helper: %w[stranger account helper],
            maker_elsewhere: %w[stranger account helper maker], removed: %w[stranger account], shut_out: %w[stranger],
            stale: %w[stranger]}.freeze
    # Whatever of the first workshop is answered, is known by this.
    MARK = "Only for the first workshop"

    # From a path as it is written to another spelling that somebody may hope to be taken for it.
    SPELLINGS = {
      first_letter: -> { _1.sub("a", "%61") }, last_letter_of_api: -> { _1.sub("api", "ap%69") },
      middle_letter: -> { _1.sub("api", "a%70i") }, api_whole: -> { _1.sub("api", "%61%70%69") },
      capital_letter: -> { _1.sub("api", "%41pi") }, twice_encoded: -> { _1.sub("a", "%2561") },
      thrice_encoded: -> { _1.sub("a", "%252561") }, doubled_first: -> { "/#{_1}" },
      doubled: -> { _1.sub("/api/", "/api//") },
      tripled: -> { "//#{_1}" }, doubled_last: -> { "#{_1}//" }, dot_first: -> { "/.#{_1}" },
      dot: -> { _1.sub("/api", "/api/.") }, up_first: -> { "/x/..#{_1}" }, up: -> { _1.sub("/api", "/api/x/..") },
      up_last: -> { "#{_1}/x/.." }, up_from_assets: -> { "/assets/..#{_1}" },
      up_from_page: -> { "/index.html/..#{_1}" },
      above: -> { "/..#{_1}" }, slash_first: -> { "/%2f#{_1[1..]}" }, slash_capital: -> { "/%2F#{_1[1..]}" },
      slash: -> { _1.sub("/api/", "/api%2f") }, slash_up: -> { "/x/..%2f#{_1[1..]}" },
      from_invitation: -> { "/api/invitations/..%2f#{_1.delete_prefix("/api/")}" },
      from_health: -> { "/api/health/..%2f#{_1.delete_prefix("/api/")}" }, dot_encoded: -> { "/%2e#{_1}" },
      up_encoded: -> { "/x/%2e%2e#{_1}" }, up_half: -> { "/x/.%2E#{_1}" }, backslash_first: -> { "/\\#{_1[1..]}" },
      backslash: -> { _1.sub("/api/", "/api\\") }, backslash_encoded: -> { _1.sub("/api/", "/api%5c") },
      up_by_backslash: -> { "/x\\..#{_1}" }, nought: -> { "#{_1}%00" }, nought_first: -> { "/%00#{_1[1..]}" },
      line: -> { "#{_1}%0a" }, line_first: -> { "/%0d%0a#{_1[1..]}" }, tab: -> { _1.sub("/api", "/api%09") },
      control_of_latin: -> { "#{_1}%C2%85" }, overlong: -> { _1.sub("a", "%C1%A1") }, not_encoded: -> { "#{_1}%" },
      of_another_kind: -> { _1.sub("a", "%u0061") },
      last_letter: -> { _1.sub(/\w\z/) { |last| format("%%%02X", last.ord) } }
    }.freeze

    Found = Struct.new(:who, :spelling, :verb, :path, :status, keyword_init: true)

    # @param contract [String] the path of the contract
    # @param there [Hash{String=>String}] numbers and names that are there in the first workshop, by their places
    def initialize(contract, there: {})
      @contract = YAML.load_file(contract)["paths"]
      @there = there
    end

    # @param as [Array<Symbol>] of {OPEN}
    # @yieldparam verb [String]
    # @yieldparam path [String] as it is to be sent
    # @yieldparam who [Symbol]
    # @yieldreturn [(Integer, String, String), nil] a status, a kind and a body; nil when nothing was answered
    # @return [(Integer, Array<Found>)] how often it was asked, and what should not have been answered
    def call(as: OPEN.keys, methods: METHODS)
      asked, found = 0, []
      each(as, methods) do |who, verb, path, name|
        asked += 1
        status, kind, body = yield(verb, path, who)
        next unless status && leaks?(status, kind, body)
        found << Found.new(who:, spelling: name, verb:, path:, status:)
      end
      [asked, found]
    end

    # Its paths, with numbers for names.
    def paths = @contract.keys.map { |path| "/api#{path.gsub(/\{(\w+)\}/) { @there.fetch(_1[1..-2], "1") }}" }

    private

    def each(as, methods)
      as.product(methods, paths, SPELLINGS.to_a) do |who, verb, path, (name, spelled)|
        yield who, verb, spelled.call(path), name
      end
    end

    # None of these spellings is a path's own: none is answered at all but by a screen, which holds nothing.
    def leaks?(status, kind, body)
      return true if body.to_s.include?(MARK)
      status < 400 && !kind.to_s.start_with?("text/html")
    end
  end
end
