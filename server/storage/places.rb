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

      private

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
