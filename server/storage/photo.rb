# frozen_string_literal: true

require_relative "../http/problem"

module Server
  # Pictures that come from outside: whether they are what they say, and made safe. A picture that is kept was decoded
  # and written anew, upright, no larger than it has to be, with nothing in it but what is seen.
  module Photo
    MOST = 6_000_000
    # A photo is what its first bytes say it is.
    BEGINNINGS = {"image/jpeg" => "\xFF\xD8\xFF".b, "image/png" => "\x89PNG\r\n".b, "image/webp" => "RIFF".b}.freeze
    LOADERS = {"image/jpeg" => :jpegload_buffer, "image/png" => :pngload_buffer,
               "image/webp" => :webpload_buffer}.freeze
    # More pixels than a telephone's camera has are no photo but a way to fill the memory.
    MOST_PIXELS = 80_000_000
    # The longer side of what is kept.
    LONGEST = 2000
    # Either side of a piece of cloth.
    CLOTH = 512
    QUALITY = 85
    # The longer side of a thing that was cut out.
    THING = 400
    # Pixels across of a picture that is only tried.
    THUMB = 32
    ADDRESS = %r{\Adata:(image/(?:jpeg|png|webp));base64,([A-Za-z0-9+/=\s]+)\z}

    # A picture that was made safe, and its colour on the whole.
    Safe = Struct.new(:type, :bytes, :width, :height, :colour)

    module_function

    # @param type [String, nil]
    # @param bytes [String, nil]
    def picture?(type, bytes)
      BEGINNINGS.key?(type) && !bytes.nil? && bytes.bytesize <= MOST && bytes.b.start_with?(BEGINNINGS.fetch(type))
    end

    # Whether a picture that was kept elsewhere can be shown: it is what it says it is, and can be decoded.
    def shows?(type, bytes)
      return false unless picture?(type, bytes)
      load_library
      head = Vips::Image.public_send(LOADERS.fetch(type), bytes)
      head.width * head.height <= MOST_PIXELS && Vips::Image.thumbnail_buffer(bytes, THUMB).avg >= 0
    rescue Vips::Error
      false
    end

    # Decodes a picture and writes it anew.
    # @param address [String] a data address
    # @param at [String] where problems are
    # @param square [Boolean] whether only its middle is kept, as a piece of cloth to draw with
    # @param cut_out [Boolean] whether what is clear in it stays clear
    # @return [Safe]
    # @raise [Problem]
    def safe(address, at: "picture", square: false, cut_out: false)
      type, bytes = address.to_s.match(ADDRESS)&.captures
      bytes &&= bytes.unpack1("m")
      refuse(at, "The photo must be a JPEG, PNG or WebP picture of at most 6 MB.") unless picture?(type, bytes)
      picture = opened(type, bytes, at, square, cut_out ? THING : LONGEST)
      (cut_out && picture.has_alpha?) ? written_clear(picture, at) : written(picture, at)
    end

    # @param bytes [String] a picture as a file has it
    # @return [String] the same as a data address, or nothing where it is none
    def address(bytes)
      type, = BEGINNINGS.find { |_, beginning| bytes.b.start_with?(beginning) }
      type ? "data:#{type};base64,#{[bytes].pack("m0")}" : ""
    end

    # A picture as grey, for who looks for edges in it.
    # @return [Proc] the brightness of a pixel, 0 to 255; nil outside
    def brightness(bytes)
      load_library
      grey = Vips::Image.new_from_buffer(bytes, "").colourspace(:b_w).extract_band(0)
      width, height, light = grey.width, grey.height, grey.write_to_memory
      ->(x, y) { light.getbyte(y * width + x) if x.between?(0, width - 1) && y.between?(0, height - 1) }
    end

    # The colour that most of a picture has about a pixel.
    # @param far [Integer] pixels to either side
    # @return [String] as `#rrggbb`
    def colour_about(bytes, x, y, far)
      load_library
      picture = Vips::Image.new_from_buffer(bytes, "").colourspace(:srgb)
      left, right = [x - far, x + far].map { _1.clamp(0, picture.width - 1) }
      top, bottom = [y - far, y + far].map { _1.clamp(0, picture.height - 1) }
      part = picture.crop(left, top, right - left + 1, bottom - top + 1)
      format("#%02x%02x%02x", *(0..2).map { part.extract_band(_1).percent(50) })
    end

    # The library is loaded where a picture is first opened: it keeps threads, which no process that forks may have.
    def load_library
      # A damaged picture is refused with a sentence; the library need not write one too.
      ENV["VIPS_WARNING"] ||= "0"
      require "vips"
      Vips.concurrency_set(1)
      Vips.cache_set_max(0)
    end

    # The head of a picture says how large it is before anything of it is unpacked.
    def opened(type, bytes, at, square, longest)
      load_library
      head = Vips::Image.public_send(LOADERS.fetch(type), bytes)
      if head.width * head.height > MOST_PIXELS
        refuse(at,
          "This picture has #{head.width} x #{head.height} pixels: more than any camera takes. Make it smaller.")
      end
      # Photos from a telephone say which way up they are; after this it is so.
      return Vips::Image.thumbnail_buffer(bytes, CLOTH, height: CLOTH, crop: :centre, fail_on: :truncated) if square
      Vips::Image.thumbnail_buffer(bytes, longest, height: longest, size: :down, fail_on: :truncated)
    rescue Vips::Error
      refuse(at, BROKEN)
    end

    def written(picture, at)
      picture = picture.flatten(background: 255) if picture.has_alpha?
      picture = picture.colourspace(:srgb)
      picture = picture.copy_memory
      Safe.new("image/jpeg", picture.jpegsave_buffer(Q: QUALITY, strip: true), picture.width, picture.height,
        average(picture))
    rescue Vips::Error
      refuse(at, BROKEN)
    end

    # What was cut out; its colour is that of what is left of it.
    def written_clear(picture, at)
      picture = picture.colourspace(:srgb).copy_memory
      clear = picture.extract_band(3).avg
      refuse(at, "Nothing is left of this picture: everything in it is clear.") if clear < 1
      seen = picture.flatten(background: 0)
      colour = format("#%02x%02x%02x", *(0..2).map { (seen.extract_band(_1).avg * 255 / clear).round.clamp(0, 255) })
      Safe.new("image/png", picture.pngsave_buffer(compression: 9, strip: true), picture.width, picture.height, colour)
    rescue Vips::Error
      refuse(at, BROKEN)
    end

    # The colour that it has on the whole, as `#rrggbb`.
    def average(picture) = format("#%02x%02x%02x", *(0..2).map { picture.extract_band(_1).avg.round })

    BROKEN = "This picture cannot be read to its end: it is damaged, or is not what it says it is."

    def refuse(at, says) = raise(Problem.at(at, says))

    private_class_method :load_library, :opened, :written, :written_clear, :average, :refuse
  end
end
