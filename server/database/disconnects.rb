# frozen_string_literal: true

require "sequel"
require "trilogy"

module Server
  # A database that goes away and comes back: a connection that broke is known as one, and never used again.
  module Disconnects
    # What MariaDB answers when it is going, has ended a connection, or is a node that has lost its cluster, also while
    # it was to keep something.
    # Source: MariaDB error codes, ER_UNKNOWN_COM_ERROR, ER_SERVER_SHUTDOWN, ER_ERROR_DURING_COMMIT,
    # ER_CONNECTION_KILLED.
    GONE = [1047, 1053, 1180, 1927].freeze
    # Raised where a query waits for a database that does not answer.
    Hung = Class.new(Trilogy::BaseConnectionError)
    DOES_NOT_ANSWER = "The database does not answer."

    def self.extended(database)
      database.instance_exec { @away, @waiting, @waiting_lock = false, [], Mutex.new }
    end

    # What {HealthCheck} last found. While it is away nothing is asked of it, and whoever waits for it waits no longer.
    # @param away [Boolean]
    def away=(away)
      @waiting_lock.synchronize do
        @waiting.each { _1.raise(Hung, DOES_NOT_ANSWER) } if away && !@away
        @away = away
      end
    end

    # @raise [Sequel::DatabaseDisconnectError] at once while it is away
    def synchronize(...)
      raise Sequel::DatabaseDisconnectError, DOES_NOT_ANSWER if @away
      super
    end

    # Around every query.
    def log_connection_yield(*)
      Thread.handle_interrupt(Hung => :never) do
        @waiting_lock.synchronize { @waiting << Thread.current }
        Thread.handle_interrupt(Hung => :immediate) { super }
      ensure
        @waiting_lock.synchronize { @waiting.delete(Thread.current) }
      end
    end

    private

    def disconnect_error?(exception, opts)
      super || exception.is_a?(Trilogy::ConnectionError) ||
        (exception.respond_to?(:error_code) && GONE.include?(exception.error_code))
    end
  end
end
