# frozen_string_literal: true

require "zlib"

module Server
  # Sends texts compressed to whoever can read them so. An answer is whole before it is sent, and stays so: its length
  # is known, and nothing of it waits for anything else. A file that never changes is compressed once: where it was
  # built, beside it (`.br`, RFC 7932), else when it is first asked for (RFC 1952).
  class Compression
    TEXTS = %r{\A(?:text/|application/(?:json|javascript|x-ndjson|manifest\+json)|image/svg\+xml)}
    # Less is not worth it; more is streamed as it is.
    BYTES = (1_500..20_000_000)
    # For what is answered once, and for what is kept.
    QUICK, SMALL = Zlib::BEST_SPEED, Zlib::BEST_COMPRESSION
    MOST_KEPT = 200

    def initialize(app)
      @app = app
      @kept = {}
      @lock = Mutex.new
    end

    def call(env)
      status, headers, body = @app.call(env)
      return [status, headers, body] unless wanted?(env, status, headers)
      headers = headers.merge("vary" => [headers["vary"], "accept-encoding"].compact.join(", "))
      coding, packed = built(env, body) || made(env, body)
      return [status, headers, body] unless packed
      body.close if body.respond_to?(:close)
      [status, headers.merge("content-encoding" => coding, "content-length" => packed.bytesize.to_s), [packed]]
    end

    private

    def wanted?(env, status, headers)
      status == 200 && env["REQUEST_METHOD"] != "HEAD" && !headers.key?("content-encoding") &&
        !headers.key?("content-range") && headers["content-type"].to_s.match?(TEXTS)
    end

    # @see RFC 9110, 12.5.3: a coding with a weight of nought is not acceptable
    def accepted?(env, *codings)
      env["HTTP_ACCEPT_ENCODING"].to_s.split(",").map { _1.strip.downcase.split(/\s*;\s*/) }
        .any? { |coding, weight| codings.include?(coding) && weight.to_s !~ /\Aq=0(?:\.0*)?\z/ }
    end

    def built(env, body)
      return unless file?(body) && accepted?(env, "br")
      packed = "#{body.to_path}.br"
      ["br", kept(packed) { File.binread(packed) }] if File.exist?(packed)
    end

    def made(env, body)
      return unless accepted?(env, "gzip", "*")
      packed = file?(body) ? of_file(body.to_path) : of_text(body)
      ["gzip", packed] if packed
    end

    def file?(body) = body.respond_to?(:to_path)

    def of_text(body)
      return unless body.respond_to?(:to_ary)
      text = body.to_ary.join
      Zlib.gzip(text, level: QUICK) if BYTES.cover?(text.bytesize)
    end

    def of_file(path)
      kept(path) { Zlib.gzip(File.binread(path), level: SMALL) } if BYTES.cover?(File.size(path))
    end

    # By what it is and when it was written.
    def kept(path)
      stat = File.stat(path)
      key = [path, stat.size, stat.mtime.to_r]
      @lock.synchronize { @kept[key] } || yield.tap { |packed|
        @lock.synchronize {
          @kept.shift if @kept.size >= MOST_KEPT
          @kept[key] = packed
        }
      }
    end
  end
end
