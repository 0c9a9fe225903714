# frozen_string_literal: true

require_relative "shelf"

module Server
  class Store
    # Occasions: a day, what it may cost, when there is time; and the wreaths that hang on it.
    class Occasions < Shelf
      # What a maker says of an occasion; its plans are its wreaths'.
      OWN = %w[day budget evenings hours drying delivery sureness money].freeze

      def initialize(database, wreaths, materials, ledger)
        super(database)
        @wreaths, @materials, @ledger = wreaths, materials, ledger
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
        plans = @wreaths.on_occasion(id, row[:cut_action]).map { |wreath| wreath["plan"] }
        {"format" => Lantern::Ask::Occasion::Document::FORMAT, "version" => 1, "name" => row[:name],
         "units" => row[:units],
         **JSON.parse(row[:document]), **today_on(row, today), **sale, "plans" => plans}
      end

      # Takes what the one cut sheet of all its wreaths says out of the stash, remnants back in.
      # @param document [Proc] answers the occasion's document as it is then
      # @param sheet [Array] the cut sheet that was cut by
      # @raise [Missing, Settled, Ledger::TooLittle, Lantern::Plan::Refused]
      def cut(id, sheet, document)
        @database.transaction do
          row = rows.for_update.first(id:) || raise(Missing)
          raise Settled if row[:cut_action]
          ids = @materials.locked_ids(@materials.by_slug.keys)
          occasion = document.call
          raise Ledger::TooLittle unless Lantern::Ask::Occasion.work(occasion)["cut_sheet"] == sheet
          entries = @materials.entries_of(Lantern::Ask::Occasion.moves(occasion), ids)
          if entries.empty?
            raise Lantern::Plan::Refused.at("cut_sheet", "There is nothing to cut for this occasion yet.")
          end
          action = @ledger.write("cut", entries, wreath: {id: nil, name: row[:name]})
          @wreaths.cut_together(id, action)
          rows.where(id:).update(cut_action: action)
        end
        find(id)
      end

      # Puts back what was taken for all of them.
      # @raise [Missing, Settled, Ledger::TooLittle]
      def uncut(id)
        @database.transaction do
          row = rows.for_update.first(id:) || raise(Missing)
          raise Settled unless row[:cut_action]
          @ledger.undo(row[:cut_action])
          @wreaths.uncut_together(row[:cut_action])
          rows.where(id:).update(cut_action: nil)
        end
        find(id)
      end

      # Notes that a cut is made, or that it is not.
      # @raise [Missing]
      def tick(id, place, done)
        row(id)
        ticks = @database[:occasion_ticks]
        done ? ticks.insert_ignore.insert(occasion_id: id, place:) : ticks.where(occasion_id: id, place:).delete
        find(id)
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
        Lantern::Ask::Occasion.work({"format" => Lantern::Ask::Occasion::Document::FORMAT, "version" => 1,
                                     "units" => units, "plans" => []}.merge(document))
        {name: name.strip[0, 200], units:, document: JSON.generate(own)}
      end

      def show(row)
        stamps(row).merge("name" => row[:name], "units" => row[:units], "occasion" => JSON.parse(row[:document]),
          "wreaths" => @database[:wreaths].where(occasion_id: row[:id]).order(:id).select_map(:id),
          "cut" => !row[:cut_action].nil?, "already_cut" => @database[:wreaths].where(occasion_id: row[:id])
            .exclude(cut_action: nil).exclude(cut_action: row[:cut_action]).count,
          "ticks" => @database[:occasion_ticks].where(occasion_id: row[:id]).select_map(:place))
      end
    end
  end
end
