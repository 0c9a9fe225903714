# frozen_string_literal: true

module Lantern
  module Ask
    # Several wreaths made for one day: bought and cut together, and fitted into the evenings before it.
    module Occasion
      module_function

      # Works an occasion: its plans are read and covered one by one, and cut, costed and dated as one.
      #
      # @param document [Hash] an occasion document as JSON gives it
      # @return [Hash] ready for JSON
      # @raise [Plan::Refused] with every problem of the occasion and of all its plans
      def work(document)
        occasion = Document.read(document)
        Worked.new(occasion, Batch.new(occasion), Calendar.new(occasion)).to_h
      end

      # @param document [Hash] an occasion document
      # @return [Hash] ready for JSON
      # @raise [Plan::Refused]
      def answer(document) = work(document)

      # The cut sheet of all of it as one, and what cutting by it does to the stash.
      #
      # @return [(Array<Hash>, Array<Cut::Move>)]
      # @raise [Plan::Refused]
      def cutting(document)
        occasion = Document.read(document)
        batch = Batch.new(occasion)
        moves = batch.stock.reject { _1.demand.none? }.flat_map { Cut::Move.of(_1, occasion.smallest_remnant) } +
          occasion.works.flat_map(&:saved)
        [Worked.new(occasion, batch, Calendar.new(occasion)).to_h["cut_sheet"], moves]
      end
    end
  end
end
