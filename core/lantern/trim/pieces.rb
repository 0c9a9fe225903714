# frozen_string_literal: true

module Lantern
  module Trim
    # What pieces are made of and how: parts, makings and what they are fixed with, each a small class or value known by
    # the word that plans have for it.
    module Pieces
      PARTS = Registry.new("part of a piece")
      MAKINGS = Registry.new("making")
    end
  end
end
