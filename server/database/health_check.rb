# frozen_string_literal: true

require "sequel"
require_relative "disconnects"

module Server
  # Looks every half second whether a database answers, over a connection of its own; so one that stands still, as on a
  # disk that hangs, is known within two seconds, by whoever waits for it too.
  class HealthCheck
    EVERY = 0.5
    # Seconds for the first answer, and for a second one: a machine that itself stood still for a moment is none whose
    # database hangs.
    PATIENCE = [1, 0.5].freeze

    # @param database [Sequel::Database] with {Disconnects}, as this process uses it
    def initialize(database)
      @database = database
    end

    # @yieldparam there [Boolean] each time it was looked
    # @yieldparam since [Float] seconds for which it has been so
    # @return [Thread]
    def start
      Thread.new do
        before, since = nil, now
        loop do
          there = there?
          before, since = there, now unless there == before
          @database.away = !there
          yield there, now - since
        rescue => error
          # Whatever goes wrong with what follows from it, the looking goes on.
          warn "#{error.class}: #{error.message}"
        ensure
          sleep EVERY
        end
      end
    end

    # @return [Boolean]
    def there? = PATIENCE.any? { answers_within?(_1) }

    private

    def answers_within?(seconds)
      @connection ||= Sequel.connect(@database.opts.merge(max_connections: 1, connect_timeout: seconds,
        read_timeout: seconds, write_timeout: seconds, after_connect: nil))
      @connection.synchronize { |each| each.read_timeout = seconds }
      @connection.get(1) == 1
    rescue Sequel::Error
      @connection&.disconnect
      @connection = nil
    end

    def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  end
end
