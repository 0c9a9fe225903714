# frozen_string_literal: true

require_relative "../workers/pool"

module Server
  module HTTP
    # So many requests for some addresses are answered at once in a process, so many more wait, and whoever comes after
    # that is told to come again. What waits here holds a thread and nothing else: neither Ruby's lock nor a connection
    # to the database, which whatever is not limited finds free.
    class ConcurrencyLimit
      # Seconds to wait.
      PATIENCE = 10

      # @return [Integer] how many wait just now
      attr_reader :waiting

      # @param app [#call]
      # @param paths [Array<String>] what is limited
      # @param at_once [Integer]
      # @param waiting [Integer]
      def initialize(app, paths:, at_once:, waiting:, patience: PATIENCE)
        @app, @paths, @at_once, @most_waiting, @patience = app, paths.to_h { [_1, true] }, at_once, waiting, patience
        @here, @waiting = 0, 0
        @lock, @free = Mutex.new, ConditionVariable.new
      end

      def call(env)
        return @app.call(env) unless @paths.key?(env["PATH_INFO"])
        return busy unless enter
        begin
          @app.call(env)
        ensure
          leave
        end
      end

      private

      def enter
        @lock.synchronize do
          next @here += 1 if @here < @at_once
          next if @waiting >= @most_waiting
          @waiting += 1
          begin
            deadline = now + @patience
            @free.wait(@lock, deadline - now) until @here < @at_once || now >= deadline
            @here += 1 if @here < @at_once
          ensure
            @waiting -= 1
          end
        end
      end

      def leave
        @lock.synchronize do
          @here -= 1
          @free.signal
        end
      end

      def busy = Problem.response(WorkerPool::Busy.status, WorkerPool::Busy.new.problems.first.says)

      def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    end
  end
end
