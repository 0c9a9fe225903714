# frozen_string_literal: true

require_relative "request_path"
require_relative "problem"

module Server
  # What holds for every request and every answer: nothing is changed for a page of another site, data are kept by no
  # cache, and the log says what was asked and how long it took, and nothing of what it held.
  class RequestGuard
    POLICY = "default-src 'self'; img-src 'self' data:; style-src 'self' 'unsafe-inline'; font-src 'self' data:; " \
      "base-uri 'none'; form-action 'self'; frame-ancestors 'none'"
    ALWAYS = {"content-security-policy" => POLICY, "x-content-type-options" => "nosniff",
              "referrer-policy" => "no-referrer", "cross-origin-resource-policy" => "same-origin",
              "cross-origin-opener-policy" => "same-origin"}.freeze
    READING = %w[GET HEAD OPTIONS].freeze
    # Where a request may come from, as browsers say it; `none` is a person's own typing.
    OWN = %w[same-origin none].freeze
    METHODS = %w[GET HEAD POST PUT DELETE OPTIONS].freeze

    # What the log says of an address: its words. Numbers, names and what lets somebody in are none.
    WORD = /\A[a-z]{1,16}(?:[-.][a-z]{1,16}){0,3}\z/

    # @param log [#<<, nil] where a line for every request goes
    # @param moved [Hash{String=>String}] where a route is now, by where it was and is still asked for
    def initialize(app, log: nil, moved: {})
      @app, @log, @moved = app, log, moved
    end

    def call(env)
      began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      path = env["PATH_INFO"]
      env["PATH_INFO"] = @moved.fetch(path, path) if env["REQUEST_METHOD"] == "POST"
      status, headers, body = refusal(env) || @app.call(env)
      headers = headers.merge(ALWAYS)
      # Data are kept by no cache unless their answer says otherwise; whatever else says nothing is asked for anew.
      headers["cache-control"] ||= env["PATH_INFO"].to_s.start_with?("/api/") ? "no-store" : "no-cache"
      note(env, status, began)
      [status, headers, body]
    end

    private

    def refusal(env)
      return refuse(405, "That cannot be asked in this way.") unless METHODS.include?(env["REQUEST_METHOD"])
      return refuse(400, "This address cannot be read.") unless legible?(env)
      return if READING.include?(env["REQUEST_METHOD"]) || own?(env)
      refuse(403, "Another site asked for this, and nothing is changed for other sites.")
    end

    # A path that is spelled in one way only, and a query that is text.
    def legible?(env)
      query = env["QUERY_STRING"].to_s
      text = HTTP::RequestPath.decoded(query)
      HTTP::RequestPath.canonical?(env["PATH_INFO"].to_s) && text.valid_encoding? && !text.include?("\0") &&
        !query.match?(/%(?!\h\h)/) && Rack::Utils.parse_nested_query(query)
    rescue ArgumentError, EncodingError, TypeError, RangeError, Rack::QueryParser::ParamsTooDeepError,
      Rack::QueryParser::QueryLimitError
      false
    end

    def own?(env)
      site, origin = env.values_at("HTTP_SEC_FETCH_SITE", "HTTP_ORIGIN")
      (site.nil? || OWN.include?(site)) && (origin.nil? || origin == "http://#{env["HTTP_HOST"]}" ||
        origin == "https://#{env["HTTP_HOST"]}")
    end

    def note(env, status, began)
      return unless @log
      took = ((Process.clock_gettime(Process::CLOCK_MONOTONIC) - began) * 1000).round(1)
      path = env["PATH_INFO"].to_s.scrub("?")[0, 120].gsub(%r{[^/]+}) { WORD.match?(_1) ? _1 : ":id" }
      @log << "#{Time.now.utc.strftime("%Y-%m-%dT%H:%M:%S.%LZ")} #{env["REQUEST_METHOD"]} #{path} #{status} " \
        "#{took}ms\n"
    rescue SystemCallError, IOError
      # A full disk keeps nobody from their answer.
      nil
    end

    def refuse(status, says) = Problem.response(status, says)
  end
end
