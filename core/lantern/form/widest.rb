# frozen_string_literal: true

module Lantern
  module Form
    # The widest band that a form can have where the one that was said is too wide: found by halving, in marks of a
    # tape. A narrower band goes wherever a wider one does.
    module Widest
      # Inches; a millimetre where lengths are centimetres.
      MARK = {"in" => Rational(1, 8), "cm" => Rational(5, 127)}.freeze
      private_constant :MARK

      module_function

      # @param sizes [Hash] a form as {Reader} reads it
      # @param below [Numeric] a face that is too wide, in inches
      # @yield [Hash] the same form with another face; raises {Plan::Refused} where there can be none
      # @return [Rational, nil] in inches; nil where not even a mark is narrow enough
      def face(sizes, below:)
        mark = MARK.fetch(sizes[:units])
        too_wide = lambda do |marks|
          yield sizes.merge(face: marks * mark)
          false
        rescue Plan::Refused
          true
        end
        too_many = (1..(below / mark).ceil).bsearch(&too_wide) || (below / mark).ceil
        (too_many > 1) ? (too_many - 1) * mark : nil
      end
    end
  end
end
