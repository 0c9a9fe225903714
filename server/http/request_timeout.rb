# frozen_string_literal: true

require_relative "puma_client"

module Server
  # Puma gives every piece of a request its time anew; whoever sends a byte now and then would stay for ever. Here a
  # request has its time as a whole, from its first byte on.
  module RequestTimeout
    def set_timeout(seconds)
      super
      return unless begun?
      @begun_at ||= Process.clock_gettime(Process::CLOCK_MONOTONIC)
      @timeout_at = @begun_at + seconds
    end

    def reset
      @begun_at = nil
      super
    end

    private

    def begun? = !@read_header || !@buffer.to_s.empty?
  end
end

Server::PumaClient.change(Server::RequestTimeout)
