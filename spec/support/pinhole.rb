# frozen_string_literal: true

require "matrix"

# A camera that looks at a plane (published: the pinhole camera).
module Pinhole
  # How it is turned, in radians.
  # @return [Matrix]
  def self.pose(tilt:, pan:, roll:)
    turn = ->(a, i, j) {
      Matrix.identity(3).to_a.tap { |m|
        m[i][i] = m[j][j] = Math.cos(a)
        m[i][j] = -Math.sin(a)
        m[j][i] = Math.sin(a)
      }.then { Matrix.rows(_1) }
    }
    turn.call(roll, 0, 1) * turn.call(tilt, 1, 2) * turn.call(pan, 0, 2)
  end

  # From a place on the plane (x, y, 1) to the picture: the plane's own two directions and its origin before the camera,
  # times the lens.
  # @param at [(Float, Float)] the place that is in the middle of the picture
  # @return [Matrix]
  def self.plane(pose, at:, far:, focal:, size:)
    columns = [pose.column(0), pose.column(1), pose * Vector[-at[0], -at[1], 0] + Vector[0, 0, far]]
    Matrix[[focal, 0, size[0] / 2], [0, focal, size[1] / 2], [0, 0, 1]] * Matrix.columns(columns.map(&:to_a))
  end
end
