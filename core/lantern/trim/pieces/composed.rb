# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      # What a layer that is made up of {Part}s shares, whichever way its plan says them: what is cut for each part, its
      # sum, and where its parts end.
      module Composed
        # A length in the maker's own units, as it is said, or with no unit as exactly as it is for a sum.
        def measured(inches, unit: true)
          unit ? Measure::Length.text(inches, units: @plan.units) : Measure::Length.figure(inches, units: @plan.units)
        end

        # Once round the band with a tape, up to the mark.
        # @return [Rational] inches
        def girth = up_to_mark(form.girth)

        # The ends of some parts, out from the middle.
        # @param of [Array<Part>]
        # @param kind [Class] of lie; every kind if nil
        # @return [Array<(Float, Float)>] in which direction (radians, nought to the right, a quarter down), how far
        def ends(of, kind = nil)
          of.flat_map { |part|
            made.lies(part, 0.0).flat_map { |each, ways| (kind.nil? || each == kind) ? ways : [] }
          }
        end

        private

        # What is cut or taken of its parts, for so many pieces.
        # @return [Array<Place::Need>]
        def needs_of_parts(made)
          of_something = parts.select(&:material)
          several = of_something.map(&:material).uniq.size > 1
          alike = of_something.map { [_1.class, _1.material] }.tally
          of_something.map do |part|
            sized = alike.fetch([part.class, part.material]) > 1
            need_of(part, part.count * made, sized:, named: several)
          end
        end

        # @param sized [Boolean] whether it is told from others of its kind by its length
        # @param named [Boolean] and from those of other materials by its material
        def need_of(part, count, sized:, named:)
          of = ", #{part.material.name}" if named
          if part.material.counted?
            return Place::Need.items(material: part.material.id, what: part.class.unit, of:, count:)
          end
          long = " of #{measured(part.cut)}" if sized
          pieces_of(part.class.unit, of: [long, of].join, material: part.material.id, length: part.cut, count:,
            width: (part.width || CLOTH if part.material.sheets?))
        end

        # What holds it together, where that is no thing of the plan's.
        # @param tied [Symbol] as {Making} has it
        # @return [String, nil]
        def held_together(tied)
          case tied
          when :stem then "Half a chenille stem under all of it at the middle, pulled tight and twisted behind."
          when :glue then "Glue holds it together; press until it has set."
          end
        end

        def part_line(part, number)
          says = "#{Measure::Words.sentence(part.class.title)}#{", #{part.material.name}" if part.material}"
          return line(:"part_#{number + 1}", says, "", "#{part.count} of one piece") unless part.length
          one = part.sum
          one = "(#{one})" if part.count > 1 && one.match?(/[+×]/)
          sum = "#{"#{part.count} × " if part.count > 1}#{one}"
          line(:"part_#{number + 1}", says, sum, text(part.length * part.count))
        end
      end
    end
  end
end
