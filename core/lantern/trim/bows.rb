# frozen_string_literal: true

module Lantern
  module Trim
    # The kinds of bow, each knowing what it is cut from and how it lies.
    module Bows
      ALL = Registry.new("kind of bow")

      class << self
        # @return [Hash{Symbol=>Class}]
        def kinds = ALL.to_h

        # @raise [Registry::Taken]
        def know(kind) = ALL.know(kind.kind_name, kind)
      end

      # So many pieces of ribbon of one length: what they are counted as, and which of several (`of`, as in
      # " of 6 in"). Inches.
      Part = Value.define(:unit, :length, :count, :of) do
        def initialize(of: nil, **rest) = super
      end

      # What kinds share. A kind says what it is, what is usual, and answers a few questions.
      #
      # @abstract a subclass answers `parts`, `loops`, `tails` and `says`
      class Kind
        # Opened, a loop reaches so much of its length laid flat (from memory).
        OPENED = 0.85

        class << self
          attr_reader :kind_name, :title, :usual, :wired, :two_sided

          # @param usual [Hash] what its options come to when nothing is said
          # @param wired [Boolean] whether only wired ribbon holds it
          # @param two_sided [Boolean] whether the ribbon's back shows
          def kind(name, title:, usual: {}, wired: false, two_sided: false)
            @kind_name, @title, @usual, @wired, @two_sided = name, title, usual, wired, two_sided
            Bows.know(self)
          end
        end

        # @param bow [Bow] whose options it is made by
        def initialize(bow)
          @bow = bow
        end

        # @return [Array<Part>] what is cut of each ribbon
        # @abstract
        def parts = raise(NotImplementedError, self.class.name)

        # The sum of the first part, in words and the maker's numbers.
        # @return [Array<(String, String, Numeric)>]
        def working = []

        # @return [Array<(Float, Float)>] each loop's direction (radians, nought to the right, a quarter down) and
        #   length
        def loops = side_by_side(bow.loops, bow.loop_size.to_f * OPENED)

        # @return [Array<(Float, Float)>] each tail's direction and length
        def tails = bow.tail.zero? ? [] : [[down - 0.35, bow.tail.to_f], [down + 0.35, bow.tail.to_f]]

        # Its measures in the order in which they are made, for the bench.
        # @return [String]
        def told
          tail = "tail #{bow.measured(bow.tail)}" unless bow.tail.zero?
          [tail, "#{bow.loops} #{(bow.loops == 1) ? "loop" : "loops"} of #{bow.measured(bow.loop_size)} laid flat",
            ("a loop of #{bow.measured(bow.centre_loop)} at the centre" if bow.centre_loop), tail].compact.join(", ")
        end

        # How the hands go, for the bench.
        # @return [String]
        # @abstract
        def says = raise(NotImplementedError, self.class.name)

        # Which picture of the hand's move belongs to it.
        # @return [Symbol]
        def move = :pinch_and_twist

        # Whether making it ties it round the band, so that nothing is left to fix.
        def round_band? = false

        # How wide it is, tied.
        def width = 2 * (loops.map(&:last).max || bow.tail.to_f)

        private

        attr_reader :bow

        # Tails that are a strip of their own.
        def tails_told
          bow.tail.zero? ? "" : "; a strip of #{bow.measured(2 * bow.tail)} folded in the middle for tails"
        end

        def down = Math::PI / 2

        # Half of the loops on each side, fanned a little.
        def side_by_side(count, size)
          right, left = (count / 2.0).ceil, count / 2
          fan(right, 0.0, size) + fan(left, Math::PI, size)
        end

        def fan(count, middle, size)
          (0...count).map { |i| [middle + ((count == 1) ? 0.0 : (i.fdiv(count - 1) - 0.5) * 1.3), size] }
        end

        # One ribbon in one piece: tails, loops, pinches and what the centre takes.
        # Source: 2 x tail + the sum of 2 x loop + pinches x twist + centre (common practice).
        def whole(centre: 2 * (bow.centre_loop || 0))
          2 * bow.tail + 2 * bow.loops * bow.loop_size + (bow.loops + 1) * bow.twist + centre
        end

        def whole_working(centre: 2 * (bow.centre_loop || 0), centre_says: "The loop in the centre")
          [["Both tails", "2 × #{bow.number(bow.tail)}", 2 * bow.tail],
            ["The loops, laid flat", "#{bow.loops} × 2 × #{bow.number(bow.loop_size)}", 2 * bow.loops * bow.loop_size],
            *(bow.twist.zero? ? [] :
              [["Twists", "#{bow.loops + 1} × #{bow.number(bow.twist)}", (bow.loops + 1) * bow.twist]]),
            *(centre.zero? ? [] : [[centre_says, "", centre]])]
        end
      end
    end
  end
end
