# frozen_string_literal: true

module Server
  class Store
    # What holds for the whole application: the currency, and the paper that is printed on.
    class Settings
      USUAL = {"currency" => "USD", "paper" => "letter"}.freeze
      PAPERS = %w[letter a4].freeze

      # @raise [Problem]
      def self.check(said)
        unless PAPERS.include?(said.fetch("paper", PAPERS.first))
          raise Problem.at("paper", "Paper is “letter” or “a4”.")
        end
        reading = Lantern::Plan::Reading.new(units: "in")
        Lantern::Plan::Field::Currency.new(:currency).read(said["currency"], "currency", reading) if said["currency"]
        raise Problem.new(reading.problems) if reading.problems.any?
      end

      def initialize(database)
        @database = database
      end

      # As they are, or while the database is away as they were last: what is only worked out does not wait for it.
      # @return [Hash{String=>String}]
      def all
        @last = USUAL.merge(rows.where(name: USUAL.keys).select_hash(:name, :value))
      rescue Sequel::Error
        @last || USUAL
      end

      # @param said [Hash] some of them
      # @return [Hash{String=>String}]
      # @raise [Problem]
      def change(said)
        Settings.check(said)
        @database.atomically do
          said.slice(*USUAL.keys).each { |name, value| rows.on_duplicate_key_update(:value).insert(name:, value:) }
        end
        all
      end

      private

      def rows = @database[:settings]
    end
  end
end
