# frozen_string_literal: true

require_relative "puma_client"

module Server
  # How long a request may take to arrive. Puma gives every piece of it its time anew, so that silence ends it; but
  # whoever sends a byte now and then would stay for ever. Here the head has that time as a whole, and a body comes at
  # {LEAST_PACE} on the whole, however long it is: a photo over a slow line arrives.
  module RequestTimeout
    # Bytes in a second: a fifth of what a poor telephone brings (from memory).
    LEAST_PACE = 1_000.0

    def set_timeout(seconds)
      super
      return unless begun?
      @begun_at ||= Process.clock_gettime(Process::CLOCK_MONOTONIC)
      @timeout_at = [@timeout_at, @begun_at + seconds + received / LEAST_PACE].min
    end

    def reset
      @begun_at = nil
      super
    end

    private

    def begun? = !@read_header || !@buffer.to_s.empty?

    # @return [Integer] bytes of the body
    def received = in_data_phase ? @body.size : 0
  end
end

Server::PumaClient.change(Server::RequestTimeout)
