# frozen_string_literal: true

module Lantern
  module Form
    # Several paths covered one after another as if they were one: the parts of a {Composite}. Between
    # one and the next nothing lies.
    class Joined < Path
      attr_reader :strands

      # @param strands [Array<Path>]
      def initialize(strands)
        @strands = strands.freeze
        @begins = strands.reduce([0.0]) { |begins, strand| begins << begins.last + strand.length }.freeze
        super(strands.flat_map(&:pieces))
      end

      def closed? = false

      def corners = @corners ||= strands.flat_map(&:corners)

      def strand_at(distance)
        index = ((@begins.bsearch_index { _1 > distance } || @begins.size) - 1).clamp(0, strands.size - 1)
        [strands[index], @begins[index]]
      end

      def kept(across) = strands.flat_map { _1.kept(across) }

      def pointed? = strands.any?(&:pointed?)

      def cornered(pointed) = Joined.new(strands.map { _1.cornered(pointed) })

      def edge(across) = strands.sum { _1.edge(across) }

      def reach(half)
        lefts, tops, rights, bottoms = strands.map { _1.reach(half) }.transpose
        [lefts.min, tops.min, rights.max, bottoms.max]
      end

      def scaled(factor) = Joined.new(strands.map { _1.scaled(factor) })

      private

      def locate(distance, &)
        strand, begins = strand_at(distance)
        strand.send(:locate, distance - begins, &)
      end
    end
  end
end
