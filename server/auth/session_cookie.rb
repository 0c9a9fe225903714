# frozen_string_literal: true

module Server
  module Auth
    # The session's cookie is sent only where somebody is signed in, or was a moment ago; and never with an answer that
    # a cache may keep.
    class SessionCookie
      def initialize(app)
        @app = app
      end

      def call(env)
        status, headers, body = @app.call(env)
        session = env["rack.session"]
        nobody = session.empty? && !env["HTTP_COOKIE"].to_s.include?("#{COOKIE}=")
        session.options[:skip] = true if nobody || headers.key?("cache-control")
        [status, headers, body]
      end
    end
  end
end
