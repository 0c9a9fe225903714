# frozen_string_literal: true

require_relative "pinhole"

# A camera over a table: a sheet lies at the origin, 8 1/2 x 11 in, and a form 14 in across beside it.
class PhotoOfTable
  WIDE, HIGH, FOCAL = 2000, 1500, 1600
  SHEET = [[0, 0], [8.5, 0], [8.5, 11], [0, 11]].freeze
  RING = [17.5, 6.0].freeze
  # From memory: a white page, a table of wood, and the noise of a phone indoors, of 255.
  PAGE, TABLE, NOISE = 215, 120, 6

  def initialize(tilt:, pan:, roll:, k1: 0.0, random: Random.new(7))
    @random, @k1 = random, k1
    pose = Pinhole.pose(tilt:, pan:, roll:)
    to_picture = Pinhole.plane(pose, at: [12.5, 6.0], far: 27, focal: FOCAL, size: [WIDE, HIGH])
    @table_to_picture, @picture_to_table = to_picture.to_a, to_picture.inverse.to_a
  end

  def pixel(place) = bend(through(@table_to_picture, place))

  def place(pixel) = through(@picture_to_table, unbend(pixel))

  # Published: Brown's first radial coefficient, in focal lengths from the middle of the picture.
  def bend(pixel)
    x, y = pixel.zip([WIDE, HIGH]).map { |at, side| (at - side / 2.0) / FOCAL }
    [x, y].zip([WIDE, HIGH]).map { |at, side| at * (1 + @k1 * (x * x + y * y)) * FOCAL + side / 2.0 }
  end

  # The distance from the middle that is bent to where the pixel is, by Newton's steps.
  def unbend(pixel)
    return pixel if @k1.zero?
    x, y = pixel.zip([WIDE, HIGH]).map { |at, side| (at - side / 2.0) / FOCAL }
    far = Math.hypot(x, y)
    return pixel if far.zero?
    r = 4.times.reduce(far) { |at, _| at - (at * (1 + @k1 * at * at) - far) / (1 + 3 * @k1 * at * at) }
    [x, y].zip([WIDE, HIGH]).map { |at, side| at / far * r * FOCAL + side / 2.0 }
  end

  # Brightness as a sensor has it: four looks into a pixel, and noise.
  def light(x, y)
    return unless x.between?(0, WIDE - 1) && y.between?(0, HIGH - 1)
    looks = [[-0.25, -0.25], [0.25, -0.25], [-0.25, 0.25], [0.25, 0.25]].sum do |dx, dy|
      u, v = place([x + dx, y + dy])
      (u.between?(0, 8.5) && v.between?(0, 11)) ? PAGE : TABLE
    end
    looks / 4.0 + (@random.rand - 0.5) * 2 * NOISE
  end

  def sheet(off) = SHEET.map { near(pixel(_1), off) }

  def round(across, off, taps: 8) = (0...taps).map { |i|
    near(pixel(rim(across, 2 * Math::PI * i / taps)), off)
  }

  def near(pixel, off) = pixel.map { _1 + (@random.rand * 2 - 1) * off }

  # The same as a file: the sheet, and a ring 14 in across with an opening of 8, on the table.
  def png
    require "vips"
    shape = ->(places, fill) { %(<polygon fill="#{fill}" points="#{places.map { pixel(_1).join(",") }.join(" ")}"/>) }
    circle = ->(across) { (0...180).map { |i| rim(across, i * Math::PI / 90) } }
    svg = %(<svg xmlns="http://www.w3.org/2000/svg" width="#{WIDE}" height="#{HIGH}">) +
      %(<rect width="#{WIDE}" height="#{HIGH}" fill="#78684f"/>#{shape[SHEET, "#efece2"]}) +
      %(#{shape[circle[14.0], "#3f574f"]}#{shape[circle[8.0], "#78684f"]}</svg>)
    Vips::Image.svgload_buffer(svg).flatten.pngsave_buffer
  end

  # A place on a circle about the middle of the form.
  def rim(across, angle) = [RING[0] + across / 2 * Math.cos(angle), RING[1] + across / 2 * Math.sin(angle)]

  private

  def through(rows, (x, y))
    (a, b, c), (d, e, f), (g, h, i) = rows
    depth = g * x + h * y + i
    [(a * x + b * y + c) / depth, (d * x + e * y + f) / depth]
  end
end
