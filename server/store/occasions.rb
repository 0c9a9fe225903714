# frozen_string_literal: true

require_relative "shelf"

module Server
  class Store
    # Occasions: a day, what it may cost, when there is time; and the wreaths that hang on it.
    class Occasions < Shelf
      # What a maker says of an occasion; its plans are its wreaths'.
      OWN = %w[day budget evenings hours drying delivery sureness money].freeze

      def initialize(database, wreaths)
        super(database)
        @wreaths = wreaths
      end

      def all = rows.order(:id).map { show(_1) }

      # @raise [Lantern::Plan::Refused]
      def add(name, units, document) = insert(values(name, units, document))

      # @raise [Missing, Outdated, Lantern::Plan::Refused]
      def change(id, version, name, units, document) = update(id, version, values(name, units, document))

      # @return [Time]
      def changed_at(id) = row(id)[:updated_at]

      # Which wreaths hang on it; one that hung on another leaves that.
      # @raise [Missing]
      def gather(id, wreath_ids)
        @database.transaction do
          row(id)
          @database[:wreaths].where(occasion_id: id).exclude(id: wreath_ids).update(occasion_id: nil)
          @database[:wreaths].where(id: wreath_ids).update(occasion_id: id)
        end
        find(id)
      end

      # The occasion as one document: its own words, its wreaths' plans as they are now, and what the shop
      # says of sales.
      # @param today [Date]
      # @param sale [Hash] as {Shop} answers it
      # @return [Hash] an occasion document
      def document(id, today:, sale: {})
        row = row(id)
        plans = @wreaths.on_occasion(id).map { |wreath| wreath["plan"] }
        {"format" => Lantern::Occasion::Document::FORMAT, "version" => 1, "name" => row[:name], "units" => row[:units],
         **JSON.parse(row[:document]), **today_on(row, today), **sale, "plans" => plans}
      end

      private

      def table = :occasions

      # An occasion that is over is looked at as it was on its day.
      def today_on(row, today)
        day = JSON.parse(row[:document])["day"]
        {"today" => (day && Date.iso8601(day) < today) ? day : today.iso8601}
      end

      def values(name, units, document)
        own = document.slice(*OWN)
        Lantern::Occasion.work({"format" => Lantern::Occasion::Document::FORMAT, "version" => 1, "units" => units, "plans" => []}.merge(document))
        {name: name.strip[0, 200], units:, document: JSON.generate(own)}
      end

      def show(row)
        stamps(row).merge("name" => row[:name], "units" => row[:units], "occasion" => JSON.parse(row[:document]),
          "wreaths" => @database[:wreaths].where(occasion_id: row[:id]).order(:id).select_map(:id))
      end
    end
  end
end
