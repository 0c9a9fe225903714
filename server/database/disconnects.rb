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

    private

    def disconnect_error?(exception, opts)
      super || exception.is_a?(Trilogy::ConnectionError) ||
        (exception.respond_to?(:error_code) && GONE.include?(exception.error_code))
    end
  end
end
