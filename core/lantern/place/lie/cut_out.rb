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

        # A thing about a middle, so wide.
        # @param material [Plan::Material] that is cut out of its photo
        # @param middle [(Float, Float)]
        # @param wide [Numeric] inches
        # @param way [Float] where its top points to, in radians
        # @return [Hash] an item
        def self.item(material, middle, wide, way = UP)
          high = high_of(material, wide)
          turn = way - UP
          cos, sin = Math.cos(turn), Math.sin(turn)
          at = ->(right, down) {
            x, y = right - wide / 2.0, down - high / 2.0
            [middle[0] + x * cos - y * sin, middle[1] + x * sin + y * cos]
          }
          share = wide / 1000.0
          # Nothing is cut out beside its photo.
          points = material.cut_out[:outline].map { |right, down|
            at[[right * share, wide].min, [down * share, high].min]
          }
          {points:, placed: [at[0, 0], at[wide, 0], at[0, high]]}
        end

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
