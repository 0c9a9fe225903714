# frozen_string_literal: true

require "json"

module Server
  # Reads a request's JSON once, before anything else does, and answers for what is no JSON or too
  # much of it.
  class JsonBody
    MOST_BYTES = 1_000_000
    # A stash of a hundred thousand lines, or everything there is.
    MOST_IN_A_FILE = 30_000_000
    # A wreath finished, its photo with it.
    MOST_WITH_PHOTO = 9_000_000
    # Deeper than any plan.
    MOST_NESTING = 40

    def initialize(app)
      @app = app
    end

    def call(env)
      return @app.call(env) unless %w[POST PUT PATCH].include?(env["REQUEST_METHOD"])
      if env["CONTENT_LENGTH"].to_i > most(env)
        return refuse(413, "This is more than a million bytes; nothing here needs as many. Nothing was changed.")
      end
      text = (env["rack.input"].read(most(env) + 1) || "").dup
      if text.bytesize > most(env)
        return refuse(413, "This is more than a million bytes; nothing here needs as many. Nothing was changed.")
      end
      env["lantern.json"] = JSON.parse(text.force_encoding("UTF-8"), max_nesting: MOST_NESTING)
      env["rack.input"] = StringIO.new(text)
      @app.call(env)
    rescue JSON::NestingError
      refuse(400, "This JSON is nested deeper than any plan. Nothing was changed.")
    rescue JSON::ParserError, EncodingError
      refuse(400, "This is not JSON that can be read. Nothing was changed.")
    end

    private

    def most(env)
      return MOST_WITH_PHOTO if env["PATH_INFO"].end_with?("/finish")
      %w[/api/stash.csv /api/archive.json].include?(env["PATH_INFO"]) ? MOST_IN_A_FILE : MOST_BYTES
    end

    def refuse(status, says) =
      [status, {"content-type" => "application/json"}, [JSON.generate("problems" => [{"at" => "", "says" => says}])]]
  end
end
