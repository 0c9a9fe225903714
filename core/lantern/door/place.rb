# frozen_string_literal: true

module Lantern
  # Where a wreath hangs: the door as a photo shows it or as it is drawn, the wreath on it at its true size, and what
  # a friend says who sees it there.
  module Door
    # A door, or a wall, a window or a gate: a photo of it with something in it whose size is known, or its colour and
    # how large it is. Places on it are pixels of its picture, lengths on it inches.
    class Place
      MOST = 240
      PIXEL = Plan::Field::List.new(:tap, least: 2, most: 2, label: "A tap",
        of: Plan::Field::Place.new(:place, label: "A place"))
      SIDE = {least: 1, most: 20_000, required: true}.freeze
      LIGHTS = {left: "From the left", above: "From above", right: "From the right"}.freeze
      FIELDS = [
        Plan::Field::Choice.new(:units, choices: {in: "Inches", cm: "Centimetres"}, required: true),
        Plan::Field::Record.new(:photo, label: "The photo", fields: [
          Plan::Field::Picture.new(:id, required: true, label: "The photo"),
          Plan::Field::Count.new(:width, **SIDE), Plan::Field::Count.new(:height, **SIDE)
        ]),
        Plan::Field::Choice.new(:sheet, choices: Form::FromPhoto::SHEETS.transform_values(&:title), label: "The sheet"),
        Plan::Field::List.new(:corners, of: PIXEL, least: 4, most: 4, label: "The sheet's corners"),
        Plan::Field::Switch.new(:turned, label: "Lies the other way"),
        Plan::Field::List.new(:edges, of: PIXEL, least: 2, most: 2, label: "The door's edges"),
        Plan::Field::Length.new(:wide, most: MOST, label: "The door is wide"),
        Plan::Field::Length.new(:tall, most: MOST, label: "The door is high"),
        Plan::Field::Colour.new(:paint, label: "Its colour"),
        Plan::Field::Choice.new(:light, choices: LIGHTS, default: :left, label: "The light comes"),
        Plan::Field::Switch.new(:glass, label: "It is glass: the back is seen"),
        Plan::Field::Length.new(:gap, most: 24, label: "Room before a storm door"),
        Plan::Field::Weight.new(:holds, label: "The hook holds"),
        # What was seen when it was kept, so that the photo need not be looked at again.
        Plan::Field::Record.new(:seen, label: "What was seen", fields: [
          Plan::Field::List.new(:corners, of: PIXEL, least: 4, most: 4, required: true, label: "The corners found"),
          Plan::Field::Number.new(:bend, least: -0.2, most: 0.2, required: true, label: "The lens's bend"),
          Plan::Field::Number.new(:doubt, most: 0.2, required: true, label: "How far that may be off")
        ])
      ].freeze
      ASKED = %i[wide tall paint light glass gap holds].freeze
      # A door that is drawn has so many pixels to the inch; where nobody said, it is as high as doors are (from memory:
      # 80 in, 203 cm).
      DRAWN, USUAL = 12, 80
      # The middle of a wreath hangs so high over the floor (from memory: as high as eyes are); in a photo that does
      # not show the floor, so far down; never higher than that.
      EYES, DOWN, HIGHEST = 58, 0.38, 0.25
      HAND = 4
      private_constant :MOST, :PIXEL, :SIDE, :FIELDS, :ASKED

      class << self
        # @return [Array<Plan::Field>] what is asked of it, beside where its photo is tapped
        def asked = FIELDS.select { ASKED.include?(_1.name) }

        # @param document [Hash]
        # @return [Place]
        # @raise [Plan::Refused]
        def read(document)
          reading = Plan::Reading.new(units: document.is_a?(Hash) ? document["units"].to_s : "in")
          said = Plan::Field::Record.new(:place, fields: FIELDS, label: "A place").read(document, "", reading)
          raise Plan::Refused.new(reading.problems) if reading.problems.any?
          new(said)
        end

        # A place with what its photo shows: where the sheet's edges really lie, and how its lens bends.
        # @param document [Hash]
        # @yield as {Form::FromPhoto}
        # @return [Hash] the document
        # @raise [Plan::Refused]
        def look(document, &brightness)
          document = document.except("seen")
          place = read(document)
          return document unless place.sheet?
          photo = Form::FromPhoto.new(place.measures, &brightness)
          return document unless photo.found
          seen = {"corners" => photo.seen_corners.map { |corner| corner.map { _1.round(2) } },
                  "bend" => photo.lens.bend.round(6), "doubt" => photo.lens.doubt.round(6)}
          document.merge("seen" => seen)
        end
      end

      attr_reader :units, :paint, :light, :gap, :holds

      # @param said [Hash{Symbol=>Object}]
      # @raise [Plan::Refused] when nothing tells how large anything is
      def initialize(said)
        @said = said
        @units, @paint, @light = said[:units].to_s, said[:paint], said[:light]
        @gap, @holds = said.values_at(:gap, :holds)
        check
        plane
      end

      def glass? = @said[:glass] || false

      def sheet? = photo? && !@said[:corners].empty?

      def photo? = !@said[:photo].nil?

      # @return [(Numeric, Numeric)] pixels of the picture
      def size
        return @said[:photo].values_at(:width, :height) if photo?
        [@said[:wide], @said[:tall] || USUAL].map { (_1 * DRAWN).to_f.round(3) }
      end

      # The panels of a door that is drawn: left, top, wide and high, in pixels. Two above two.
      # @return [Array<Array<Float>>]
      def panels
        return [] if photo?
        across, down = size
        [[0.07, 0.37], [0.53, 0.39]].flat_map do |top, high|
          [0.13, 0.55].map { |left| [left * across, top * down, 0.32 * across, high * down].map { _1.round(1) } }
        end
      end

      # @return [Measure::Perspective] from inches on the door to the picture, its lens's bend taken out
      def plane = @plane ||= sheet? ? photo.perspective : straight_ahead

      # @return [Measure::Lens]
      def lens
        return photo.lens if sheet?
        @lens ||= Measure::Lens.new(width: size[0], height: size[1], bend: 0.0, doubt: 0.0)
      end

      # @return [(Float, Float)] the place on the door, in inches, that a pixel shows
      # @raise [Measure::Perspective::Impossible]
      def on_door(pixel) = plane.place(lens.straight(pixel))

      # @return [(Float, Float)] the pixel that shows a place on the door
      # @raise [Measure::Perspective::Impossible]
      def pixel(place) = lens.bent(plane.pixel(place))

      # Which way on the door is right and which is down, as the picture is looked at: the sheet may hang any way
      # round, and is taped straight.
      # @param pixel [(Float, Float)] where
      # @return [((Float, Float), (Float, Float))]
      def axes(pixel)
        return [[1.0, 0.0], [0.0, 1.0]] unless sheet?
        here = on_door(pixel)
        turns = [[1.0, 0.0], [0.0, 1.0], [-1.0, 0.0], [0.0, -1.0]]
        down = turns.max_by { |x, y| falls(here, [x, y]) }
        [[down[1], -down[0]], down]
      end

      # How wide it is, in inches, and how far that may be off.
      # @return [(Numeric, Numeric), nil]
      # @raise [Plan::Refused]
      def wide
        return [@said[:wide], 0] if @said[:wide]
        return unless sheet? && edges?
        @wide ||= photo.lengths["door"]
      rescue Plan::Refused => refused
        refuse("edges", refused.problems.first.says)
      end

      # Where a wreath hangs unless it is said: in the middle of the door, as high as eyes are.
      # @return [(Float, Float)] a pixel
      def usual
        across, down = size
        return [across / 2.0, [down - EYES * DRAWN, down * HIGHEST].max] unless photo?
        [edges? ? @said[:edges].sum { _1[0] } / 2 : across / 2.0, down * DOWN]
      end

      # Where the picture shows its paint: about where a wreath hangs, a hand's breadth to either side.
      # @return [(Integer, Integer, Integer), nil] a pixel, and how many to either side; nil where the door is not seen
      def paint_about
        at = usual
        (x, y), ((right, down),) = on_door(at), axes(at)
        there = pixel([x + right, y + down])
        [*at.map(&:round), (HAND * Math.hypot(there[0] - at[0], there[1] - at[1])).ceil]
      rescue Measure::Perspective::Impossible
        nil
      end

      # @return [Hash] as {Form::FromPhoto} takes it
      def measures
        sizes = edges? ? [{"name" => "door", "taps" => @said[:edges]}] : []
        {"units" => @units, "picture" => @said[:photo].slice(:width, :height).transform_keys(&:to_s),
         "sheet" => @said[:sheet].to_s, "corners" => @said.dig(:seen, :corners) || @said[:corners],
         "turned" => @said[:turned] || false, "sizes" => sizes}
      end

      private

      def edges? = !@said[:edges].empty?

      def check
        outside = photo? && @said[:edges].any? { |at| at.zip(size).any? { |here, most| !here.between?(0, most) } }
        refuse("edges", "A tap lies outside the picture: tap on the photo itself.") if outside
        return refuse("wide", "Say how wide it is, or choose a photo of it.") if !photo? && @said[:wide].nil?
        return if !photo? || sheet? || (edges? && @said[:wide])
        refuse("corners", "Nothing in this photo says how large it is: tap the corners of a sheet of paper on the " \
          "door, or the door's two edges, and say how wide it is.")
      end

      def refuse(at, says) = raise(Plan::Refused.at(at, says))

      def photo
        @photo ||= begin
          seen, (width, height) = @said[:seen], size
          lens = seen && Measure::Lens.new(width:, height:, **seen.slice(:bend, :doubt))
          Form::FromPhoto.new(measures, lens:)
        end
      end

      # As if it were seen from straight ahead: all that two edges and the way between them tell.
      def straight_ahead
        from, to = @said[:edges] if photo?
        from, to = [[0.0, 0.0], [size[0], 0.0]] unless photo?
        wide = @said[:wide].to_f
        across = [to[0] - from[0], to[1] - from[1]]
        across, from = across.map { -_1 }, to if across[0].negative?
        down = [-across[1], across[0]]
        ends = ->(x, y) { [from[0] + x * across[0] + y * down[0], from[1] + x * across[1] + y * down[1]] }
        Measure::Perspective.of([ends[0, 0], ends[1, 0], ends[1, 1], ends[0, 1]], wide, wide)
      rescue Measure::Perspective::Impossible
        refuse("edges", "The door's two edges are one and the same: tap the left one and the right one.")
      end

      # How far down the picture an inch that way goes.
      def falls(here, (x, y))
        there = pixel([here[0] + x, here[1] + y])
        from = pixel(here)
        (there[1] - from[1]) / Math.hypot(there[0] - from[0], there[1] - from[1])
      end
    end
  end
end
