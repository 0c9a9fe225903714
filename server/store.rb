# frozen_string_literal: true

require "json"
require "sequel"
require_relative "archive"
require_relative "ledger"

module Server
  # What is kept: wreaths and the stash. Every row has a version; whoever saves says which version
  # they had before them, and is told when it is no longer the latest.
  class Store
    # The family of what the store raises when it cannot do what it was asked.
    Refusal = Class.new(StandardError)

    # Raised when somebody else saved first. `current` is the row as it now is.
    class Outdated < Refusal
      attr_reader :current

      def initialize(current)
        @current = current
        super("It was changed in the meantime.")
      end
    end

    # Raised when the database does not answer.
    Away = Class.new(Refusal)

    # Raised when a wreath was cut with others, and only all of them can be taken back.
    Together = Class.new(Refusal)

    # Raised when there is no such row (any more).
    Missing = Class.new(Refusal)

    # Raised when a material's id or a form's name is taken.
    Taken = Class.new(Refusal)

    MIGRATIONS = File.join(__dir__, "migrations")

    # Raised when a wreath was cut already, or was not cut at all.
    Settled = Class.new(Refusal)

    attr_reader :wreaths, :materials, :forms, :ledger, :occasions, :archive, :bench, :notebook

    # @param database [Sequel::Database]
    def initialize(database)
      @database = database
      Sequel.extension :migration
      Sequel::Migrator.run(database, MIGRATIONS)
      @ledger = Ledger.new(database)
      @materials = Materials.new(database, @ledger)
      @wreaths = Wreaths.new(database, @materials, @ledger)
      @forms = Forms.new(database)
      @archive = Archive.new(database)
      @bench = Bench.new(database)
      @notebook = Notebook.new(database, @wreaths, @materials, @ledger, @bench)
      @occasions = Occasions.new(database, @wreaths, @materials, @ledger)
    end

    # Runs the block; when the database is gone, lets go of every connection to it, so that the next
    # call finds it again once it is back.
    # @raise [Away]
    def reaching
      yield
    rescue Sequel::DatabaseError => error
      unless error.is_a?(Sequel::DatabaseConnectionError) || error.is_a?(Sequel::DatabaseDisconnectError) ||
          error.wrapped_exception.is_a?(Trilogy::ConnectionError)
        raise
      end
      @database.disconnect
      raise Away
    end

    # Runs the block once in the life of this database, as one change; for the demo.
    def once(name)
      @database.transaction do
        next if @database[:settings].where(name:).any?
        yield
        @database[:settings].insert(name:, value: "done")
      end
    end
  end
end

require_relative "store/bench"
require_relative "store/forms"
require_relative "store/materials"
require_relative "store/notebook"
require_relative "store/occasions"
require_relative "store/wreaths"
