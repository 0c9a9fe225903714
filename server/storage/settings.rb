# frozen_string_literal: true

module Server
  class Store
    # What holds for the whole application: the currency, the paper that is printed on, what a new wreath begins with,
    # and what is asked.
    class Settings
      # A mark of "" is the usual one of the units that a wreath is planned in.
      USUAL = {"currency" => "USD", "paper" => "letter", "sureness" => "0.9", "smallest_mark" => "",
               "ask_uncut" => "yes"}.freeze
      CHOICES = {
        "paper" => [%w[letter a4], "Paper is “letter” or “a4”."],
        "sureness" => [%w[0.8 0.9 0.95 0.99], "How sure is 0.8, 0.9, 0.95 or 0.99."],
        "ask_uncut" => [%w[yes no], "It is asked, “yes”, or not, “no”."]
      }.freeze

      # @raise [Problem]
      def self.check(said)
        CHOICES.each do |name, (values, says)|
          raise Problem.at(name, says) unless values.include?(said.fetch(name, values.first))
        end
        reading = Lantern::Plan::Reading.new(units: "in")
        {"currency" => Lantern::Plan::Field::Currency.new(:currency), "smallest_mark" => MARK}.each do |name, field|
          field.read(said[name], name, reading) unless said[name].to_s.empty?
        end
        raise Problem.new(reading.problems) if reading.problems.any?
      end

      MARK = Lantern::Plan::Field::Length.new(:smallest_mark, most: 4, label: "Smallest mark on your tape")
      private_constant :MARK

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
