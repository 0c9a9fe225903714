# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Parts
        # Something bought or found, as it is.
        class Item < Part
          part :item, title: "Bought or found, as it is", unit: :things, measures: {},
            optional: %i[size height weight words]

          # Across, where nothing is said (from memory).
          USUAL = 3r

          def length = nil

          def size = super || USUAL

          def told
            measures = [(text(size) if said[:size]), (text(height) if height)].compact.join(" by ")
            [name, (measures unless measures.empty?), ("“#{words}”" if words)].compact.join(", ")
          end

          def says = "#{Measure::Words.sentence(told)}#{", #{count} of them" if count > 1}"

          def name = material&.name || "something bought"

          def lies(turn)
            [[Place::Lie::Ball, (0...count).map { |i|
              (count == 1) ? [turn, 0.0] : [turn + i * 2 * Math::PI / count, size.to_f / 2]
            }]]
          end

          def wide = size.to_f
        end
      end
    end
  end
end
