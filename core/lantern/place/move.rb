# frozen_string_literal: true

module Lantern
  module Place
    # One of the hand's moves: what it is called, how the hands go in four to six small pictures ({Frame}), what to look
    # at before going on, and what can hurt. Each is declared in a file of its own, in {Moves}. `measures` are the keys
    # of those that its frames can show.
    #
    #   Move.fetch(:knot).frames.first.says   # => "The middle of the strip behind the bar, both ends towards you."
    Move = Value.define(:key, :says, :look, :cautions, :tools, :ties, :frames, :measures)

    class Move
      ALL = Registry.new("move of the hand")
      # Fewer do not show how it goes, more are not seen at a glance.
      FRAMES = (4..6)

      class << self
        # @param cautions [Array<Symbol>] keys of {Caution}
        # @param tools [Array<String>] what it takes besides what a caution asks for
        # @param ties [Boolean] whether it ties something on
        # @yield declares its frames, in the order of the hands: `frame "Pinch." do ... end`, as {Sketch} draws
        # @return [Move]
        # @raise [Registry::Unknown] for a caution that nobody declared
        # @raise [ArgumentError] for a move without its frames
        def know(key, says, look:, cautions: [], tools: [], ties: false, &shown)
          frames = shown ? Frames.new(&shown).all : []
          unless FRAMES.cover?(frames.size)
            raise ArgumentError, "The move “#{key}” has #{frames.size} frames, not #{FRAMES.min} to #{FRAMES.max}."
          end
          cautions = cautions.map { Caution.fetch(_1) }.freeze
          # Asked for at every step of every plan.
          measures = frames.flat_map(&:measures).uniq.freeze
          ALL.know(key, new(key:, says:, look:, cautions:, tools:, ties:, frames: frames.freeze, measures:))
        end

        # @raise [Registry::Unknown]
        def fetch(key) = ALL.fetch(key)
      end

      # What {know}'s block is read with.
      class Frames
        attr_reader :all

        def initialize(&shown)
          @all = []
          instance_eval(&shown)
        end

        # @param says [String] what the hands do, a sentence or two; `{tail|the tail}` is the step's own tail, or these
        #   words where it has none
        def frame(says, &drawn) = @all << Frame.new(says:, sketch: Sketch.new(&drawn))
      end
      private_constant :Frames

      # @return [Hash] for the API: what it is called
      def declare = {"key" => key.to_s, "says" => says}

      # @return [Hash] for the API: how it goes
      def to_h = declare.merge("look" => look, "frames" => frames.map(&:to_h))
    end
  end
end
