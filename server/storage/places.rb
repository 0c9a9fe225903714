# frozen_string_literal: true

require_relative "photo"
require_relative "shelf"

module Server
  class Store
    # The doors that wreaths are looked at on, each with what its photo showed when it was kept.
    class Places < Shelf
      # @param pictures [Pictures]
      # @param answers [TaskRunner]
      def initialize(database, pictures, answers)
        super(database)
        @pictures, @answers = pictures, answers
      end

      def all = rows.order(:name, :id).map { |row| listed(row, name: row[:name], place: {}) { show(row) } }

      # @raise [Problem] when nothing tells how large anything on it is
      def add(name, document)
        values = values(name, document)
        @database.atomically { insert(values) }
      end

      # Keeps a place whose photo was looked at before.
      def put(name, document) = @database.atomically { insert(name:, document: JSON.generate(document)) }

      # @raise [Missing, Outdated, Problem]
      def change(id, version, name, document)
        values = values(name, document)
        @database.atomically { update(id, version, values) }
      end

      # What a door is that nobody has said anything of: as wide as front doors are (from memory), and grey.
      ANY = {"units" => "in", "wide" => 36, "paint" => "#8c8c86"}.freeze

      # Which door a wreath is for, and where on its picture it hangs, if anybody said so.
      # @param wreath [Integer]
      # @return [Hash] `place` and `at`
      def of(wreath)
        row = hangings.first(wreath_id: wreath)
        {"place" => row && row[:place_id], "at" => (row.values_at(:x, :y) if row && row[:x])}
      end

      # Hangs a wreath.
      # @param place [Integer]
      # @param at [(Numeric, Numeric), nil] a pixel of the place's picture
      # @raise [Missing]
      def hang(wreath, place, at)
        x, y = at&.map(&:round)
        @database.atomically do
          row(place)
          # One after the other, so that what was said last holds.
          @database[:wreaths].where(id: wreath, deleted_at: nil).for_update.get(:id) || raise(Missing)
          hangings.where(wreath_id: wreath).delete
          hangings.insert(wreath_id: wreath, place_id: place, x:, y:)
        end
        of(wreath)
      end

      # Two wreaths change doors.
      # @raise [Missing]
      def swap(one, other)
        @database.atomically do
          there = @database[:wreaths].where(id: [one, other], deleted_at: nil).order(:id).for_update.select_map(:id)
          raise Missing unless there == [one, other].uniq.sort
          rows = hangings.where(wreath_id: [one, other]).all
          hangings.where(wreath_id: [one, other]).delete
          rows.each do |row|
            hangings.insert(**row.slice(:place_id, :x, :y), wreath_id: (row[:wreath_id] == one) ? other : one)
          end
        end
      end

      # The doors of some wreaths.
      # @param wreaths [Array<Hash>]
      # @return [Array<Hash>] each with its `wreath`, its `place` (nothing where nobody said which), its `document`, and
      #   where `at` it hangs
      def doors(wreaths)
        hung = hangings.where(wreath_id: wreaths.map { _1["id"] }).all.to_h { [_1[:wreath_id], _1] }
        places = rows.where(id: hung.values.map { _1[:place_id] }).all.to_h { [_1[:id], show(_1)] }
        wreaths.map do |wreath|
          row = hung[wreath["id"]]
          place = row && places[row[:place_id]]
          {wreath:, place:, document: place ? place["place"] : ANY, at: (row.values_at(:x, :y) if row && row[:x])}
        end
      end

      private

      def hangings = @database[:hangings]

      def table = :places

      # Its photo is looked at once: where the sheet's edges lie, how the lens bends, what colour the door has.
      def values(name, document)
        photo = document["photo"].is_a?(Hash) ? picture(document["photo"]["id"]) : nil
        document = document.merge("photo" => photo.slice(:id, :width, :height).transform_keys(&:to_s)) if photo
        looked = @answers.call(:look_at_place, document, photo&.fetch(:bytes))
        {name: name.strip[0, 120], document: JSON.generate(looked)}
      end

      def picture(id)
        @pictures.find(id)
      rescue Missing
        raise Problem.at("photo", "This photo is not here any more: choose it again.")
      end

      def show(row) = stamps(row).merge("name" => row[:name], "place" => JSON.parse(row[:document]))
    end
  end
end
