# frozen_string_literal: true

require_relative "film/painter"

module Server
  module Export
    # A wreath being made as an animated picture: from the bare form to the last bow, or one step of it.
    class Film
      # How many frames a format has at most, and how it is written.
      Format = Struct.new(:frames, :save, keyword_init: true)
      FORMATS = {
        "webp" => Format.new(frames: 200, save: [:webpsave_buffer, {Q: 75, effort: 2}]),
        "gif" => Format.new(frames: 100, save: [:gifsave_buffer, {effort: 1, dither: 0}])
      }.freeze
      # Milliseconds of all frames together, and for which the finished wreath stays.
      PLAYED, STAYS = 20_000, 2_500
      # A frame is seen for so long at least, in milliseconds: of few frames there are no twenty seconds.
      LONGEST = 400

      # @param worked [Hash] a worked plan
      # @param materials [Array<Hash>] its plan's
      # @param photos [Hash{String=>String}] as {Svg::Picture} takes them
      # @param step [String, nil] the id of the step that is shown alone
      # @raise [Lantern::Plan::Refused] for a step that there is not
      def initialize(worked, materials, photos = {}, step: nil)
        @worked, @materials, @photos = worked, materials, photos
        @made = Lantern::Draw::BeingMade.new(worked)
        @range = step ? @made.of_step(step) : 0..@made.last
        @range || raise(Lantern::Plan::Refused.at("step", "There is no such step."))
      end

      # The moments that are shown: evenly, each once, from the first to the last.
      # @return [Array<Integer>]
      def moments(format)
        most = FORMATS.fetch(format).frames - 1
        (0..most).map { (@range.begin + _1.fdiv(most) * (@range.end - @range.begin)).round }.uniq
      end

      # @param format [String] one of {FORMATS}
      # @yieldparam done [Integer] frames
      # @yieldparam all [Integer]
      # @return [String] a file
      def write(format)
        require "vips"
        shown, painter = moments(format), self.painter
        frames = shown.each_with_index.map { |moment, i|
          painter.paint(@made.at(moment)).tap { yield i + 1, shown.size if block_given? && (i % 5).zero? }
        }
        save(joined(frames), FORMATS.fetch(format))
      end

      private

      # What was laid last is amber, what comes next is pale.
      LIT = {Lantern::Draw::BeingMade::LATEST => Svg::Picture::PAINTS["accent"],
             Lantern::Draw::BeingMade::NEXT => "#f6ddb6"}.freeze
      private_constant :LIT

      def painter
        Painter.new(@worked, LIT.map { |id, colour| {"id" => id, "colour" => colour} } + @materials, @photos)
      end

      def joined(frames)
        each = (PLAYED / frames.size).clamp(1, LONGEST)
        delays = [each] * (frames.size - 1) + [STAYS]
        Vips::Image.arrayjoin(frames, across: 1).mutate do |all|
          all.set_type!(GObject::GINT_TYPE, "page-height", frames.first.height)
          all.set_type!(Vips::ARRAY_INT_TYPE, "delay", delays)
          all.set_type!(GObject::GINT_TYPE, "loop", 0)
        end
      end

      def save(joined, format)
        method, options = format.save
        joined.public_send(method, **options)
      end
    end
  end
end
