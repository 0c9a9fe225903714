# frozen_string_literal: true

require "vips"

# Pictures for specs, as data addresses.
module Pictured
  # A picture of one colour, or of a pattern of its own.
  # @param kind [Symbol] `:png`, `:jpeg` or `:webp`
  # @param about [Hash{String=>String}] what a camera writes into it besides
  def picture(width: 40, height: 30, colour: [200, 90, 40], kind: :png, turned: nil, about: {})
    made = (Vips::Image.black(width, height) + colour).cast(:uchar).copy(interpretation: :srgb)
    made = made.mutate { |each|
      each.set_type!(GObject::GINT_TYPE, "orientation", turned) if turned
      about.each { |name, value| each.set_type!(GObject::GSTR_TYPE, name, value) }
    }
    address(kind, made.public_send(:"#{kind}save_buffer"))
  end

  def address(kind, bytes) = "data:image/#{kind};base64,#{[bytes].pack("m0")}"

  # A kept picture, read again.
  def seen(bytes) = Vips::Image.new_from_buffer(bytes, "")
end

RSpec.configure { |config| config.include Pictured, :api }
