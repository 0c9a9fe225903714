# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Parts
        # Something bought or found, as it is.
        class Item < Part
          part :item, title: "Bought or found, as it is", unit: :things, measures: {},
            optional: %i[size height weight words]

          # A board is so high for its width, where its height is not said (from memory).
          BOARD = 2/5r
          # Across, where nothing is said (from memory).
          USUAL = 3r

          def length = nil

          def size = super || material&.picture_width || USUAL

          def told
            measures = [(text(size) if said[:size]), (text(height) if height)].compact.join(" by ")
            [name, (measures unless measures.empty?), ("“#{words}”" if words)].compact.join(", ")
          end

          def says = "#{Measure::Words.sentence(told)}#{", #{count} of them" if count > 1}"

          def name = material&.name || "something bought"

          def called = name

          # What it is called tells how it looks (common words of the trade): a sprig, a ball. Nothing is drawn as what
          # it is not: everything else is its outline with its name on it.
          SPRIG = /\b(?:pick|sprig|spray|branch|stem|fern|leaf|leaves|green|eucalyptus|grass|twig)(?:e?s)?\b/i
          BALL = /\b(?:ball|bauble|ornament|bell|pompom|berry|berrie)s?\b/i

          def lies(turn)
            return [[Place::Lie::Board, fan(count, turn, 0.0)]] if words
            return [[seen, fan(count, turn - DOWN, long, 0.8)]] if sprig?
            apart = (count == 1) ? 0.0 : size.to_f / 2
            [[seen, (0...count).map { |i| [turn + i * 2 * Math::PI / count, apart] }]]
          end

          # What is written on it where it is drawn.
          def written = words || (name unless sprig? || ball? || cut_out?)

          # Left and right in turn, overlapped in the middle, their heads drooping a little.
          def overlapped(_turn)
            [[cut_out? ? Place::Lie::CutOut : Place::Lie::Sprig,
              (0...count).map { |i| [i.even? ? Math::PI - 0.2 - i * 0.12 : 0.2 + i * 0.12, long] }]]
          end

          # As it lies where it is seen as its photo: from its foot outward, as a sprig does, or upright about its own
          # middle.
          # @param ends [Array<(Float, Float, Float, Float)>] from which middle, in which direction and how far
          # @return [Array<Hash>] items of {Place::Lie::CutOut}
          def pictured(ends, by_its_foot:)
            outward = by_its_foot || sprig?
            places = ends.map { |x, y, way, far|
              out = outward ? far / 2.0 : far
              [[x + Math.cos(way) * out, y + Math.sin(way) * out], outward ? way : Place::Lie::CutOut::UP]
            }
            Place::Lie::CutOut.items(material, places, outward ? across : size)
          end

          def wide = sprig? ? [size.to_f, long / 2].min : size.to_f

          # Of a board, as a share of its width.
          def shape = (height || size * BOARD).fdiv(size)

          private

          def cut_out? = material&.cut_out?

          def seen
            return Place::Lie::CutOut if cut_out?
            return Place::Lie::Sprig if sprig?
            ball? ? Place::Lie::Ball : Place::Lie::Tag
          end

          # So wide is the photo of what lies from its foot outward.
          def across = long * 1000.0 / material.cut_out[:high]

          def sprig? = name.match?(SPRIG)

          def ball? = name.match?(BALL) && !height

          def long
            return (height || size).to_f if height || said[:size] || !cut_out?
            Place::Lie::CutOut.high_of(material, size)
          end
        end
      end
    end
  end
end
