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

        # What is cut or taken of a part, for so many pieces.
        # @return [Place::Need]
        def need_of(part, made)
          of = ", #{part.material.name}" if parts.map(&:material).compact.uniq.size > 1
          count = part.count * made
          if part.material.counted?
            return Place::Need.items(material: part.material.id, what: part.class.unit, of:, count:)
          end
          cut = up_to_mark(part.length || part.size)
          alike = parts.count { _1.instance_of?(part.class) && _1.material == part.material }
          sized = " of #{measured(cut)}" if alike > 1
          pieces_of(part.class.unit, of: [sized, of].join, material: part.material.id, length: cut, count:,
            width: (part.width || CLOTH if part.material.sheets?))
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
