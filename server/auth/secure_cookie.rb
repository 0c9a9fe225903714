# frozen_string_literal: true

module Server
  module Auth
    COOKIE = "lantern"

    # Behind TLS, the cookie goes over nothing else, and has the name that only such a one may have. A proxy that
    # the configuration names may say that there is.
    class SecureCookie
      # Source: RFC 6265bis, 4.1.3.2: Secure, for this host alone, for all of it.
      SECURE = "__Host-#{COOKIE}"

      # @param hsts [Boolean] whether the host is to be asked over TLS only, on all of its ports
      def initialize(app, hsts: true)
        @app, @hsts = app, hsts
      end

      def call(env)
        return @app.call(env) unless tls?(env)
        env["HTTP_COOKIE"] = within(env["HTTP_COOKIE"].to_s)
        status, headers, body = @app.call(env)
        headers = headers.merge("strict-transport-security" => "max-age=31536000") if @hsts
        headers["set-cookie"] = Array(headers["set-cookie"]).map { without(_1) } if headers["set-cookie"]
        [status, headers, body]
      end

      private

      def tls?(env) = env["rack.url_scheme"] == "https"

      # Only the cookie that came over TLS counts there: one of the same name from before it does not.
      def within(cookies)
        cookies.split(/;\s*/).reject { _1.start_with?("#{COOKIE}=") }.map { _1.sub(/\A#{SECURE}=/o, "#{COOKIE}=") }
          .join("; ")
      end

      def without(cookie) = "#{cookie.sub(/\A#{COOKIE}=/o, "#{SECURE}=")}; secure"
    end
  end
end
