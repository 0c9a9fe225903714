# frozen_string_literal: true

module Lantern
  module Cut
    # How few lengths of one kind can hold a set of pieces, without cutting any: what no plan can go
    # below, found without a linear program.
    # Source: dual feasible functions, Fekete and Schepers, "New classes of fast lower bounds for bin
    # packing problems" (2001); Martello and Toth (1990).
    module Bounds
      # Beyond this many shares of a length the functions hardly differ.
      FINEST = 12

      module_function

      # @param items [Array<Integer>] lengths, the longest first
      # @param counts [Array<Integer>]
      # @param room [Integer] the length they are cut from
      # @return [Integer]
      def fewest(items, counts, room)
        shares = items.zip(counts)
        best = (shares.sum { |item, count| item * count } + room - 1) / room
        (1..FINEST).each { |k| best = [best, rounded(shares, room, k)].max }
        items.each { |item| best = [best, without_short(shares, room, item)].max if item * 2 <= room }
        best
      end

      # Every piece counts as the share of a length that it spoils when it is measured in (k + 1)ths.
      def rounded(shares, room, k)
        # In parts of a length, room times k to the whole, so that all numbers are whole.
        total = shares.sum do |item, count|
          parts, over = (item * (k + 1)).divmod(room)
          (over.zero? ? item * k : parts * room) * count
        end
        (total + room * k - 1) / (room * k)
      end

      # Pieces so long that nothing as long as `least` fits beside them take a whole length; those that
      # are shorter count for nothing.
      def without_short(shares, room, least)
        total = shares.sum do |item, count|
          next 0 if item < least
          ((item > room - least) ? room : item) * count
        end
        (total + room - 1) / room
      end

      private_class_method :rounded, :without_short
    end
  end
end
