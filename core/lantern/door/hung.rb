# frozen_string_literal: true

module Lantern
  module Door
    # A wreath on a door: its drawing, in the perspective of the picture and at its true size.
    class Hung
      # How far its shadow falls for how deep it is, to the side and down (from memory: daylight, half from above).
      SHADOW = {left: [0.45, 0.5], above: [0.0, 0.65], right: [-0.45, 0.5]}.freeze

      # Nobody sees finer from the street.
      EIGHTH = 1/8r

      attr_reader :work, :place, :at

      # @param work [Work] the wreath
      # @param place [Place]
      # @param at [(Numeric, Numeric), nil] where the middle of its form hangs, a pixel; as high as eyes are without it
      # @param back [Boolean] whether it is seen from behind
      # @raise [Plan::Refused] when it would hang beside the picture, or where the door cannot be seen
      def initialize(work, place, at: nil, back: false)
        @work, @place, @at, @back = work, place, at&.map(&:to_f) || place.usual, back
        beside unless @at.zip(place.size).all? { |here, most| here.between?(0, most) }
        matrix
      end

      def back? = @back

      # The box that is drawn: left, top, right and bottom in the plan's units, seen from behind the other way round.
      # @return [Array<Float>]
      def box
        left, top, right, bottom = @work.drawing["bounds"]
        back? ? [-right, top, -left, bottom] : [left, top, right, bottom]
      end

      # @return [Array<(Float, Float)>] the pixels of the box's corners, from its upper left
      def corners
        @corners ||= begin
          left, top, right, bottom = box
          [[left, top], [right, top], [right, bottom], [left, bottom]].map { pixel(_1) }
        end
      end

      # @param place [(Numeric, Numeric)] of the drawing, in the plan's units
      # @return [(Float, Float)] the pixel that shows it
      def pixel((x, y))
        right, down = axes
        @place.pixel([0, 1].map { |i| middle[i] + inches(x) * right[i] + inches(y) * down[i] })
      rescue Measure::Perspective::Impossible
        beyond
      end

      # From a place on the drawing, in the plan's units, to the picture: what the screen's style and whoever makes the
      # picture turn the drawing by. A lens bends a wreath so little that its corners say it.
      # @return [Array<Array<Float>>] three rows of three
      def matrix
        @matrix ||= begin
          left, top, right, bottom = box
          rows = Measure::Perspective.of(corners, right - left, bottom - top).matrix
          rows.map { |(a, b, c)| [a, b, c - a * left - b * top] }
        end
      rescue Measure::Perspective::Impossible
        beyond
      end

      # @return [Float] how far it stands from the door, in inches: the band with its covering, and what is fixed on it
      def deep
        @deep ||= begin
          section = @work.drawing["section"]
          form = section["hull"].each_slice(2).map(&:last).minmax.reduce { _2 - _1 }
          covered = section["bounds"][3] - section["bounds"][1]
          [inches(covered) + @work.layers.map(&:stands_out).max.to_f, inches(form) + reach].max
        end
      end

      # @return [Float] across, in inches, with everything that is on it
      def across = inches(@work.drawing["bounds"].values_at(0, 2).reduce { _2 - _1 })

      # @return [Float] grams of what is fixed on, as far as anybody said
      def weighs = @work.layers.sum(&:weighs)

      # @return [(Float, Float, Float)] how far the shadow falls to the right and down, and how soft it is, in inches
      def shadow
        across, down = SHADOW.fetch(@place.light)
        [across * deep, down * deep, deep * 0.35]
      end

      # @return [Float] pixels to an inch, where it hangs
      def scale
        (ax, ay), (bx, by) = corners
        Math.hypot(bx - ax, by - ay) / inches(box[2] - box[0])
      end

      # A length to the nearest eighth, or half centimetre.
      # @param inches [Numeric]
      # @return [String] in the plan's units
      def text(inches)
        mark = (@work.plan.units == "cm") ? 1 / 5.08r : EIGHTH
        Measure::Length.text((inches.to_r / mark).round * mark, units: @work.plan.units)
      end

      private

      # How far coverings stand up: as far as they reach beyond the form on all its sides (from memory: loops, knots and
      # folds are as round as they are wide). What only hangs down is no higher for it.
      def reach
        boxes = @work.layers.grep(Cover::Covering).flat_map(&:lies).filter_map(&:box)
        return 0.0 if boxes.empty?
        left, top, right, bottom = boxes.transpose
        outline = @work.drawing["outline_bounds"].map { inches(_1) }
        beyond = [outline[0] - left.min, outline[1] - top.min, right.max - outline[2], bottom.max - outline[3]]
        [beyond.min, 0.0].max
      end

      def middle = @middle ||= @place.on_door(@at)

      def axes = @axes ||= @place.axes(@at)

      def inches(length) = (@work.plan.units == "cm") ? length / 2.54 : length

      def beside = raise(Plan::Refused.at("at", "That is not on the picture: hang it on the door."))

      def beyond
        raise Plan::Refused.at("at", "The wreath would hang where the door cannot be seen: move it onto the door.")
      end
    end
  end
end
