# frozen_string_literal: true

module Lantern
  module Place
    # One step at the bench. `count` things of `unit` are counted off, where there is something to count;
    # `pattern` is how the count goes in rounds, as in `[["over", 4], ["under", 2]]`, and `rounds` what a round
    # is called. `move` is the hand's move, `look` what to look at before going on, `layer` what it is a step
    # of, `after` what a step of the maker's own comes after, `lays` which lies of that layer are there when it is
    # done, and `changes` after how many the next length begins. `sequence` is which material comes next where they
    # change from one to the next, as in `[["Indigo tape", 2], ["Marigold tape", 1]]`, and `takes` what it takes up.
    # `because` is why it comes after the step before it, or, once they have an order, after which steps and why.
    # `waits` are minutes in which it dries and the hands are free, `meanwhile` the ids of later steps that can be done
    # in them: those that are made up `on_table`, not on the form. `moves` are all moves of the hand that it takes, in
    # their order, `of` the ids of the materials that their frames are painted with, `shows` the measures on those.
    Step = Value.define(:id, :title, :says, :count, :unit, :minutes, :move, :look, :pattern, :rounds, :layer, :lays,
      :changes, :cautions, :after, :sequence, :takes, :because,
      :waits, :on_table, :meanwhile, :moves, :of, :shows)

    class Step
      # @param unit [Symbol, nil] one of {Unit}; what it counts is what it lays, unless `lays` says otherwise
      # @param move [Symbol] one of {Move}
      # @param careful [Array<Symbol>, nil] keys of {Caution}: what this step really holds, where it is not what its
      #   move usually holds
      # @raise [Registry::Unknown]
      def initialize(id:, title:, says:, move:, minutes: 1, unit: nil, lays: nil, careful: nil, **rest)
        unit &&= Unit.fetch(unit) unless unit.is_a?(Unit)
        move = Move.fetch(move) unless move.is_a?(Move)
        cautions = careful ? careful.map { Caution.fetch(_1) } : move.cautions
        given = self.class.members.to_h { [_1, nil] }.merge(cautions:)
        super(**given, moves: [move], **rest, id:, title:, says:, minutes:, unit:, move:, lays: lays || unit&.key)
      end

      # @return [Hash] ready for JSON
      def to_h
        {
          "id" => id, "title" => title, "says" => says, "count" => count, "unit" => unit&.many,
          "unit_one" => unit&.one, "minutes" => minutes.round(1), "move" => move.key.to_s, "move_says" => move.says,
          "look" => look || move.look, "cautions" => cautions.map(&:says),
          "pattern" => pattern&.map { |says, number| {"says" => says, "count" => number} },
          "sequence" => sequence&.map { |name, number| {"says" => name, "count" => number} },
          "takes" => takes&.any? ? takes.map(&:to_h) : nil, "rounds" => rounds, "layer" => layer,
          "lays" => lays&.to_s, "changes" => changes, "because" => because, "waits" => waits,
          "meanwhile" => meanwhile, "moves" => (moves.map { _1.key.to_s } if moves.size > 1),
          "of" => of&.any? ? of : nil, "shows" => shows&.any? ? shows : nil
        }.compact
      end
    end
  end
end
