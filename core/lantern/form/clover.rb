# frozen_string_literal: true

module Lantern
  module Form
    # A clover of three or four round leaves that meet in notches, with its stem. A leaf's middle lies
    # as far out as makes neighbours meet a little before they would close.
    class Clover < Boxed
      shape :clover, title: "Clover", typical: {width: 16, face: 1.5}
      box height: false, corners: true
      sizes << Plan::Field::Count.new(:leaves, least: 3, most: 4, default: 3, label: "Leaves")
      size :stem, zero: true, label: "Stem", default_says: "a third of the width",
        help: "From the leaves to its end; 0 for none."
      size :stem_thickness, label: "Stem, how thick", default_says: "two thirds of the face"

      # A leaf's radius against the distance of its middle from the clover's (from memory: common wire clovers).
      LEAF = {3 => 1.0, 4 => 0.82}.freeze

      def trace(width, _height)
        left, _, right, _ = unit.box
        unit.scaled(width / (right - left))
      end

      def parts
        length = (sizes[:stem] || width / 3).to_f
        return [] if length.zero?
        root = path.pieces[(sizes[:leaves] / 2.0).ceil].at(0)
        thick = (sizes[:stem_thickness] || face * 2 / 3).to_f
        [Part.new(kind: :stem, path: Tracing.lines([root, [root[0], root[1] + length]]), diameter: thick)]
      end

      private

      # Leaves about nought, their middles one away from it, a notch below. Neighbours meet in the
      # outer of the two points that their circles share, on the line halfway between them.
      def unit
        @unit ||= begin
          count = sizes[:leaves]
          radius = LEAF.fetch(count)
          halfway = Math::PI / count
          notch = Math.cos(halfway) + Math.sqrt(radius**2 - Math.sin(halfway)**2)
          turn = Math.atan2(notch * Math.sin(halfway), notch * Math.cos(halfway) - 1)
          first = Math::PI / 2 + halfway - 2 * halfway * (count / 2.0).ceil
          leaves = (0...count).map { |leaf| first + 2 * Math::PI * leaf / count }
          Path.new(leaves.map { |out| Tracing.arc([Math.cos(out), Math.sin(out)], radius, out - turn, out + turn) })
        end
      end
    end
  end
end
