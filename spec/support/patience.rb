# frozen_string_literal: true

# How long to wait for something on this machine as it is now. A machine that is busy, or slow, takes longer for a fixed
# piece of work, and is waited for so many times longer; nothing is ever red because of that. What comes in time costs
# nothing: these are bounds of what never comes.
module Patience
  # Loops of nothing, and the seconds that they take on an idle machine like those this was written on (measured).
  WORK, IDLE = 1_000_000, 0.036
  # Seconds until what never comes is given up, on an idle machine.
  FOR_A_SCREEN = 20
  MOST = 40.0
  # Seconds for which a machine is taken to be as busy as it was when it was looked at.
  FRESH = 5

  class << self
    # @return [Float] how many times longer than on an idle machine things take now; 1 at least
    def factor
      began = now
      WORK.times {}
      [(now - began) / IDLE, 1.0].max.clamp(1.0, MOST).tap { @slowest = [@slowest || 1.0, _1].max }
    end

    # @param seconds [Numeric] on an idle machine
    # @return [Float] by the slowest that this machine has been since the start
    def seconds(seconds)
      if @looked.nil? || now - @looked > FRESH
        factor
        @looked = now
      end
      seconds * @slowest
    end

    private

    def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  end
end
