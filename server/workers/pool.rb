# frozen_string_literal: true

require "etc"
require "io/wait"
require "socket"
require_relative "tasks"
require_relative "channel"
require_relative "../http/problem"

module Server
  # Heavy questions are answered aside, in processes of their own: each has so much of the processor, so that a busy
  # machine makes it slower and refuses nothing, and is ended when it has had that or when whoever asked has gone. So
  # nothing that takes long, in Ruby or in a solver, holds up anybody else.
  #
  # A forker, one process without threads that has everything loaded, forks the workers; a worker that was ended is
  # replaced when it is next wanted.
  class WorkerPool
    # Raised when a worker could not do it; the message is for the log.
    Failed = Class.new(StandardError)
    # Raised when the worker has had its time, or had no more room.
    Overdue = Class.new(Failed)
    Gone = Problem.of(408, "Whoever asked this has gone.")
    Busy = Problem.of(503, "So much is being worked out just now that this would have to wait too long. Nothing was " \
      "lost; ask again in a moment.")

    # Seconds to wait for a worker that is free.
    PATIENCE = 10
    # How often it is looked whether whoever asked is still there, in seconds.
    GLANCE = 0.25
    # So many times longer than its share of the processor a worker is waited for, whatever the machine does.
    LONGEST = 20
    # So many tasks, and a worker gives its memory back.
    MOST_TASKS = 300

    Worker = Struct.new(:number, :channel, :tasks)
    private_constant :Worker

    # @return [Integer, nil] the forker's process, once there is one
    attr_reader :forker_number

    # @param size [Integer] how many workers at most
    # @param waiting [Integer] how many may wait for one
    # @param patience [Numeric] seconds for which they do
    def initialize(size: Etc.nprocessors.clamp(2, 4), waiting: 10, patience: PATIENCE)
      @size, @most_waiting, @patience = size, waiting, patience
      @idle, @hired, @waiting, @all = [], 0, 0, []
      @lock, @free = Mutex.new, ConditionVariable.new
    end

    # @param task [Symbol] one of {Tasks}
    # @param within [Numeric] seconds of the processor it may take
    # @param asker [IO, nil] the connection of whoever asks
    # @yieldparam progress [Object] whatever the task says on its way
    # @return [Object] what the task answers
    # @raise [Overdue, Gone, Busy, Failed, Lantern::Plan::Refused]
    def call(task, *given, within:, asker: nil, &progress)
      worker = borrow
      kept = false
      answer = ask(worker, task, given, within, asker, &progress)
      kept = true
      opened(answer)
    rescue EOFError, Errno::ECONNRESET, Errno::EPIPE
      # Ended from outside, as a machine does that runs out of memory.
      raise Overdue
    rescue SystemCallError, IOError => error
      raise Failed, "#{task}: #{error.class}: #{error.message}"
    ensure
      give_back(worker, kept) if worker
    end

    # Ends every worker, also one that is at work, and the forker.
    def stop
      @lock.synchronize do
        @all.each { |number| end_process(number) }
        @idle.each { _1.channel.close }
        @hired -= @idle.size
        @idle.clear
        close_forker
      end
    end

    private

    def ask(worker, task, given, within, asker)
      worker.tasks += 1
      given_up, had = Clock.now + LONGEST * within, Clock.of(worker.number)
      worker.channel.write([task, given])
      until (answer = worker.channel.read(GLANCE)) && answer.first != :under_way
        yield answer.last if answer && block_given?
        raise Overdue if Clock.of(worker.number) - had > within || Clock.now > given_up
        raise Gone if asker && gone?(asker)
      end
      answer
    end

    def opened((outcome, value))
      case outcome
      when :done then value
      when :refused then raise Lantern::Plan::Refused.new(value)
      when :too_much then raise Overdue
      else raise Failed, value
      end
    end

    # Whether the other end of a connection was closed.
    def gone?(asker)
      asker.to_io.recv_nonblock(1, Socket::MSG_PEEK, exception: false).then { _1.nil? || _1 == "" }
    rescue SystemCallError, IOError
      true
    end

    def borrow
      @lock.synchronize do
        deadline = Clock.now + @patience
        raise Busy if @waiting >= @most_waiting
        @waiting += 1
        begin
          dismiss_ended
          while @idle.empty? && @hired >= @size
            rest = deadline - Clock.now
            raise Busy if rest <= 0
            @free.wait(@lock, rest)
          end
          @idle.pop || hire
        ensure
          @waiting -= 1
        end
      end
    end

    def give_back(worker, kept)
      @lock.synchronize do
        if kept && worker.tasks < MOST_TASKS
          @idle << worker
        else
          @hired -= 1
          dismiss(worker)
        end
        @free.signal
      end
    end

    # Workers that were ended from outside while they waited.
    def dismiss_ended
      ended, @idle = @idle.partition { _1.channel.ended? }
      @hired -= ended.size
      ended.each { dismiss(_1) }
    end

    def dismiss(worker)
      end_process(worker.number)
    ensure
      @all.delete(worker.number)
      worker.channel.close
    end

    def end_process(number)
      Process.kill(:KILL, number)
    rescue Errno::ESRCH
      nil
    end

    # Called with the lock held. A forker that was ended is opened anew, once.
    def hire
      worker = begin
        from_forker
      rescue SystemCallError, IOError
        close_forker
        from_forker
      end
      @hired += 1
      worker
    end

    def from_forker
      open_forker unless @forker
      @forker.write("+")
      connection = @forker.recv_io(UNIXSocket)
      Worker.new(@forker.gets.to_i.tap { @all << _1 }, Channel.new(connection), 0)
    end

    def open_forker
      @forker, theirs = UNIXSocket.pair
      @forker_number = Process.spawn(RbConfig.ruby, File.join(__dir__, "forker.rb"), 3 => theirs,
        :pgroup => true)
      Process.detach(@forker_number)
      theirs.close
    end

    def close_forker
      @forker&.close
      @forker = nil
    end

    # Seconds that no change of the clock on the wall touches.
    module Clock
      PER_SECOND = Etc.sysconf(Etc::SC_CLK_TCK).to_f

      def self.now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

      # Of the processor, by all threads of a process; what cannot be read is of one that is no more.
      # Source: proc(5), /proc/[pid]/stat, fields 14 and 15.
      def self.of(process)
        File.read("/proc/#{process}/stat").split(") ").last.split.values_at(11, 12).sum(&:to_i) / PER_SECOND
      rescue SystemCallError
        0.0
      end
    end
    private_constant :Clock
  end
end
