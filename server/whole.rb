# frozen_string_literal: true

require "sequel"

module Server
  # Changes that are made whole or not at all. Whoever changes something locks what it will change first and reads
  # after that, in this order: an occasion, wreaths by their numbers, materials by theirs; the lots of a material
  # belong to whoever has the material. Where two wait for each other all the same, the database lets one go, and
  # that one is tried again.
  module Whole
    TRIES = 12

    def whole(&)
      return transaction(&) if in_transaction?
      transaction(isolation: :committed, retry_on: [Sequel::SerializationFailure], num_retries: TRIES,
        before_retry: ->(tries, _) { sleep(tries * 0.01) }, &)
    end
  end
end
