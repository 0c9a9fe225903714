# frozen_string_literal: true

require_relative "svg/picture"
require_relative "../../core/lantern"

module Server
  module Export
    # A wreath on a door as a picture, as large as the photo of the door: its drawing turned into the photo's
    # perspective, above its shadow.
    class OnDoor
      QUALITY = 90
      # How dark a shadow is, and how many times its softness it reaches beyond itself.
      DARK, REACH = 0.5, 3
      # A shadow is no softer than so many pixels, however near it is seen.
      SOFTEST = 120
      # A door whose colour nobody said.
      GREY = "#8c8c86"
      # What is beyond the picture's edges.
      PAPER = [0xf9, 0xf6, 0xee].freeze
      # The drawing is made so many times larger than it is seen, so that nothing is coarse.
      FINE = 1.5
      # And no wider than so many pixels, however near it is seen.
      FINEST = 4000

      # What is shown of every door where several are beside one another, in inches: across, and down. Two fifths of it
      # are above the middle of the wreath.
      WINDOW, ABOVE = [44, 60], 0.4

      # @param asked [Hash] as {Lantern::Ask::OnDoor} takes it
      # @param photos [Hash{String=>String}] of the wreath's materials, as data addresses
      # @param bytes [String, nil] the photo of the place
      def initialize(asked, photos, bytes)
        plan, @bytes = asked["plan"], bytes
        work = Lantern::Work.read(plan)
        @place, back = Lantern::Door::Place.read(asked["place"]), asked["back"] == true
        hung = Lantern::Door::Hung.new(work, @place, at: asked["at"], back:)
        @matrix, @corners, @at, @scale = hung.matrix, hung.corners, hung.at, hung.scale
        @shadow = hung.shadow.map { _1 * @scale }
        drawn = {"name" => work.plan.name, "drawing" => work.drawing}
        @drawing = Svg::Picture.new(drawn, plan["materials"] || [], photos, back:)
        @factor = 1.0
      end

      # @param scale [Numeric, nil] pixels to an inch, of no more than the window about the wreath; all of the place as
      #   large as it is without it
      # @return [String] a JPEG file
      def jpeg(scale: nil)
        require "vips"
        return picture.jpegsave_buffer(Q: QUALITY, strip: true) unless scale
        @factor = scale / @scale
        width, height = WINDOW.map { (_1 * scale).round }
        x, y = grown(@at)
        picture.embed((width / 2.0 - x).round, (height * ABOVE - y).round, [picture.width, width].max * 2,
          [picture.height, height].max * 2, extend: :background, background: PAPER)
          .crop(0, 0, width, height).jpegsave_buffer(Q: QUALITY, strip: true)
      end

      private

      # So many times as large as the place's own picture.
      def grown(numbers) = numbers.map { _1 * @factor }

      def picture = @picture ||= drawn

      def drawn
        wreath = turned
        across, down, = shadow
        dark = wreath.extract_band(3).gaussblur([soft / 2, 0.5].max) * DARK
        black = dark.new_from_image([0, 0, 0]).bandjoin(dark).copy(interpretation: :srgb)
        place.composite2(black, :over, x: left + across.round, y: top + down.round)
          .composite2(wreath, :over, x: left, y: top)
          .flatten.cast(:uchar)
      end

      def place
        if @bytes
          photo = Vips::Image.new_from_buffer(@bytes, "").colourspace(:srgb)
          return (@factor == 1) ? photo : photo.resize(@factor)
        end
        Vips::Image.svgload_buffer(door).flatten.colourspace(:srgb)
      end

      # A door that is drawn: its colour, and panels that the light comes down on.
      def door
        width, height = size.map(&:round)
        panels = @place.panels.map { grown(_1) }.map do |left, top, wide, high|
          %(<rect x="#{left}" y="#{top}" width="#{wide}" height="#{high}" fill="none" stroke="#000000" ) +
            %(stroke-opacity="0.25" stroke-width="#{width * 0.008}"/>)
        end
        %(<svg xmlns="http://www.w3.org/2000/svg" width="#{width}" height="#{height}">) +
          %(<rect width="#{width}" height="#{height}" fill="#{@place.paint || GREY}"/>#{panels.join}</svg>)
      end

      # What of the place it is drawn on: as much of its box as the picture shows, with room for the shadow's softness.
      def bounds
        @bounds ||= begin
          room = REACH * soft
          box.zip(size).map do |(from, to), most|
            [[from - room, -room].max.floor, [to + room, most + room].min.ceil]
          end
        end
      end

      def box = @corners.map { grown(_1) }.transpose.map(&:minmax)

      def size = grown(@place.size)

      def shadow = grown(@shadow)

      def soft = [shadow[2], SOFTEST].min

      def left = bounds[0][0]

      def top = bounds[1][0]

      # The drawing as the place shows it: for every pixel, where on the drawing it lies.
      def turned
        wide = (FINE * box[0].reduce { _2 - _1 }).ceil.clamp(1, FINEST)
        drawn = Vips::Image.svgload_buffer(@drawing.svg, scale: wide / Svg::Picture::WIDE.to_f, unlimited: true)
        x, y, across, down = @drawing.box
        from_x, from_y = on_drawing.then { |u, v| [(u - x) * (drawn.width / across), (v - y) * (drawn.height / down)] }
        drawn.premultiply.mapim(from_x.bandjoin(from_y), interpolate: Vips::Interpolate.new(:bicubic), background: 0)
          .unpremultiply.cast(:uchar).copy(interpretation: :srgb)
      end

      def on_drawing
        places = Vips::Image.xyz(bounds[0][1] - left, bounds[1][1] - top)
        x, y = places.extract_band(0) + left + 0.5, places.extract_band(1) + top + 0.5
        u, v, depth = inverse.map { |a, b, c| x * a + y * b + c }
        [u / depth, v / depth]
      end

      # From the picture back to the drawing.
      def inverse
        (a, b, c), (d, e, f), (g, h, i) = [*@matrix.first(2).map { grown(_1) }, @matrix.last]
        [[e * i - f * h, c * h - b * i, b * f - c * e], [f * g - d * i, a * i - c * g, c * d - a * f],
          [d * h - e * g, b * g - a * h, a * e - b * d]]
      end
    end
  end
end
