# frozen_string_literal: true

require_relative "pinhole"

# A camera before a door 36 in wide: a letter sheet on it, its upper left corner at the origin, and a colour. Places on
# the door in inches, right and down.
class PhotoOfDoor
  WIDE, HIGH, FOCAL = 1500, 2000, 1600
  SHEET = [[0, 0], [8.5, 0], [8.5, 11], [0, 11]].freeze
  # The door's left and right edges, seen from the sheet; where the camera looks.
  LEFT, RIGHT = -14.0, 22.0
  LOOKS = [4.0, -14.0].freeze

  # @param pan [Float] how far it looks from the side, in radians; `tilt` from below, `roll` aslant
  # @param k1 [Float] Brown's first radial coefficient
  # @param far [Float] inches from the door
  # @param looks [(Float, Float)] the place on the door in the middle of the picture
  def initialize(pan:, tilt:, roll: 0.0, k1: 0.0, far: 90.0, looks: LOOKS, paint: "#20323e")
    @k1, @paint = k1, paint
    pose = Pinhole.pose(tilt:, pan:, roll:)
    @to_picture = Pinhole.plane(pose, at: looks, far:, focal: FOCAL, size: [WIDE, HIGH]).to_a
  end

  attr_reader :k1

  # The bend of a lens as the core says it, in halves of the picture's diagonal: the same curve, in other lengths.
  def self.lens(k1) = k1 * (Math.hypot(WIDE, HIGH) / 2 / FOCAL)**2

  # Published: the pinhole camera, and Brown's first radial coefficient, in focal lengths from the picture's middle.
  def pixel((right, down))
    x, y, depth = @to_picture.map { |a, b, c| a * right + b * down + c }
    at = [x / depth, y / depth].zip([WIDE, HIGH]).map { |here, side| (here - side / 2.0) / FOCAL }
    bent = 1 + @k1 * at.sum { _1 * _1 }
    at.zip([WIDE, HIGH]).map { |here, side| here * bent * FOCAL + side / 2.0 }
  end

  def corners = SHEET.map { pixel(_1) }

  # The door's edges, where a wreath hangs.
  def edges(down = LOOKS[1]) = [[LEFT, down], [RIGHT, down]].map { pixel(_1) }

  # @return [Hash] what a maker says of it
  def place(**more) = {"units" => "in", "sheet" => "letter", "corners" => corners, "edges" => edges,
                       "photo" => {"id" => "0" * 64, "width" => WIDE, "height" => HIGH}, **more.transform_keys(&:to_s)}

  # @return [String] a PNG file
  def png
    require "vips"
    shape = ->(places, fill) { %(<polygon fill="#{fill}" points="#{places.map { pixel(_1).join(",") }.join(" ")}"/>) }
    # An edge is as straight as its lens lets it be.
    round = ->(box) {
      (box + [box[0]]).each_cons(2)
        .flat_map { |(a, b), (c, d)| (0...40).map { |i| [a + (c - a) * i / 40.0, b + (d - b) * i / 40.0] } }
    }
    door = [[LEFT, -60], [RIGHT, -60], [RIGHT, 20], [LEFT, 20]]
    svg = %(<svg xmlns="http://www.w3.org/2000/svg" width="#{WIDE}" height="#{HIGH}">) +
      %(<rect width="#{WIDE}" height="#{HIGH}" fill="#b9a793"/>#{shape[round[door], @paint]}) +
      %(#{shape[round[SHEET], "#f4f1e8"]}</svg>)
    Vips::Image.svgload_buffer(svg).flatten.pngsave_buffer
  end
end
