# frozen_string_literal: true

require_relative "../svg/picture"

module Server
  module Export
    class Film
      # Paints a wreath that grows, frame after frame. What lay there in the frame before is not drawn again, but what
      # was added is laid on it, in its place among the layers: so a frame takes milliseconds, not tenths of a second.
      class Painter
        # Pixels across, and at most down.
        WIDE, HIGH = 480, 640
        PAPER = [0xfd, 0xfc, 0xf8].freeze

        # @param worked [Hash] a worked plan
        # @param materials [Array<Hash>] its plan's, and those that lies are lit with
        # @param photos [Hash{String=>String}] as {Svg::Picture} takes them
        def initialize(worked, materials, photos)
          @worked, @materials, @photos = worked, materials, photos
          whole = Svg::Picture.new(worked, materials)
          @scale = [WIDE, HIGH * whole.proportion].min.fdiv(Svg::Picture::WIDE)
          @grown, @forms = {}, {}
        end

        # @param drawing [Hash] as {Lantern::Draw::BeingMade} has it; none of its lies has fewer pieces than before
        # @return [Vips::Image]
        def paint(drawing)
          lies = drawing["layers"].reject { _1["front"].empty? }
          pictures = lies.chunk_while { |one, next_one| lit?(one) && lit?(next_one) }
            .map { |together| lit?(together.first) ? drawn(together) : grown(together.first) }
          form(lies).composite(pictures, :over).flatten(background: PAPER)[0..2].copy_memory
        end

        private

        def lit?(lie) = [Lantern::Draw::BeingMade::LATEST, Lantern::Draw::BeingMade::NEXT].intersect?(lie["materials"])

        # The form, in the colour of its coat where that is on it.
        def form(lies)
          coats = lies.select { Lantern::Place::Lie::KINDS.fetch(_1["kind"]).look.coat? }
          @forms[coats] ||= picture("layers" => coats)
        end

        # A lie as far as it is there, on what was there of it before.
        def grown(lie)
          before, image = @grown.fetch([lie["layer"], lie["key"]], [0, nil])
          count = lie["front"].size
          return image if count == before
          beside = %w[written pictured].to_h { [_1, lie[_1]&.drop(before)] }
          added = drawn([lie.merge("front" => lie["front"].drop(before), **beside)])
          image = image ? image.composite(added, :over).copy_memory : added
          @grown[[lie["layer"], lie["key"]]] = [count, image]
          image
        end

        def drawn(lies) = picture("layers" => lies, "form" => @worked["drawing"]["form"].merge("marks" => []))

        def picture(of)
          svg = Svg::Picture.new(@worked.merge("drawing" => @worked["drawing"].merge(of)), @materials, @photos).svg
          Vips::Image.svgload_buffer(svg, scale: @scale, unlimited: true).copy_memory
        end
      end
    end
  end
end
