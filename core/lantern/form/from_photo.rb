# frozen_string_literal: true

module Lantern
  module Form
    # The sizes of a form from a photo of it beside a sheet of known size: the sheet's corners and the form's edges
    # are tapped, the perspective is taken out, and lengths and outlines come out, with how sure they are.
    #
    # What lies higher than the sheet looks larger than it is: the sheet belongs as high as the front of the form.
    class FromPhoto
      MM = Measure::Length::IN.fetch("mm")
      private_constant :MM

      Sheet = Value.define(:title, :width, :height)

      # Sources: ANSI/ASME Y14.1 (letter), ISO 216 (A4), ISO/IEC 7810 (the size of a bank card, ID-1).
      SHEETS = {
        letter: Sheet.new(title: "Letter paper", width: 17/2r, height: 11r),
        a4: Sheet.new(title: "A4 paper", width: 210 * MM, height: 297 * MM),
        card: Sheet.new(title: "A bank card", width: 5398/100r * MM, height: 8560/100r * MM)
      }.freeze

      # A finger hits a place to so much of the picture's longer side (2 pixels of 2000; from memory: try it on a
      # phone), an edge that is found in the picture to so many pixels.
      TAP = 0.001
      FOUND = 0.2
      # What is usual weighs as much as so many taps seen (from memory).
      USUAL_TAPS = 8
      # Pixels about a corner's sides in which the edge is looked for, of the longer side.
      REACH = 0.006
      MOST_TAPS = 140

      PIXEL = Plan::Field::List.new(:tap, least: 2, most: 2, label: "A tap",
        of: Plan::Field::Place.new(:place, label: "A place"))
      SIZE = Plan::Field::Record.new(:size, label: "A size", fields: [
        Plan::Field::Text.new(:name, required: true, most: 40, label: "Name"),
        Plan::Field::List.new(:taps, of: PIXEL, most: MOST_TAPS, required: true, label: "Its taps")
      ])
      SIDE = {least: 1, most: 20_000, required: true}.freeze
      FIELDS = [
        Plan::Field::Choice.new(:units, choices: {in: "Inches", cm: "Centimetres"}, required: true),
        Plan::Field::Record.new(:picture, required: true, label: "The picture",
          fields: [Plan::Field::Count.new(:width, **SIDE), Plan::Field::Count.new(:height, **SIDE)]),
        Plan::Field::Choice.new(:sheet, choices: SHEETS.transform_values(&:title), required: true, label: "The sheet"),
        Plan::Field::List.new(:corners, of: PIXEL, least: 4, most: 4, required: true, label: "The sheet's corners"),
        Plan::Field::Switch.new(:turned, label: "Lies the other way"),
        Plan::Field::List.new(:sizes, most: 12, label: "Sizes", of: SIZE),
        Plan::Field::List.new(:outline, of: PIXEL, most: MOST_TAPS, label: "The outline")
      ].freeze
      private_constant :PIXEL, :SIZE, :SIDE

      # @return [Array<Hash>] the sheets there are, for the API
      def self.declare_sheets = SHEETS.map { |name, sheet| {"value" => name.to_s, "says" => sheet.title} }

      # @param document [Hash] `units`, `picture` with its `width` and `height` in pixels, `sheet`, its four `corners`
      #   one after another, whether it lies the other way than it seems (`turned`), `sizes` with a `name` and `taps`
      #   each, and an `outline` of taps
      # @yieldparam x [Integer] a pixel; without a block the corners are taken as they were tapped
      # @yieldparam y [Integer]
      # @yieldreturn [Numeric, nil] its brightness, 0 to 255
      # @param lens [Measure::Lens, nil] the lens, where it is known already; the corners are those that were found then
      # @raise [Plan::Refused]
      def initialize(document, lens: nil, &brightness)
        reading = Plan::Reading.new(units: "in")
        said = Plan::Field::Record.new(:photo, fields: FIELDS, label: "A photo's measures").read(document, "", reading)
        raise Plan::Refused.new(reading.problems) if reading.problems.any?
        @units, @picture = said[:units].to_s, said[:picture]
        check(said)
        @tapped = clockwise(said[:corners])
        @edges = Measure::Edges.new(@tapped, reach: REACH * longer, &brightness) if brightness
        @found = !lens.nil?
        @lens = lens || seen_lens
        @found ||= !@edges&.corners(@lens).nil?
        @corners = corners(@lens)
        @sheet, @turned = SHEETS.fetch(said[:sheet]), said[:turned]
        @sizes, @outline = said[:sizes], said[:outline]
        seen(@corners)
      end

      # @return [Hash] ready for JSON: `sizes` with `length`, `says` and `sure`, the `outline`, the `corners` and
      #   whether they were `found` in the picture
      def to_h
        {"sizes" => @sizes.each_with_index.map { |size, i| measured(size, i) }, "outline" => outline,
         "corners" => seen_corners.map { |corner| corner.map { _1.round(1) } }, "found" => @found,
         "lies" => across? ? "across" : "upright"}.compact
      end

      # @return [Measure::Lens]
      attr_reader :lens
      # @return [Boolean] whether the sheet's edges were found in the picture
      attr_reader :found

      # @return [Measure::Perspective] from the sheet's plane, in inches from its first corner, to the picture with the
      #   lens's bend taken out
      def perspective = seen(@corners)

      # @return [Array<(Float, Float)>] the sheet's corners on its plane
      def sheet
        wide, high = @sheet.width.to_f, @sheet.height.to_f
        wide, high = high, wide if across?
        [[0, 0], [wide, 0], [wide, high], [0, high]]
      end

      # @return [Array<(Float, Float)>] its corners in the picture
      def seen_corners = @corners.map { |corner| @lens.bent(corner) }

      # @return [Hash{String=>(Float, Float)}] each size in inches, and how far it may be off, with 19 in 20
      def lengths
        @sizes.each_with_index.to_h { |size, i| [size[:name], length_and_doubt(size[:taps], "sizes.#{i}.taps")] }
      end

      private

      def check(said)
        places = {"corners" => said[:corners], "outline" => said[:outline]}
        said[:sizes].each_with_index { |size, i| places["sizes.#{i}.taps"] = size[:taps] }
        problems = places.filter_map do |at, taps|
          outside = taps.find { |x, y| !x.between?(0, @picture[:width]) || !y.between?(0, @picture[:height]) }
          Problem::Entry.new(at:, says: "A tap lies outside the picture: tap on the photo itself.") if outside
        end
        raise Plan::Refused.new(problems) if problems.any?
      end

      # The sheet's own edges say how the lens bends, where they are found; else it is any lens.
      def seen_lens
        size = @picture.values_at(:width, :height)
        @edges&.sides ? Measure::Lens.of(@edges.sides, *size) : Measure::Lens.usual(*size)
      end

      # The sheet's corners with the lens's bend taken out.
      def corners(lens) = (@edges.corners(lens) if @edges && @found) || @tapped.map { lens.straight(_1) }

      def longer = [@picture[:width], @picture[:height]].max

      def clockwise(corners)
        area = (corners + [corners.first]).each_cons(2).sum { |(ax, ay), (bx, by)| ax * by - bx * ay }
        area.negative? ? corners.values_at(0, 3, 2, 1) : corners
      end

      # A sheet seems to lie the way its longer sides do.
      def across?
        first, second, third, fourth = (@tapped + [@tapped.first]).each_cons(2).map { |a, b| apart(a, b) }
        (first + third > second + fourth) ^ (@turned || false)
      end

      def seen(corners)
        sides = [@sheet.width, @sheet.height]
        Measure::Perspective.of(corners, *(across? ? sides.reverse : sides))
      rescue Measure::Perspective::Impossible => impossible
        raise Plan::Refused.at("corners", CORNERS_SAY.fetch(impossible.message))
      end

      CORNERS_SAY = {
        "crossed" => "The sheet's corners are crossed: tap them one after another, round the sheet.",
        "in line" => "These are not a sheet's corners: three lie in one line, or one inside. Tap all four, one " \
          "after another."
      }.freeze
      private_constant :CORNERS_SAY

      def apart(a, b) = Math.hypot(b[0] - a[0], b[1] - a[1])

      def measured(size, index)
        length, doubt = length_and_doubt(size[:taps], "sizes.#{index}.taps")
        mark = (@units == "cm") ? MM : 1/16r
        length = (length.to_r / mark).round * mark
        give = Measure::Length.up_to_mark(doubt, mark)
        {"name" => size[:name], "length" => Measure::Length.in_units(length, @units),
         "says" => Measure::Length.text(length, units: @units),
         "sure" => "give or take #{Measure::Length.text(give, units: @units)}",
         "doubt" => Measure::Length.in_units(give, @units)}
      end

      # A length, and twice the spread that the doubt of the taps, place by place, and of the lens gives it.
      # Source: first-order propagation of errors that do not depend on each other (published: any handbook).
      def length_and_doubt(taps, at)
        check_taps(taps, at)
        length = across(@corners, straight(taps), at)
        moved = shifts(@corners, corner_doubt).map { across(_1, straight(taps), at) } +
          shifts(straight(taps), tap_doubt).map { across(@corners, _1, at) }
        other = @lens.with(bend: @lens.bend + @lens.doubt)
        moved << across(corners(other), straight(taps, other), at)
        [length, 2 * Math.sqrt(moved.sum { (_1 - length)**2 })]
      end

      def straight(places, lens = @lens) = places.map { lens.straight(_1) }

      # Within so much to either side, anywhere alike: the spread is that over the root of three.
      def corner_doubt = @found ? FOUND / Math.sqrt(3) : tap_doubt

      # How far this maker's taps are off, where the corners that were found tell: so many looks at what is usual, and
      # eight of their own.
      def tap_doubt
        @tap_doubt ||= begin
          usual = (TAP * longer)**2 / 3
          own = @found ? @tapped.zip(@corners).flat_map { |tap, corner| minus(tap, @lens.bent(corner)) } : []
          Math.sqrt((USUAL_TAPS * usual + own.sum { _1**2 }) / (USUAL_TAPS + own.size))
        end
      end

      def minus(a, b) = [a[0] - b[0], a[1] - b[1]]

      def check_taps(taps, at)
        return if taps.size >= 2 && taps.uniq.size == taps.size
        raise Plan::Refused.at(at, "Tap two edges that lie across from each other, or three and more round a circle.")
      end

      # Every place a little farther across, and a little farther down.
      def shifts(places, by)
        places.each_index.flat_map do |i|
          [[by, 0], [0, by]].map do |dx, dy|
            places.each_with_index.map { |(x, y), j| (i == j) ? [x + dx, y + dy] : [x, y] }
          end
        end
      end

      # From the one to the other of two; across the circle through more.
      def across(corners, taps, at)
        seen = seen(corners)
        places = taps.map { seen.place(_1) }
        (places.size == 2) ? apart(*places) : circle(places, at)
      rescue Measure::Perspective::Impossible
        raise Plan::Refused.at(at, "A tap lies so far from the sheet that it cannot be measured: take the picture " \
          "from farther above.")
      end

      # The circle that lies closest to some places.
      # Source: I. Kåsa, A circle fitting procedure and its error analysis, IEEE Transactions, 1976.
      def circle(places, at)
        x, y = [0, 1].map { |axis| places.sum { _1[axis] } / places.size }
        away = places.map { |px, py| [px - x, py - y] }
        uu, vv, uv = away.sum { |u, _| u * u }, away.sum { |_, v| v * v }, away.sum { |u, v| u * v }
        a, b = away.sum { |u, v| u * (u * u + v * v) } / 2, away.sum { |u, v| v * (u * u + v * v) } / 2
        whole = uu * vv - uv * uv
        if whole < 1e-6 * (uu + vv)**2
          raise Plan::Refused.at(at, "These taps lie in one line: tap all round the circle.")
        end
        u, v = (a * vv - b * uv) / whole, (b * uu - a * uv) / whole
        2 * Math.sqrt(u * u + v * v + (uu + vv) / places.size)
      end

      # The taps as corners of an own outline, upright as in the picture.
      def outline
        return if @outline.empty?
        raise Plan::Refused.at("outline", "Tap at least three corners of the outline.") if @outline.size < 3
        places = upright(@outline.map { seen(@corners).place(@lens.straight(_1)) })
        left, right = places.map(&:first).minmax
        face = lengths["face"]&.first || 0
        {"points" => places.map { |place| place.map { Measure::Length.in_units(_1, @units).round(2) } },
         "width" => Measure::Length.in_units(right - left + face, @units).round(2)}
      rescue Measure::Perspective::Impossible
        raise Plan::Refused.at("outline", "A corner lies so far from the sheet that it cannot be measured: take the " \
          "picture from farther above.")
      end

      # What is up in the picture is up on the drawing, however the sheet lies.
      def upright(places)
        x, y = [0, 1].map { |axis| @outline.sum { _1[axis] } / @outline.size }
        from, to = [[x, y + longer * 0.01], [x, y - longer * 0.01]].map { seen(@corners).place(@lens.straight(_1)) }
        turn = -Math::PI / 2 - Math.atan2(to[1] - from[1], to[0] - from[0])
        places.map do |px, py|
          [px * Math.cos(turn) - py * Math.sin(turn), px * Math.sin(turn) + py * Math.cos(turn)]
        end
      end
    end
  end
end
