# frozen_string_literal: true

require "json"
require_relative "problem"

module Server
  # Reads a request's JSON once, before anything else does, and answers for what is no JSON or too
  # much of it.
  class JsonBody
    MOST_BYTES = 1_000_000
    # A stash of fifty thousand lines; a wreath finished, its photo with it; everything there is.
    MOST = {%r{\A/api/stash\.csv\z} => 5_000_000, %r{/finish\z} => 9_000_000, %r{\A/api/pictures\z} => 9_000_000,
            %r{\A/api/archive\.jsonl\z} => 4_000_000_000}.freeze
    # What is no JSON document, and is read where it is asked for.
    RAW = {%r{\A/api/archive\.jsonl\z} => ["JSON Lines", "application/x-ndjson"],
           %r{\A/api/uploads/[^/]+/\d+\z} => ["bytes", "application/octet-stream"]}.freeze
    JSON_KIND = ["JSON", "application/json"].freeze
    # Deeper than any plan.
    MOST_NESTING = 40
    # What may be a number beyond all.
    VERY_LARGE = /[eE]\+?\d{3,}|\d{300,}/

    Unwritable = Class.new(StandardError)
    private_constant :Unwritable

    # A letter that no name and no note has, and that no database finds again.
    NOUGHT = "\\u0000"

    def initialize(app)
      @app = app
    end

    def call(env)
      return @app.call(env) unless %w[POST PUT].include?(env["REQUEST_METHOD"])
      most = most(env)
      return too_much(most) if env["CONTENT_LENGTH"].to_i > most
      return other_kind(env) unless type?(env)
      return @app.call(env) unless kind(env) == JSON_KIND
      text = (env["rack.input"].read(most + 1) || "").dup
      return too_much(most) if text.bytesize > most
      env["lantern.json"] = parsed(text, env)
      env["rack.input"] = StringIO.new(text)
      @app.call(env)
    rescue Unwritable
      refuse(400, "This holds a letter that nobody can write (U+0000). Nothing was changed.")
    rescue JSON::NestingError
      refuse(400, "This JSON is nested deeper than any plan. Nothing was changed.")
    rescue JSON::ParserError, EncodingError
      refuse(400, "This is not JSON that can be read. Nothing was changed.")
    end

    private

    # What arrives is said to be JSON, or nothing arrives; no page of another site can say so unasked.
    def type?(env)
      said, wanted = env["CONTENT_TYPE"].to_s[/\A[^;]*/].strip.downcase, kind(env)
      said == wanted.last || (wanted == JSON_KIND && said.empty? && nothing?(env))
    end

    def nothing?(env) = env["CONTENT_LENGTH"].to_i.zero? && !env["HTTP_TRANSFER_ENCODING"]

    def most(env) = MOST.find { |path, _| path.match?(env["PATH_INFO"]) }&.last || MOST_BYTES

    # @raise [JSON::ParserError, EncodingError]
    def parsed(text, env)
      return {} if text.empty? && env["CONTENT_TYPE"].to_s.empty?
      value = JSON.parse(legible(text), max_nesting: MOST_NESTING)
      raise JSON::ParserError if text.match?(VERY_LARGE) && leaves(value).any? { _1.is_a?(Float) && !_1.finite? }
      raise Unwritable if text.include?(NOUGHT) && leaves(value).any? { _1.is_a?(String) && _1.include?("\0") }
      value
    end

    # Whatever stands in it that holds nothing else, names among it.
    def leaves(value)
      case value
      when Array then value.flat_map { leaves(_1) }
      when Hash then value.flat_map { |name, each| [name, *leaves(each)] }
      else [value]
      end
    end

    # @raise [EncodingError]
    def legible(text)
      text.force_encoding("UTF-8")
      raise EncodingError unless text.valid_encoding?
      text
    end

    def too_much(most) = refuse(413, "This is more than #{(most == MOST_BYTES) ? "a" : most / 1_000_000} million " \
      "bytes; nothing here needs as many. " \
      "Nothing was changed.")

    def kind(env) = RAW.find { |path, _| path.match?(env["PATH_INFO"]) }&.last || JSON_KIND

    def other_kind(env) = refuse(415, format("This must be sent as %s (%s). Nothing was changed.", *kind(env)))

    def refuse(status, says) = Problem.response(status, says)
  end
end
