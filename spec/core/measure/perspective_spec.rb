# frozen_string_literal: true

require "matrix"
require_relative "../../support/helper"

RSpec.describe Lantern::Measure::Perspective do
  corners = [[210, 130], [905, 180], [860, 1020], [170, 940]]
  subject(:seen) { described_class.of(corners, 8.5, 11) }

  # Source: the direct linear transformation of four places, eight equations for eight unknowns (published: any
  # handbook of computer vision), solved by the matrix library.
  def solved(from, to)
    rows = from.zip(to).flat_map { |(x, y), (u, v)|
      [[x, y, 1, 0, 0, 0, -u * x, -u * y], [0, 0, 0, x, y, 1, -v * x, -v * y]]
    }
    h = Matrix.rows(rows.map { |row| row.map(&:to_r) }).lup.solve(Vector.elements(to.flatten.map(&:to_r))).to_a
    ->((x, y)) { [0, 3].map { |i| ((h[i] * x + h[i + 1] * y + h[i + 2]) / (h[6] * x + h[7] * y + 1)).to_f } }
  end

  it "puts a place where eight equations put it" do
    other = solved(corners, [[0, 0], [8.5r, 0], [8.5r, 11], [0, 11]])
    [[210, 130], [860, 1020], [500, 500], [1700, 40], [3, 1400]].each do |pixel|
      expect(seen.place(pixel).zip(other.call(pixel)).map { (_1 - _2).abs }).to all(be < 1e-9)
    end
  end

  it "refuses corners that cross or lie in line, and a place beyond the horizon" do
    refused = ->(corners) { raise_error(described_class::Impossible, corners) }
    expect { described_class.of(corners.values_at(0, 2, 1, 3), 1, 1) }.to refused.call("crossed")
    expect { described_class.of([[0, 0], [5, 5], [10, 10], [0, 9]], 1, 1) }.to refused.call("in line")
    expect { described_class.of([[7, 7]] * 4, 1, 1) }.to refused.call("in line")
    # Sides that meet far up: what lies above where they meet is not on the table.
    steep = described_class.of([[400, 500], [600, 500], [900, 900], [100, 900]], 8.5, 11)
    expect(steep.place([500, 480])[1]).to be < 0
    expect { steep.place([500, 200]) }.to refused.call("beyond")
  end
end
