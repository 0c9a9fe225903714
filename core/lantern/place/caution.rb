# frozen_string_literal: true

module Lantern
  module Place
    # What can hurt somebody, said wherever it applies (common practice). None of it replaces local rules or a
    # licensed person. `bases` are the bases of forms it is about; all, when nothing is said.
    Caution = Value.define(:key, :says, :bases, :tools)

    class Caution
      ALL = Registry.new("caution")

      class << self
        # @return [Caution]
        # @param tools [Array<String>] what the work that it is about takes
        def know(key, says, bases: nil, tools: []) = ALL.know(key, new(key:, says:, bases:, tools:))

        # @raise [Registry::Unknown]
        def fetch(key) = ALL.fetch(key)
      end

      # Whether it is about a form of this base.
      def on?(base) = bases.nil? || bases.include?(base)

      def to_h = {"code" => key.to_s, "says" => says}

      know :hot_glue, "Glue is hot. Finger guards on, the gun back in its stand between tacks, never the work on " \
        "the table’s own cloth.", tools: ["glue gun", "finger guards"]
      know :foam_glue, "High-temperature glue melts foam: use the low setting.", bases: %i[foam]
      know :weave_glue, "Glue seeps through open weave onto fingers: low setting, and press with a stick."
      know :wire_ends, "Cut wire flies and scratches: glasses on, ends filed or taped."
      know :blade, "Cut foam with the blade going away from your hand.", bases: %i[foam],
        tools: ["craft knife"]
      know :singe, "Singeing: synthetic fibre melts and drips, natural fibre flames. Away from glue, paper and dry " \
        "moss, window open, water at hand.", tools: ["lighter"]
      know :hanging, "Keep the finished wreath away from candles, heaters and hot lamps, its cords and small parts " \
        "out of a child’s reach, and its hanger fit for its weight and the wind on the door."
      know :public, "In shops, halls, schools and other public rooms decorations may have to be flame-retardant: " \
        "ask the venue or the local fire authority."
    end
  end
end
