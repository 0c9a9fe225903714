# frozen_string_literal: true

module Server
  # Where a plan that is small is worked: where it arrives, one after the other, while few ask; aside, in a process of
  # its own, while many do. What is worked where it arrives holds Ruby's lock, and every query of a save would wait for
  # it anew; a worker shares the processor by the kernel's scheduler, and has a lower priority than what is small.
  class Turns
    # So many at once are one maker, who types while the last answer is on its way.
    FEW = 3
    # Seconds for which many are taken to be many still.
    CROWD = 1

    # @return [Integer] how many ask just now
    attr_reader :asked

    # @param clock [#call] seconds
    def initialize(clock: -> { Process.clock_gettime(Process::CLOCK_MONOTONIC) })
      @clock = clock
      @asked, @crowd_until = 0, -Float::INFINITY
      @counted, @turn = Mutex.new, Mutex.new
    end

    # @param aside [Proc] what to do when there are more than a few
    # @yieldreturn [Object] answered when its turn has come
    def take(aside:, &here)
      crowd = @counted.synchronize { crowd?(@asked += 1) }
      crowd ? aside.call : @turn.synchronize(&here)
    ensure
      @counted.synchronize { @asked -= 1 }
    end

    private

    def crowd?(asked)
      @crowd_until = @clock.call + CROWD if asked > FEW
      @clock.call < @crowd_until
    end
  end
end
