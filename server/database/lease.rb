# frozen_string_literal: true

require "securerandom"
require "sequel"

module Server
  # What only one of several processes does at a time, wherever they run: whoever has the lease, until it is given back
  # or over. It is a row that is changed, not a lock that is held: that holds on every node of a cluster.
  class Lease
    # Raised when another has had it for longer than anybody waits.
    TooLong = Class.new(StandardError)

    # @param database [Sequel::Database]
    # @param name [String]
    def initialize(database, name)
      @database, @name, @holder = database, name, SecureRandom.hex(16)
    end

    # Has it for so long, if nobody else has.
    # @param seconds [Integer]
    # @return [Boolean]
    # @raise [Sequel::Error]
    def take(seconds)
      rows.insert_ignore.insert(name: @name, holder: "", until: Sequel.lit("UTC_TIMESTAMP() - INTERVAL 1 SECOND"))
      free = (Sequel[:until] < Sequel.lit("UTC_TIMESTAMP()")) | {holder: @holder}
      named.where(free).update(holder: @holder, until: after(seconds))
      named.get(:holder) == @holder
    rescue Sequel::SerializationFailure
      # Another was first.
      false
    end

    # Runs the block alone; of several that come at once, one after the other.
    # @param seconds [Integer] after which another goes on, should this process end meanwhile
    # @param patience [Integer] seconds to wait for another
    # @raise [TooLong]
    def alone(seconds: 30, patience: 300)
      make
      give_up_at = now + patience
      until take(seconds)
        raise TooLong if now > give_up_at
        sleep 0.2
      end
      kept = keep(seconds)
      yield
    ensure
      kept&.kill
      named.where(holder: @holder).update(until: Sequel.lit("UTC_TIMESTAMP() - INTERVAL 1 SECOND")) if kept
    end

    private

    # Before there are any other tables.
    def make
      @database.create_table?(:leases) do
        String :name, size: 60, primary_key: true
        String :holder, size: 60, null: false
        DateTime :until, null: false
      end
    end

    # Whoever works for long says so, as long as it lives.
    def keep(seconds)
      Thread.new do
        loop do
          sleep seconds / 3.0
          take(seconds)
        rescue Sequel::Error
          next
        end
      end
    end

    def rows = @database[:leases]

    def named = rows.where(name: @name)

    def after(seconds) = Sequel.lit("UTC_TIMESTAMP() + INTERVAL #{Integer(seconds)} SECOND")

    def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  end
end
