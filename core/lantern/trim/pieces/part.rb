# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      # So many alike of what a piece is made of: each cut (or bought) from one material. A kind of part says which
      # measures it has, what it is cut to, how it is told and how it lies.
      #
      #   class Ring < Part
      #     part :ring, title: "Ring", unit: :rings, measures: {size: 4}
      #     def length = 2 * size + LAP
      #   end
      #
      # Lengths are inches.
      #
      # @abstract a subclass answers `length` and `told`
      class Part
        # Every measure that some part has, and how it is read.
        having = ->(name) { -> { {as: PARTS.to_h.select { |_, part| part.has?(name) }.keys} } }
        FIELDS = {
          tail: Plan::Field::Length.new(:tail, where: having.call(:tail), zero: true, most: 120, drawn: :tail,
            label: "Tail"),
          loops: Plan::Field::Count.new(:loops, where: having.call(:loops), most: 60,
            label: "Loops, both sides together"),
          loop_size: Plan::Field::Length.new(:loop_size, where: having.call(:loop_size), most: 48, drawn: :loop,
            label: "Loop, laid flat"),
          size: Plan::Field::Length.new(:size, where: having.call(:size), most: 120,
            drawn: %i[loop sprig ball board tag cut_out], label: "Size"),
          length: Plan::Field::Length.new(:length, where: having.call(:length), most: 240, drawn: %i[tail curl tube],
            label: "Length"),
          width: Plan::Field::Length.new(:width, where: having.call(:width), most: 120, label: "Width"),
          gap: Plan::Field::Length.new(:gap, where: having.call(:gap), zero: true, most: 24,
            label: "Gap in the middle"),
          across: Plan::Field::Length.new(:across, where: having.call(:across), most: 12, label: "Rolled to, across"),
          folds: Plan::Field::Count.new(:folds, where: having.call(:folds), most: 60, label: "Folds"),
          fold_size: Plan::Field::Length.new(:fold_size, where: having.call(:fold_size), most: 48, drawn: :loop,
            label: "Fold"),
          height: Plan::Field::Length.new(:height, where: having.call(:height), most: 120, drawn: :tail,
            label: "Height"),
          weight: Plan::Field::Weight.new(:weight, where: having.call(:weight), label: "Weighs"),
          words: Plan::Field::Text.new(:words, where: having.call(:words), most: 120, label: "Words on it"),
          woven: Plan::Field::Switch.new(:woven, where: having.call(:woven), label: "Woven through"),
          laid: Plan::Field::Switch.new(:laid, where: having.call(:laid), label: "Laid round")
        }.freeze
        # How ends are cut, and what is said of it.
        ENDS = {square: nil, slant: "its ends cut aslant", v: "a V cut in its ends", point: "its ends cut to a point"}
          .freeze
        # Opened, a loop reaches so much of its length laid flat (from memory).
        OPENED = 0.85
        DOWN = Math::PI / 2

        # What is cut with a part besides its own measures, as what its knot takes: inches, the sum of them in the
        # maker's own numbers, and how it is told at the bench, if it is.
        More = Value.define(:length, :sum, :told) do
          def initialize(told: nil, **rest) = super
        end

        class << self
          attr_reader :word, :title, :unit, :measures, :optional, :move

          # @param measures [Hash{Symbol=>Numeric}] the measures it has, and what is usual
          # @param optional [Array<Symbol>] those that it may do without
          # @param move [Symbol, nil] one of {Place::Move} by which it becomes such a part
          def part(word, title:, unit:, measures: {}, optional: [], move: nil)
            @word, @title, @unit, @measures, @optional, @move = word, title, unit, measures, optional, move
            PARTS.know(word, self)
          end

          def has?(name) = measures.key?(name) || optional.include?(name)

          # Whether a measure of that name is a length.
          def length?(name) = FIELDS[name].is_a?(Plan::Field::Length)

          # What a plan would say of such a part of a bow that is said by its tails and loops.
          # @param bow [Bow]
          # @return [Hash]
          # @abstract for those parts that bows have
          def of_bow(_bow) = raise(NotImplementedError, name)

          # @return [Plan::Field::Record] how a part is read, whatever it becomes
          def field
            Plan::Field::Record.new(:part, label: "A part", fields: [
              Plan::Field::Reference.new(:material, kinds: Piece::TAKES, label: "Material"),
              Plan::Field::Choice.new(:as, default: :ribbon, label: "Becomes",
                choices: -> { PARTS.to_h.transform_values(&:title) }),
              Plan::Field::Count.new(:count, default: 1, most: 200, label: "How many in one"),
              Plan::Field::Choice.new(:ends, label: "Its ends",
                choices: {square: "Square", slant: "Aslant", v: "With a V", point: "To a point"}),
              *FIELDS.values.map { |field| optional_field(field) }
            ])
          end

          private

          # A switch that was not said is not said.
          def optional_field(field) = field.is_a?(Plan::Field::Switch) ?
            Plan::Field::Switch.new(field.name, label: field.label, default: nil, where: field.where) : field
        end

        # @return [Plan::Material, nil]
        attr_reader :material
        # @return [Hash] what the plan says of it
        attr_reader :said
        # @return [Array<More>] what it takes besides
        attr_reader :more

        # @param said [Hash{Symbol=>Object}]
        # @param material [Plan::Material, nil]
        # @param text [#call] a length in the maker's units; `unit: false`, without them
        # @param mark [#call] a length up to the maker's mark
        # @param more [Array<More>] what it takes besides
        def initialize(said, material:, text:, mark:, more: [])
          @said, @material, @text, @mark, @more = said, material, text, mark, more
        end

        # @return [Integer] of them in one piece
        def count = said[:count] || 1

        # Its measures, as said or as is usual. `length` is what it is cut to, and nothing of what is counted.
        FIELDS.each_key { |name| define_method(name) { @said[name] || self.class.measures[name]&.to_r } }

        # @return [Array<Symbol>] measures that were said and that it has not
        def strange = FIELDS.keys.select { !@said[_1].nil? && !self.class.has?(_1) }

        # What a plan says of it when all its lengths are so many times as long, an eighth at least.
        # @param factor [Rational]
        # @return [Hash]
        def enlarged(factor)
          longer = lengths.to_h { |name|
            [name, (public_send(name) * factor * 8).floor.clamp(1, FIELDS[name].declare["most"] * 8)/8r]
          }
          {as: self.class.word, material: material&.id, **said, **longer}.compact
        end

        # What a plan says of it when it leaves nothing to what is usual, its lengths in inches.
        # @return [Hash]
        def whole
          measures = self.class.measures.keys.to_h { [_1, public_send(_1)] }
          {as: self.class.word, material: material&.id, count:, **measures, **said.compact}.compact
        end

        # @return [Array<Symbol>] those of its measures that are lengths, and not nought
        def lengths = self.class.measures.keys.select { self.class.length?(_1) && public_send(_1)&.positive? }

        # @return [Rational] its length as it is cut, up to the mark
        def cut = @mark.call(length)

        # The sum of its length, in the maker's own numbers.
        # @return [String]
        def sum = bare(length)

        # How it is told at the bench, without its material.
        # @return [String]
        # @abstract
        def told = raise(NotImplementedError, self.class.name)

        # The same, with how many and of what: "Indigo tape, 2 of them: a ring 6 in long laid flat: 13 in".
        # @return [String]
        def says
          of = "#{material&.name || self.class.title}#{", #{count} of them" if count > 1}"
          ["#{of}: #{told}", (ENDS.fetch(said[:ends]) if said[:ends])].compact.join(", ")
        end

        # Across, of the stuff it is made of.
        # @return [Float]
        def wide = [(width || material&.width || material&.diameter || CLOTH).to_f, 0.15].max

        # @return [Float] grams of one
        def grams = weight || 0.0

        # How it lies about the middle of the piece: a kind of lie, and pairs of a direction (radians, nought to the
        # right, a quarter down) and a length.
        # @param turn [Float] by how much it is turned where parts lie crosswise
        # @return [Array<(Class, Array<(Float, Float)>)>]
        def lies(_turn) = []

        # The same where its parts are laid with their stems overlapped.
        def overlapped(turn) = lies(turn)

        # The same where it is folded in half and pinched there.
        def folded(turn) = lies(turn)

        # What is counted of it where it is drawn.
        # @param kind [Class] of lie
        # @return [Symbol] one of {Place::Unit}
        def seen_as(kind) = {Place::Lie::Tail => :tails, Place::Lie::Loop => :bow_loops}.fetch(kind, self.class.unit)

        # What is written on it where it is drawn.
        # @return [String, nil]
        def written = nil

        def seen_width = wide

        # What one of it is called, by what it is made of.
        # @return [String]
        def name = material&.name || self.class.title.downcase

        # What it is called where it is pointed at, if by a name of its own.
        # @return [String, nil]
        def called = nil

        private

        def text(inches) = @text.call(inches)

        def bare(inches) = @text.call(inches, unit: false)

        # Half of them on each side, fanned a little.
        def fan(number, middle, reach, spread = 1.3)
          (0...number).map { |i| [middle + ((number == 1) ? 0.0 : (i.fdiv(number - 1) - 0.5) * spread), reach] }
        end

        def both_sides(number, reach) = fan((number / 2.0).ceil, 0.0, reach) + fan(number / 2, Math::PI, reach)

        def across_it(turn, whole) = [[turn, whole / 2.0], [turn + Math::PI, whole / 2.0]]
      end
    end
  end
end
