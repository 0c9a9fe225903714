# frozen_string_literal: true

require_relative "pool"

module Server
  # One after the other: what is worked out where it arrives takes the processor for itself, and whatever is small gets
  # it in between. So many may wait; each holds one of the server's threads, and the others are for what is small.
  class Turns
    # @param waiting [Integer] how many may wait for their turn
    def initialize(waiting:)
      @most = waiting + 1
      @here = 0
      @counted, @turn = Mutex.new, Mutex.new
    end

    # @yieldreturn [Object] answered when its turn has come
    # @raise [WorkerPool::Busy] when too many wait already
    def take(&)
      @counted.synchronize do
        raise WorkerPool::Busy if @here >= @most
        @here += 1
      end
      begin
        @turn.synchronize(&)
      ensure
        @counted.synchronize { @here -= 1 }
      end
    end
  end
end
