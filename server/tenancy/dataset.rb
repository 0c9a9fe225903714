# frozen_string_literal: true

require "sequel"
require_relative "../http/problem"

module Server
  # What belongs to one workshop, as if it were all there is: whatever is read, changed or deleted through it is the
  # workshop's own, and whatever is put in becomes so. Nobody who keeps something has to think of other workshops.
  #
  #   own = Server::TenantDataset.new(database, 7)
  #   own[:wreaths].where(id: 3)   # SELECT * FROM `wreaths` WHERE ((`wreaths`.`workshop_id` = 7) AND (`id` = 3))
  class TenantDataset
    COLUMN = :workshop_id
    # The workshop of whoever has only one, and of everything that was kept before there were several.
    FIRST = 1
    # What is deleted from these lies in a bin for some weeks, and so much more may lie there.
    BINNED = %i[wreaths materials occasions].freeze

    # Raised when a workshop holds as much as it may.
    class Holds < Problem
      # @param table [Symbol]
      # @param most [Integer]
      # @param binned [Boolean] whether what was deleted lately counts
      def initialize(table, most, binned: false)
        what, then_do = binned ? [", with those that were deleted lately", "wait until some are gone for good"] :
          ["", "let go of some first"]
        number = most.to_s.reverse.scan(/\d{1,3}/).join(" ").reverse
        super("This workshop holds #{number} #{table}#{what}, as many as it may: #{then_do}. Nothing was changed.")
      end
    end

    # @return [Integer] the workshop's number
    attr_reader :workshop

    # @param database [Sequel::Database]
    # @param workshop [Integer]
    # @param most [Hash{Symbol=>Integer}] how many rows of a table the workshop may hold
    def initialize(database, workshop, most: {})
      @database, @workshop, @most = database, workshop, most
      @rows = TenantDataset.rows_of(database).new(database)
    end

    # @param table [Symbol] one that belongs to workshops
    # @return [Sequel::Dataset]
    def [](table) = @rows.from(table).clone(own: @workshop, most: @most[table])
      .where(Sequel[table][COLUMN] => @workshop)

    def atomically(&) = @database.atomically(&)

    def transaction(...) = @database.transaction(...)

    # @return [Array<Symbol>]
    def tables = @database.tables

    # The columns of a table, but for the workshop's: that belongs to where a row is, not to what it says.
    def schema(table, **how) = @database.schema(table, **how).reject { |name, _| name == COLUMN }

    class << self
      # The datasets of a database, made ready once.
      def rows_of(database)
        @lock.synchronize { @classes[database.dataset_class] ||= Class.new(database.dataset_class) { include Rows } }
      end
    end
    @lock, @classes = Mutex.new, {}

    # How the rows of one workshop are put in, and what cannot be asked of them.
    module Rows
      # @raise [Holds]
      def insert(*)
        with_room_for(1) { super }
      end

      # @raise [Holds]
      def import(columns, values, opts = Sequel::OPTS)
        with_room_for(values.size) { super([*columns, COLUMN], values.map { [*_1, opts_own] }, opts) }
      end

      def insert_sql(*values)
        columns, rows = values
        return super if rows.is_a?(Sequel::LiteralString)
        return super(columns.merge(COLUMN => opts_own)) if columns.is_a?(Hash) && rows.nil?
        return super([*columns, COLUMN], rows.select_append(opts_own)) if rows.is_a?(Sequel::Dataset)
        raise ArgumentError, "Rows of a workshop are put in by the names of their columns."
      end

      # What is joined is of the same workshop.
      def join_table(type, table, expression = nil, *rest, &)
        raise ArgumentError, "Rows of a workshop are joined by columns." unless expression.is_a?(Hash)
        super(type, table, {COLUMN => COLUMN, **expression}, *rest, &)
      end

      # Each of these would let others' rows in.
      %i[or unfiltered invert].each do |name|
        define_method(name) { |*| raise ArgumentError, "Ask for rows of a workshop without “#{name}”." }
      end

      private

      def opts_own = @opts.fetch(:own)

      # So near to what a workshop may hold, those who put something in wait for each other.
      NEAR = 1_000
      private_constant :NEAR

      def with_room_for(more)
        most = @opts[:most] or return yield
        return yield if db[first_source_alias].where(COLUMN => opts_own).count + more + NEAR < most
        db.atomically do
          db[:workshops].where(id: opts_own).for_update.get(:id)
          room_for(more, most)
          yield
        end
      end

      def room_for(more, most)
        table = first_source_alias
        there = db[table].where(COLUMN => opts_own)
        return unless there.count + more > most
        raise Holds.new(table, most) unless BINNED.include?(table)
        raise Holds.new(table, 2 * most, binned: true) if there.count + more > 2 * most
        raise Holds.new(table, most) if there.where(deleted_at: nil).count + more > most
      end
    end
    private_constant :Rows
  end
end
