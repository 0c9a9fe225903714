# frozen_string_literal: true

require_relative "../http/problem"

module Server
  # What came into the stash and what went out of it, entry by entry. What is on hand is the sum of
  # all entries; it is kept beside them as lots, so that the database refuses less than nothing.
  #
  # A lot is so many pieces of one size of one material; of what is counted, not cut, the size is
  # nought. Sizes are whole nanometres.
  class Ledger
    PER_INCH = 25_400_000
    # A length written in the other units comes back this much off, in nanometres.
    SLACK = 5_000

    # What tells one lot of a material from another.
    SIDES = %i[length width end_width].freeze

    KINDS = %w[bought returned corrected thrown_away].freeze

    NO_SIDES = SIDES.to_h { [_1, 0] }.freeze
    private_constant :NO_SIDES

    # One lot on hand, or so much of it changed.
    Lot = Struct.new(:material_id, *SIDES, :count, keyword_init: true) do
      # @param sizes [Hash] inches, by their sides
      def self.of(material_id, sizes, count = 1)
        new(material_id:, count:, **SIDES.to_h { |side| [side, ((sizes[side] || 0) * PER_INCH).round] })
      end

      def size = to_h.slice(*SIDES).values

      # @return [Hash{Symbol=>Integer}]
      def sides = to_h.slice(*SIDES)
    end

    TooLittle = Problem.of(409, "The stash has changed: there is not as much on hand as this takes. Nothing was " \
      "taken; look at it again.", at: "on_hand")

    Undone = Problem.of(409, "This was taken back already.")

    def initialize(database)
      @database = database
      @keepable = ->(_) {}
    end

    # Who says whether what is on hand after a change can be kept; what it raises takes the change back.
    # @yieldparam material_ids [Array<Integer>]
    def checked_by(&block) = @keepable = block

    # @return [Hash{Integer=>Array<Lot>}] what is on hand, by material
    def stock(material_ids = nil)
      lots = @database[:lots].where { count > 0 }
      lots = lots.where(material_id: material_ids) if material_ids
      lots.order(:material_id, :id).select(:material_id, *SIDES, :count).map { Lot.new(**_1) }.group_by(&:material_id)
    end

    # Counts every lot anew from its entries.
    def count_anew
      @database.atomically do
        @database[:lots].delete
        summed = @database[:entries].group(:material_id, *SIDES).order(Sequel.function(:min, :id))
          .select(:material_id, *SIDES, Sequel.function(:sum, :change))
        @database[:lots].insert([:material_id, *SIDES, :count], summed)
      end
    end

    # Writes one action, all of its entries or none.
    #
    # @param kind [String]
    # @param entries [Array<Hash>] `material_id`, `kind`, the sides and `change`
    # @param settles [Integer, nil] the cut that it belongs to, of which it settles so many wreaths' `share`
    # @return [Integer] the action's number
    # @raise [TooLittle]
    def write(kind, entries, wreath: nil, undoes: nil, settles: nil, share: 0)
      @database.atomically do
        ids = entries.map { _1[:material_id] }.uniq
        lock(ids)
        action = @database[:actions].insert(kind:, undoes:, wreath_id: wreath&.fetch(:id),
          wreath_name: wreath&.fetch(:name), settles:, share:)
        @database[:entries].multi_insert(entries.map { {**NO_SIDES, **_1, action_id: action} })
        change_lots(entries)
        @keepable.call(ids)
        action
      end
    rescue Sequel::UniqueConstraintViolation => error
      raise unless error.message.include?("undoes")
      raise Undone
    rescue Sequel::CheckConstraintViolation
      raise TooLittle
    end

    # Takes an action back, by entries that are its opposite.
    # @raise [TooLittle, Undone]
    def undo(action)
      @database.atomically do
        raise Undone if @database[:actions].where(id: action).for_update.empty? || undone?(action)
        entries = @database[:entries].where(action_id: action).select(:material_id, *SIDES, :change).all
        write("undone", entries.map { _1.merge(kind: "undone", change: -_1[:change]) }, undoes: action)
      end
    end

    def undone?(action) = @database[:actions].where(undoes: action).any?

    # Takes a cut back, and with it whatever its finishes changed: what is on hand is as if it had never been.
    # @raise [TooLittle, Undone]
    def undo_cut(action)
      @database.atomically do
        settlements(action).order(:id).reverse.select_map(:id).each { undo(_1) }
        undo(action) unless undone?(action)
      end
    end

    # How many wreaths of a cut are finished, each of those that were cut together by itself.
    # @return [Integer]
    def settled(cut, wreath_id) = settlements(cut).where(wreath_id:).sum(:share).to_i

    # Makes what is on hand what it is said to be.
    # @param said [Array<Lot>]
    # @return [Integer, nil] the action's number, when anything changed
    def correct(material_id, said)
      @database.atomically do
        lock([material_id])
        now = stock([material_id]).fetch(material_id, [])
        wanted = said.map { |lot| [nearest(now, lot)&.size || lot.size, lot.count] }.group_by(&:first)
          .transform_values { |same| same.sum(&:last) }
        have = now.to_h { [_1.size, _1.count] }
        entries = (wanted.keys | have.keys).filter_map do |size|
          change = wanted.fetch(size, 0) - have.fetch(size, 0)
          {material_id:, kind: "corrected", change:, **SIDES.zip(size).to_h} unless change.zero?
        end
        write("corrected", entries) if entries.any?
      end
    end

    # The size of a lot as it is on hand, when one is that is as good as the same.
    # @return [Hash{Symbol=>Integer}]
    def sides_on_hand(lot) = (nearest(stock([lot.material_id]).fetch(lot.material_id, []), lot) || lot).sides

    # @return [Array<Hash>] the entries of a material, the latest first
    def entries(material_id, most: 200)
      undone = @database[:actions].exclude(undoes: nil).select(:undoes)
      @database[:entries].join(:actions, id: :action_id).where(material_id:).reverse(Sequel[:entries][:id]).limit(most)
        .select(Sequel[:entries][:id], :action_id, Sequel[:entries][:kind], *SIDES, :change, :wreath_id, :wreath_name,
          :at,
          Sequel[{action_id: undone}].as(:undone), Sequel[:actions][:kind].as(:action_kind)).all
    end

    # Keeps others from changing these materials' lots until the transaction ends.
    def lock(material_ids) = @database[:materials].where(id: material_ids.uniq).order(:id).for_update.select_map(:id)

    private

    # What belongs to a cut and was not taken back. Finishes of before cuts were named belong to the cut before them.
    def settlements(cut)
      wreaths = @database[:wreaths].where(cut_action: cut).select(:id)
      unnamed = Sequel.&({kind: "corrected", settles: nil, wreath_id: wreaths}, Sequel[:id] > cut)
      undone = @database[:actions].exclude(undoes: nil).select(:undoes)
      @database[:actions].where(Sequel.|({settles: cut}, unnamed)).exclude(id: undone)
    end

    def nearest(lots, wanted) = lots.find { |lot| lot.size.zip(wanted.size).all? { |a, b| (a - b).abs <= SLACK } }

    # All that comes and goes of a lot at once, so that it may be taken from in the change that brings it.
    # @raise [TooLittle]
    def change_lots(entries)
      sums = entries.group_by { {**NO_SIDES, **_1.slice(:material_id, *SIDES)} }
        .transform_values { |same| same.sum { _1[:change] } }
      sums.each do |lot, change|
        if change.negative?
          raise TooLittle if @database[:lots].where(lot).update(count: Sequel[:count] + change).zero?
        elsif change.positive? && @database[:lots].where(lot).update(count: Sequel[:count] + change).zero?
          # Never over another lot that happens to have the same number.
          @database[:lots].insert(**lot, count: change)
        end
      end
    end
  end
end
