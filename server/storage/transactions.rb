# frozen_string_literal: true

module Server
  # Changes that are made whole or not at all. Whoever changes something locks what it will change first and reads
  # after that, in this order: an occasion, wreaths by their numbers, materials by theirs; the lots of a material
  # belong to whoever has the material. Where two wait for each other all the same, or another node of a cluster was
  # first, the database lets one go, and that one is tried again.
  module Transactions
    TRIES = 12
    # How often a change is begun anew whose database has gone; a cluster has another node.
    TRIES_ELSEWHERE = 3
    NUMBER_TAKEN = /for key '(?:\w+\.)?PRIMARY'/

    def atomically(&)
      return transaction(&) if in_transaction?
      elsewhere = 0
      begin
        done = false
        transaction(isolation: :committed, retry_on: [Sequel::SerializationFailure], num_retries: TRIES,
          before_retry: ->(tries, _) { sleep(tries * 0.01) }) do
          done = false
          yield.tap { done = true }
        end
      rescue Sequel::UniqueConstraintViolation => error
        # Two nodes can give out one number when another has just gone or come.
        raise unless error.message.match?(NUMBER_TAKEN) && (elsewhere += 1) < TRIES_ELSEWHERE
        retry
      rescue Sequel::DatabaseConnectionError, Sequel::DatabaseDisconnectError
        # Once it was asked to keep the change, nobody knows whether it did: whoever asked asks again, by name.
        raise if done || (elsewhere += 1) >= TRIES_ELSEWHERE
        disconnect
        retry
      end
    end
  end
end
