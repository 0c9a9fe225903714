# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # A thing as its photo shows it, cut out along its outline: an item is that outline, and where the photo's upper
      # left, upper right and lower left corners are `placed`.
      class CutOut < Lie
        UP = -Math::PI / 2

        lie :cut_out
        looks(order: :any) { area }

        # Of many things each is small, and has so many corners fewer; but never fewer than these (from memory).
        MOST_DRAWN, FEWEST = 12_000, 24

        # Things about their middles, each so wide.
        # @param material [Plan::Material] that is cut out of its photo
        # @param places [Array<((Float, Float), Float)>] a middle, and where its top points to, in radians
        # @param wide [Numeric] inches
        # @return [Array<Hash>] an item each
        def self.items(material, places, wide)
          high = high_of(material, wide)
          outline = outline_of(material, wide, high, [MOST_DRAWN / [places.size, 1].max, FEWEST].max)
          places.map do |(x, y), way|
            cos, sin = Math.cos(way - UP), Math.sin(way - UP)
            at = ->((right, down)) {
              right, down = right - wide / 2.0, down - high / 2.0
              [x + right * cos - down * sin, y + right * sin + down * cos]
            }
            {points: outline.map(&at), placed: [[0, 0], [wide, 0], [0, high]].map(&at)}
          end
        end

        # From its photo's upper left, in inches; nothing is cut out beside the photo.
        # @param most [Integer] corners, evenly taken
        def self.outline_of(material, wide, high, most)
          said = material.cut_out[:outline]
          every = said.size.fdiv(most).ceil
          said.each_slice(every).map(&:first).map { |right, down|
            [[right * wide / 1000.0, wide.to_f].min, [down * wide / 1000.0, high].min]
          }
        end
        private_class_method :outline_of

        # How high a thing is that is so wide.
        # @return [Float]
        def self.high_of(material, wide) = wide * material.cut_out[:high] / 1000.0

        def to_h(scale)
          super.merge("pictured" => front.map { |item|
            {"picture" => materials.first.picture, "placed" => scale.points(item[:placed])}
          })
        end
      end
    end
  end
end
