# frozen_string_literal: true

module Lantern
  module Form
    # A clover of three or four round leaves that meet in notches. A leaf's middle lies as far out as
    # makes neighbours meet a little before they would close.
    class Clover < Shape
      shape :clover, title: "Clover", typical: {width: 16, face: 1.5}

      size :width, required: true, label: "Width, over all", help: "Across it at its widest, outside edge to outside edge."
      size :face, required: true, label: "Face", help: "Across the band, from edge to edge."
      sizes << Plan::Field::Count.new(:leaves, least: 3, most: 4, default: 3, label: "Leaves")

      # A leaf's radius against the distance of its middle from the clover's (from memory: common wire clovers).
      LEAF = {3 => 1.0, 4 => 0.82}.freeze

      def face = sizes[:face].to_f

      def check
        refuse("face", "A face of #{text(face)} leaves no middle in a clover #{text(sizes[:width].to_f)} across.") if face >= sizes[:width].to_f / 4
        refuse("face", "The band (#{text(face)} across) is wider than a leaf's bend allows (#{text(path.tightest_radius)} along its middle): the inside edge would fold over itself.") if path.tightest_radius < face / 2
      end

      def path = @path ||= measured[:run] ? drawn.scaled(measured[:run] / drawn.length) : drawn

      def dimensions
        xs, ys = path.trace(0.0, step: path.length / 720).transpose
        half = face / 2
        [{about: "form.width", from: [xs.min - half, ys.max + half], to: [xs.max + half, ys.max + half], length: xs.max - xs.min + face}]
      end

      private

      def drawn
        @drawn ||= unit.then { |path| path.scaled((sizes[:width].to_f - face) / across(path)) }
      end

      # Leaves about nought, their middles one away from it; the first points up. Neighbours meet in
      # the outer of the two points that their circles share, on the line halfway between them.
      def unit
        count = sizes[:leaves]
        radius = LEAF.fetch(count)
        halfway = Math::PI / count
        notch = Math.cos(halfway) + Math.sqrt(radius**2 - Math.sin(halfway)**2)
        turn = Math.atan2(notch * Math.sin(halfway), notch * Math.cos(halfway) - 1)
        Path.new((0...count).map do |leaf|
          out = 2 * Math::PI * leaf / count - Math::PI / 2
          Tracing.arc([Math.cos(out), Math.sin(out)], radius, out - turn, out + turn)
        end)
      end

      def across(path) = path.trace(0.0, step: path.length / 720).map(&:first).minmax.then { |least, most| most - least }
    end
  end
end
