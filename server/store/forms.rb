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

      # @raise [Taken, Lantern::Plan::Refused] when it is no form that can be
      def add(name, form, units)
        @answers.call(:check,
          {"format" => Lantern::Plan::Document::FORMAT, "version" => 1, "units" => units, "form" => form})
        @database.whole { insert(name: name.strip[0, 120], units:, document: JSON.generate(form)) }
      rescue Sequel::UniqueConstraintViolation
        raise Taken
      end

      private

      def table = :forms

      def show(row) =
        stamps(row).merge("name" => row[:name], "units" => row[:units], "form" => JSON.parse(row[:document]))
    end
  end
end
