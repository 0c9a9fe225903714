# frozen_string_literal: true

module Lantern
  module Bench
    # One step at the bench. `count` things of `unit` are counted off, where there is something to count;
    # `pattern` is how the count goes in rounds, as in `[["over", 4], ["under", 2]]`, and `rounds` what a round
    # is called. `move` names the hand's move, `look` what to look at before going on, `layer` what it is a
    # step of, and `changes` after how many the next length begins.
    Step = Value.define(:id, :title, :says, :count, :unit, :minutes, :move, :look, :pattern, :rounds, :layer, :changes) do
      def initialize(id:, title:, says:, count: nil, unit: nil, minutes: 1, move: nil, look: nil, pattern: nil, rounds: nil, layer: nil, changes: nil) = super

      # @return [Hash] ready for JSON
      def to_h
        known = Moves.of(move)
        {"id" => id, "title" => title, "says" => says, "count" => count, "unit" => unit, "minutes" => minutes.round(1), "move" => move&.to_s, "move_says" => known&.says,
         "look" => look || known&.look, "cautions" => (known&.cautions || []).map { Cautions.says(_1) }, "pattern" => pattern&.map { |says, number| {"says" => says, "count" => number} },
         "rounds" => rounds, "layer" => layer, "changes" => changes}.compact
      end
    end
  end
end
