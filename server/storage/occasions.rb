# frozen_string_literal: true

require_relative "shelf"

module Server
  class Store
    # Occasions: a day, what it may cost, when there is time; and the wreaths that hang on it.
    class Occasions < Shelf
      # What a maker says of an occasion; its plans are its wreaths'.
      OWN = %w[day budget evenings hours drying delivery sureness money].freeze

      include Binned

      def initialize(database, wreaths, materials, forms, ledger, answers)
        super(database)
        @wreaths, @materials, @forms, @ledger, @answers = wreaths, materials, forms, ledger, answers
      end

      def all = rows.order(:id).map { |row|
        listed(row, name: row[:name], units: row[:units], occasion: {}, wreaths: [], planned: [],
          cut: !row[:cut_action].nil?,
          already_cut: 0, ticks: []) { show(row) }
      }

      # @raise [Problem]
      def add(name, units, document)
        values = values(name, units, document)
        @database.atomically { insert(values) }
      end

      # @raise [Missing, Outdated, Problem]
      def change(id, version, name, units, document)
        values = values(name, units, document)
        @database.atomically { update(id, version, values) }
      end

      # @return [Time]
      def changed_at(id) = row(id)[:updated_at]

      # Which wreaths hang on it; one that hung on another leaves that.
      # @raise [Missing]
      def gather(id, wreath_ids)
        @database.atomically do
          locked(id)
          there = @database[:wreaths].where(Sequel.|({occasion_id: id}, {id: wreath_ids})).order(:id).for_update
            .select_map(:id)
          @database[:wreaths].where(id: there - wreath_ids, occasion_id: id).update(occasion_id: nil)
          @database[:wreaths].where(id: there & wreath_ids, deleted_at: nil).update(occasion_id: id)
        end
        find(id)
      end

      # One wreath more, or one less; the others stay as whoever changed them last has them.
      # @param hangs [Boolean]
      # @raise [Missing]
      def hang(id, wreath_id, hangs)
        @database.atomically do
          locked(id)
          wreath = @database[:wreaths].where(id: wreath_id)
          hangs ? wreath.where(deleted_at: nil).update(occasion_id: id) :
            wreath.where(occasion_id: id).update(occasion_id: nil)
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
      # @raise [Missing, Settled, Ledger::TooLittle, Problem]
      def cut(id, sheet, document)
        # Worked out before anything is locked; what has changed in the meantime is seen under the lock.
        raise Settled if row(id)[:cut_action]
        before = document.call
        worked, moves, rests = @answers.call(:occasion_cutting, before)
        raise Ledger::TooLittle unless worked == sheet
        @database.atomically do
          row = locked(id)
          raise Settled if row[:cut_action]
          @database[:wreaths].where(occasion_id: id).order(:id).for_update.select_map(:id)
          ids = @materials.locked_ids(moves.map(&:material).uniq)
          raise Ledger::TooLittle unless document.call == before
          entries = @materials.entries_of(moves, ids)
          if entries.empty?
            raise Problem.at("cut_sheet", "There is nothing to cut for this occasion yet.")
          end
          action = @ledger.write("cut", entries, wreath: {id: nil, name: row[:name]})
          @forms.keep(rests, action)
          @wreaths.cut_together(id, action)
          rows.where(id:).update(cut_action: action)
        end
        find(id)
      end

      # The occasion that an action of the ledger cut.
      # @return [Integer, nil]
      def cut_by(action) = rows.where(cut_action: action).get(:id)

      # Puts back what was taken for all of them.
      # @raise [Missing, Settled, Ledger::TooLittle]
      def uncut(id)
        @database.atomically do
          row = locked(id)
          raise Settled unless row[:cut_action]
          @database[:wreaths].where(cut_action: row[:cut_action]).order(:id).for_update.select_map(:id)
          @ledger.undo_cut(row[:cut_action])
          @forms.give_back(row[:cut_action])
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

      # Its wreaths are free for another; those that still are come back with it.
      def leaving(row)
        there = @database[:wreaths].where(occasion_id: row[:id]).order(:id).for_update.select_map(:id)
        @database[:wreaths].where(id: there).update(occasion_id: nil)
        {deleted_wreaths: JSON.generate(there)}
      end

      def returning(row)
        there = JSON.parse(row[:deleted_wreaths] || "[]")
        @database[:wreaths].where(id: there, occasion_id: nil, deleted_at: nil).update(occasion_id: row[:id])
        {deleted_wreaths: nil,
         cut_action: (row[:cut_action] unless row[:cut_action] && @ledger.undone?(row[:cut_action]))}
      end

      def locked(id) = rows.where(id:).for_update.first || raise(Missing)

      # An occasion that is over is looked at as it was on its day.
      def today_on(row, today)
        day = JSON.parse(row[:document])["day"]
        {"today" => (day && Date.iso8601(day) < today) ? day : today.iso8601}
      end

      def values(name, units, document)
        own = document.slice(*OWN)
        @answers.call(:occasion, {"format" => Lantern::Ask::Occasion::Document::FORMAT, "version" => 1,
                                  "units" => units, "plans" => []}.merge(document))
        {name: name.strip[0, 200], units:, document: JSON.generate(own)}
      end

      def show(row)
        wreaths = @database[:wreaths].where(occasion_id: row[:id], deleted_at: nil)
        stamps(row).merge("name" => row[:name], "units" => row[:units], "occasion" => JSON.parse(row[:document]),
          "wreaths" => wreaths.order(:id).select_map(:id),
          "planned" => wreaths.where(cut_action: row[:cut_action]).order(:id).select_map(:id),
          "cut" => !row[:cut_action].nil?,
          "already_cut" => wreaths.exclude(cut_action: nil).exclude(cut_action: row[:cut_action]).count,
          "ticks" => @database[:occasion_ticks].where(occasion_id: row[:id]).select_map(:place))
      end
    end
  end
end
