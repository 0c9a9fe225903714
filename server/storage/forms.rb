# frozen_string_literal: true

require_relative "shelf"

module Server
  class Store
    # The maker's own forms, measured once and kept under a name.
    class Forms < Shelf
      def initialize(database, answers)
        super(database)
        @answers = answers
      end

      def all
        rows.order(:name).map { |row| listed(row, name: row[:name], units: row[:units], form: {}) { show(row) } }
      end

      # @raise [Taken, Problem] when it is no form that can be
      def add(name, form, units)
        @answers.call(:check,
          {"format" => Lantern::Plan::Document::FORMAT, "version" => 1, "units" => units, "form" => form})
        @database.atomically { insert(name: name.strip[0, 120], units:, document: JSON.generate(form)) }
      rescue Sequel::UniqueConstraintViolation
        raise Taken
      end

      # Keeps the rests of forms that were cut, each under a name of its own.
      # @param rests [Array<Hash>] `name`, `units`, `form`
      # @param action [Integer] of the ledger
      def keep(rests, action)
        rests.each do |rest|
          rows.insert(name: free_name("Rest of #{rest[:name]}"[0, 110]), units: rest[:units],
            document: JSON.generate(rest[:form]), cut_action: action)
        end
      end

      # Those of a cutting that was taken back are no rests any more.
      def give_back(action) = rows.where(cut_action: action).delete

      private

      def free_name(name)
        taken = rows.where(Sequel.like(:name, "#{rows.escape_like(name)}%")).select_map(:name)
        return name unless taken.include?(name)
        (2..).lazy.map { "#{name}, #{_1}" }.find { !taken.include?(_1) }
      end

      def table = :forms

      def show(row) =
        stamps(row).merge("name" => row[:name], "units" => row[:units], "form" => JSON.parse(row[:document]))
    end
  end
end
