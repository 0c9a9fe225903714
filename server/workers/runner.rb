# frozen_string_literal: true

require_relative "../http/contract"
require_relative "pool"
require_relative "turns"
require_relative "weight"

module Server
  # Who asks the core: small plans are worked where they arrive, everything heavier aside and within its time.
  class TaskRunner
    CONTRACT = File.expand_path("../openapi.yaml", __dir__)
    private_constant :CONTRACT
    # Seconds of the processor for a plan, for what works many plans or draws pages, for a film, and for a
    # card of every wreath of an occasion.
    PLAN = 2
    MANY = 10
    FILM = 40
    CLASS = 120
    WITHIN = Hash.new(MANY).merge({film: FILM, class_pdf: CLASS},
      %i[work advised check templates finish_form summary].to_h { [_1, PLAN] },
      Contract.of(CONTRACT).questions.to_h { [_1.key, _1.seconds] }).freeze
    # What works one plan, and is done where it arrives when that is small.
    ONE_PLAN = %i[work advised summary check cutting templates finish_form finished].freeze
    # What is only asked takes its turn; what belongs to a save or a count never waits for it.
    IN_TURN = %i[work advised].freeze

    # What takes a worker for long: one at a time, so that everybody else finds a worker.
    LONG = %i[film class_pdf].freeze

    # @return [Turns] of what is worked out where it arrives
    attr_reader :turns

    # @param aside [WorkerPool, nil] nil where there are no workers: then everything is answered where it arrives
    # @param within [Hash{Symbol=>Numeric}] other times than {WITHIN}, in seconds
    # @param patience [Numeric] seconds for which what takes long waits for its turn
    def initialize(pool = nil, within: {}, patience: WorkerPool::PATIENCE)
      @pool, @within, @patience = pool, WITHIN.merge(within), patience
      @lock, @free, @long_here = Mutex.new, ConditionVariable.new, false
      @within.default = within.default || WITHIN.default
      @turns = Turns.new
    end

    # @param task [Symbol] one of {WorkerPool::Tasks}
    # @param asker [IO, nil] the connection of whoever asks
    # @raise [Lantern::Plan::Refused] when it cannot be, or when there was not time enough
    # @raise [WorkerPool::Busy, WorkerPool::Gone, WorkerPool::Failed]
    # @yieldparam progress [Object] of a task that takes long
    def call(task, *given, asker: nil, &progress)
      aside = -> { @pool.call(task, *given, within: @within[task], asker:, &progress) }
      return WorkerPool::Tasks.call(task, *given, &progress) if @pool.nil?
      return one_long(&aside) if LONG.include?(task)
      return aside.call unless here?(task, given.first)
      return WorkerPool::Tasks.call(task, *given) unless IN_TURN.include?(task)
      @turns.take(aside:) { WorkerPool::Tasks.call(task, *given) }
    rescue WorkerPool::Overdue
      # What a wise friend would say is left out rather than the plan.
      return call(:work, *given, asker:) if task == :advised
      raise Lantern::Plan::Refused.new([Weight.new(given.first).problem(@within[task])])
    end

    # A question that the contract declares.
    # @param question [Contract::Question]
    # @param sent [Hash]
    # @param beside [Hash{Symbol=>Object}] what it has to know besides
    # @param workshop [Object] whose plans it is about
    # @raise [Lantern::Plan::Refused] when it cannot be, or when there was not time enough
    # @raise [WorkerPool::Busy, WorkerPool::Gone, WorkerPool::Failed]
    def ask(question, sent, beside = {}, workshop: nil, asker: nil)
      weight = Weight.new(question.document(sent))
      given = [:question, sent, question.answers, beside, ([workshop] if question.cached)]
      aside = -> { @pool.call(*given, within: @within[question.key], asker:) }
      return WorkerPool::Tasks.call(*given) if @pool.nil?
      return aside.call unless question.small && weight.small?
      @turns.take(aside:) { WorkerPool::Tasks.call(*given) }
    rescue WorkerPool::Overdue
      raise Lantern::Plan::Refused.new([weight.problem(@within[question.key])])
    end

    private

    # @raise [WorkerPool::Busy] when another takes too long
    def one_long
      begin_long
      begin
        yield
      ensure
        @lock.synchronize { @long_here = false }
        @free.signal
      end
    end

    def begin_long
      given_up = Process.clock_gettime(Process::CLOCK_MONOTONIC) + @patience
      @lock.synchronize do
        while @long_here
          rest = given_up - Process.clock_gettime(Process::CLOCK_MONOTONIC)
          raise WorkerPool::Busy if rest <= 0
          @free.wait(@lock, rest)
        end
        @long_here = true
      end
    end

    def here?(task, document) = ONE_PLAN.include?(task) && Weight.new(document).small?
  end
end
