# frozen_string_literal: true

require "ipaddr"

module Server
  module HTTP
    # What a request says of where it really came from, and to which host, is believed of proxies that the
    # configuration names, and of nobody else: it is taken out of every other request.
    class ForwardedHeaders
      # Source: RFC 7239, and what proxies write for it.
      BELIEVED = %w[HTTP_X_FORWARDED_FOR HTTP_X_FORWARDED_PROTO HTTP_X_FORWARDED_HOST].freeze
      NEVER_BELIEVED = %w[HTTP_FORWARDED HTTP_X_FORWARDED_SCHEME HTTP_X_FORWARDED_SSL HTTP_X_FORWARDED_PORT
        HTTP_X_REAL_IP HTTP_CLIENT_IP HTTP_X_CLIENT_IP HTTP_X_ORIGINAL_URL HTTP_X_REWRITE_URL].freeze
      # Set when a request was handed on by somebody, believed or not.
      HANDED_ON = "lantern.handed_on"

      # @param proxies [Array<String>] addresses or networks of proxies, such as `127.0.0.1` or `10.0.0.0/24`
      # @raise [IPAddr::Error]
      def initialize(app, proxies: [])
        @app, @proxies = app, proxies.map { IPAddr.new(_1) }
      end

      def call(env)
        said = (BELIEVED + NEVER_BELIEVED).select { env.key?(_1) }
        env[HANDED_ON] = said.any?
        (proxy?(env) ? said - BELIEVED : said).each { env.delete(_1) }
        take_up(env)
        @app.call(env)
      end

      private

      # What is believed stands where it would stand without a proxy, so that nobody looks for it in two places.
      def take_up(env)
        env["REMOTE_ADDR"] = came_from(env) if env.key?("HTTP_X_FORWARDED_FOR")
        env["rack.url_scheme"] = "https" if env["HTTP_X_FORWARDED_PROTO"] == "https"
        env["HTTP_HOST"] = env["HTTP_X_FORWARDED_HOST"] if env["HTTP_X_FORWARDED_HOST"]
        BELIEVED.each { env.delete(_1) }
      end

      def proxy?(env)
        address = IPAddr.new(env["REMOTE_ADDR"].to_s).native
        @proxies.any? { _1.include?(address) }
      rescue IPAddr::Error
        false
      end

      # The last proxy's own word; what stands before it, whoever asked may have written.
      def came_from(env) = env["HTTP_X_FORWARDED_FOR"].to_s.split(",").last.to_s.strip
    end
  end
end
