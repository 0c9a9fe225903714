# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      # How a piece is made of its parts: what is usual, and how the hands go.
      #
      # @abstract a subclass answers `hands`
      class Making
        class << self
          # What such a piece is called, and which sort of the hand's moves makes it.
          attr_reader :word, :title, :called, :usual, :move, :look, :tied, :fixed, :pinched, :stems
          # What is usual of a bow that is made so, by the names of {Bow}'s options; nil where no bow is. Whether only
          # wired ribbon holds it, and whether the ribbon's back shows in it.
          attr_reader :bow, :wired, :two_sided

          # @param called [String] what such a piece is called: "bow"
          # @param usual [Array<Hash>] its parts, when none are said
          # @param move [Symbol] one of {Place::Move}
          # @param look [String, nil] what to look at when it is made, where it is not what its move says
          # @param tied [Symbol] what ties it when nothing is said: `:stem` (half of one), `:own`, `:glue` or `:none`
          # @param fixed [Array<Hash>] what it is fixed on with when nothing is said: half a stem, for a bow
          # @param pinched [Boolean] whether its middle is seen as a pinch
          # @param stems [Boolean] whether what is bought lies with its stems overlapped
          # @param bow [Hash{Symbol=>Numeric}, nil] the usual measures of a bow that is made so
          # @param wired [Boolean] whether only wired ribbon holds such a bow
          # @param two_sided [Boolean] whether the ribbon's back shows in it
          def making(word, title:, called: "bow", usual: [{as: :ribbon}], move: :pinch_and_twist, tied: :stem,
            fixed: [{with: :stem, count: 1 / 2r}], pinched: true, stems: false, look: nil,
            bow: nil, wired: false, two_sided: false)
            @word, @title, @called, @usual, @move, @tied = word, title, called, usual, move, tied
            @fixed, @pinched, @stems, @look = fixed, pinched, stems, look
            @bow, @wired, @two_sided = bow, wired, two_sided
            MAKINGS.know(word, self)
          end

          # @param materials [Integer] of how many it is made
          # @return [Array<Hash>] its parts when none are said: of each material at least one
          def usual_of(materials) = Array.new([usual.size, materials].max) { usual[_1 % usual.size] }

          # The parts of each ribbon of a bow that is said by its tails and loops, as a plan would say them.
          # @param bow [Bow]
          # @return [Array<Hash>]
          def parts_of(bow)
            kinds = usual.map { PARTS.fetch(_1[:as]) }.uniq - [Parts::Tail]
            # Where its loops have no tails, they are a strip of their own.
            kinds << Parts::Tail unless bow.tail.zero? || kinds.any? { _1.has?(:tail) }
            kinds.map { _1.of_bow(bow) }
          end
        end

        # @param piece [Piece, Bow]
        def initialize(piece)
          @piece = piece
        end

        # The movements in order, a sentence each, after every part was told.
        # @return [Array<String>]
        # @abstract
        def hands = raise(NotImplementedError, self.class.name)

        # What a ribbon takes besides its own measures.
        # @param ribbon [Plan::Material, nil]
        # @return [Array<Part::More>]
        def more_of(_ribbon) = []

        # How much of a ribbon goes round the middle, where a band does that nobody asks for.
        # @return [Part::More, nil]
        def middle_band(_ribbon) = nil

        # How a part lies in what is made so: as {Part#lies} has it.
        def lies(part, turn) = self.class.stems ? part.overlapped(turn) : part.lies(turn)

        # Whether its ribbon is pinched between its loops.
        def gathered? = true

        # How wide it is, tied.
        # @param loops [Array<(Float, Float)>] their directions and lengths
        # @param tails [Array<(Float, Float)>]
        # @return [Float] inches
        def wide(loops, _tails) = 2 * loops.map(&:last).max

        # Whether making it ties it round the band, so that nothing is left to fix.
        def round_band? = false

        def crosswise? = false

        def made? = true

        # Minutes for one (from memory).
        def minutes = 3.0 + parts.sum { _1.count * 0.5 } + parts.sum { (_1.loops || 0) * 0.25 }

        private

        def parts = @piece.parts

        def text(inches) = @piece.measured(inches)

        def bare(inches) = @piece.measured(inches, unit: false)

        def width_of(ribbon) = ribbon.width || ribbon.diameter || CLOTH

        def of(part) = part.material&.name || part.class.title.downcase

        # In the order in which they lie.
        def layers
          return [] if parts.size < 2
          first, *others = parts.map { _1.is_a?(Parts::Loop) ? "the loop in the centre" : of(_1) }.uniq
          return [] if others.empty?
          ["Lay them on one another: #{first} undermost, then #{Measure::Words.list(others, last: "and")}."]
        end
      end
    end
  end
end
