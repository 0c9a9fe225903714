# frozen_string_literal: true

module Lantern
  module Trim
    # What pieces are made of and how: parts, makings and what they are fixed with, each a small class or value known by
    # the word that plans have for it.
    module Pieces
      PARTS = Registry.new("part of a piece")
      MAKINGS = Registry.new("making")

      # Cut from cloth, a part is so wide, inches (from memory).
      CLOTH = 2r

      # The makings that are asked for as a bow, too: by its tails and loops, not part by part.
      # @return [Hash{Symbol=>Class}]
      def self.bows = MAKINGS.to_h.select { |_, making| making.bow }
    end
  end
end
