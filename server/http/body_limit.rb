# frozen_string_literal: true

require_relative "puma_client"

module Server
  module HTTP
    # Puma takes in the whole body of a request, to disk when it is long, before the application is asked. Here its head
    # is looked at first: where a policy is set, it says how many bytes may follow.
    module BodyLimit
      class << self
        # @return [#call, nil] takes the head of a request, as Rack has it, and answers bytes, or nil for any number
        attr_accessor :policy
      end

      def setup_body
        @http_content_length_limit = BodyLimit.policy&.call(@env)
        # Who waits to be asked for it is not asked.
        @env.delete("HTTP_EXPECT") if @http_content_length_limit&.<(@env["CONTENT_LENGTH"].to_i)
        super
      end
    end
  end
end

Server::PumaClient.change(Server::HTTP::BodyLimit)
