# frozen_string_literal: true

require "sequel"
require_relative "../http/problem"

module Server
  # Whoever asks the database finds out here when it is away, waited for, or full.
  module DatabaseErrors
    # The family of what keeps a database from answering.
    Unavailable = Class.new(Problem)

    Away = Unavailable.of(503, "The database does not answer. What is on this screen is kept; try again in a moment.")
    Crowded = Unavailable.of(503, "So much is asked at once just now that this would have to wait too long. Nothing " \
      "was changed; try again in a moment.")
    # Raised when somebody else is busy with the same for too long.
    Waiting = Unavailable.of(503, "The same is being changed from elsewhere, and that takes long. Nothing was " \
      "changed; try again in a moment.")
    Full = Unavailable.of(507, "The disk is full: nothing can be saved until there is room on it. What is on this " \
      "screen is kept, and everything saved before can still be read.")

    # How the database says that its disk is full.
    DISK_FULL = /No space left on device|Disk is full|disk full|Errcode: 28|table '[^']*' is full/i

    # Runs the block; when the database is gone, lets go of every connection to it, so that the next call finds it
    # again once it is back.
    # @param database [Sequel::Database]
    # @param again [Boolean] whether the block changes nothing, so that it can be run once more where there may be
    #   another node
    # @raise [Away, Crowded, Full, Waiting]
    def self.translate(database, again: false)
      yield
    rescue Sequel::PoolTimeout
      raise Crowded
    rescue Sequel::DatabaseConnectionError, Sequel::DatabaseDisconnectError
      database.disconnect
      raise Away unless again
      again = false
      retry
    rescue Sequel::DatabaseLockTimeout, Sequel::SerializationFailure
      raise Waiting
    rescue Sequel::DatabaseError => error
      raise Full if error.message.match?(DISK_FULL)
      raise
    end
  end
end
