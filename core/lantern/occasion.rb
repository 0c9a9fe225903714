# frozen_string_literal: true

module Lantern
  # Several wreaths made for one day: bought and cut together, and fitted into the evenings before it.
  module Occasion
    class << self
      # Works an occasion: its plans are read and covered one by one, and cut, costed and dated as one.
      #
      # @param document [Hash] an occasion document as JSON gives it
      # @return [Hash] ready for JSON
      # @raise [Plan::Refused] with every problem of the occasion and of all its plans
      def work(document)
        occasion = Document.read(document)
        Worked.new(occasion, Batch.new(occasion), Calendar.new(occasion)).to_h
      end
    end
  end
end
