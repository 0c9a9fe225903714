# frozen_string_literal: true

require "digest"
require "json"
require "rack/mock"
require "tempfile"
require_relative "mutations"

module Trial
  # Archives whose checksum is right and whose rows are not: a few values changed to what no screen would have sent.
  # Each is refused in a sentence, or everything in it opens.
  class Archives
    LISTS = %w[/wreaths /wreaths/list /materials?units=in /materials?units=cm /stash.csv?units=cm /occasions /forms
      /notebook /settings /revisions /backups /bin].freeze
    # Addresses of one thing, by the list that names it.
    OF_ONE = {"wreaths" => ["/wreaths/%s", "/wreaths/%s/bench", "/wreaths/%s/summary", "/wreaths/%s/finish",
      "/wreaths/%s/thumbnail.webp", "/wreaths/%s/cut-sheet.csv"],
              "materials" => ["/materials/%s/ledger"], "occasions" => ["/occasions/%s", "/occasions/%s/worked"]}.freeze

    # @param app [Rack::MockRequest]
    # @param store [Server::Store]
    def initialize(app, store, random)
      @app, @store, @random = app, store, random
      @values = Mutations.new(random)
      @lines = whole
    end

    # @return [Hash] what came of it
    def call(times)
      found = Hash.new(0)
      times.times { |number| found[try(number)] += 1 }
      {"archives" => times, **found.sort.to_h}
    end

    private

    def whole
      lines = []
      @store.archive.each_line { lines << JSON.parse(_1) }
      lines
    end

    def try(number)
      changed = change(Marshal.load(Marshal.dump(@lines)))
      answer = @app.post("/api/archive.jsonl", "HTTP_HOST" => "localhost", "CONTENT_TYPE" => "application/x-ndjson",
        :input => written(changed))
      return "refused" if [409, 422].include?(answer.status)
      return wrong(number, "restoring: #{answer.status} #{answer.body[0, 200]}") unless answer.status == 200
      failed = unopened
      failed ? wrong(number, failed) : "opened"
    end

    def wrong(number, says)
      warn "  #{number}: #{@said.join("; ")}: #{says}"
      "WRONG"
    end

    # One to three values of a row, in a document within it, or whole columns.
    def change(lines)
      @said = []
      @random.rand(1..3).times do
        row = lines[1..].select { _1.key?("row") }.group_by { _1["table"] }.values.sample(random: @random)
          .sample(random: @random)
        column = row["row"].keys.sample(random: @random)
        row["row"][column] = altered(row["row"][column])
        @said << "#{row["table"]}.#{column} = #{row["row"][column].inspect[0, 80]}"
      end
      lines
    end

    def altered(value)
      document = (value.is_a?(String) && value.start_with?("{", "[")) ? JSON.parse(value) : nil
      return fresh unless document && @random.rand(4).positive?
      JSON.generate(within(document))
    rescue JSON::GeneratorError, JSON::ParserError
      fresh
    end

    # Its own, so that what is changed within it is not in the next.
    def fresh = Marshal.load(Marshal.dump(@values.value))

    # A value somewhere within a document.
    def within(document)
      holder, key = document, nil
      loop do
        key = (holder.is_a?(Hash) ? holder.keys : [*0...holder.size]).sample(random: @random)
        break if key.nil? || !holder[key].is_a?(Enumerable) || holder[key].empty? || @random.rand(4).zero?
        holder = holder[key]
      end
      holder[key] = fresh unless key.nil?
      document
    end

    def written(lines)
      *rows, last = lines
      text = rows.map { "#{JSON.generate(_1)}\n" }.join
      "#{text}#{JSON.generate(last.merge("sha256" => Digest::SHA256.hexdigest(text)))}\n"
    rescue JSON::GeneratorError
      # What cannot be written as JSON is in no archive.
      written(@lines)
    end

    # @return [String, nil] what did not open
    def unopened
      @store.database[:kept_answers].delete
      LISTS.each do |list|
        status, body = get(list)
        return "#{list}: #{status} #{body[0, 200]}" unless status == 200
        failed = each_of(JSON.parse(body)) unless list.include?("csv")
        return failed if failed
      end
      nil
    end

    def each_of(said)
      said.slice(*OF_ONE.keys).each do |name, things|
        things.sample(4, random: @random).each do |thing|
          OF_ONE.fetch(name).each do |address|
            status, body = get(format(address, thing["id"]))
            return "#{address} #{thing["id"]}: #{status} #{body[0, 200]}" unless [200, 422].include?(status)
          end
        end
      end
      nil
    end

    def get(path)
      answer = @app.get("/api#{path}", "HTTP_HOST" => "localhost")
      [answer.status, answer.body]
    end
  end
end
