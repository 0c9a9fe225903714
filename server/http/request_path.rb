# frozen_string_literal: true

module Server
  module HTTP
    # What the path of a request may be. It is judged here once, before anybody looks at it; whatever is spelled in two
    # ways is refused, so that whoever judges a path later (limits, gate, contract, router) sees the same one.
    #
    #   Server::HTTP::RequestPath.canonical?("/api/backups/a%20b")   # => true
    #   Server::HTTP::RequestPath.canonical?("/%61pi/backups")       # => false
    module RequestPath
      # Source: RFC 3986, 2.3: these mean the same with and without encoding, and are written without it. An encoded
      # slash, backslash or percent sign would be another path for whoever decodes once more.
      NEEDS_NO_ENCODING = %r{[A-Za-z0-9\-._~%/\\]}
      DOUBLED, DOTS, HALF_ENCODED = %r{//|\\}, %r{/\.{1,2}(?:/|\z)}, /%(?!\h\h)/
      # C0, DEL and C1.
      CONTROL = /[\u0000-\u001f\u007f-\u009f]/

      class << self
        # @param path [String] as it arrived, still encoded
        # @return [Boolean] whether it is spelled in the one way there is
        def canonical?(path)
          return false unless path.start_with?("/")
          return false if [DOUBLED, DOTS, HALF_ENCODED].any? { path.b.match?(_1) }
          encoded = path.b.scan(/%(\h\h)/).map { |(hex)| hex.hex.chr }
          return false if encoded.any? { _1.match?(NEEDS_NO_ENCODING) }
          text = decoded(path)
          text.valid_encoding? && !text.match?(CONTROL)
        end

        # @return [String] in UTF-8, which may be none
        def decoded(text) = text.b.gsub(/%(\h\h)/) { $1.hex.chr }.force_encoding("UTF-8")
      end
    end
  end
end
