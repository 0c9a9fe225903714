# frozen_string_literal: true

RSpec.describe Lantern::Trim::Overlap do
  def wood = {"id" => "wood", "kind" => "piece", "name" => "Wooden heart", "offers" => [{"count" => 1, "price" => "2"}]}

  # The findings of the last layer.
  def told(*layers)
    worked = Lantern.work(plan(form: foam(14, 10), materials: [ribbon(width: 2, wired: true), wood], layers:))
    worked["layers"].last["findings"].to_h { [_1["code"], _1["says"]] }.slice("hides", "hangs_over", "hides_beneath")
  end

  def heart(**more) = layer("attach", "wood", id: "heart", what: "wooden heart", at: "middle", size: 4, drop: 2, **more)

  def board(**more) = layer("attach", "wood", id: "board", what: "other", size: 4, **more)

  it "says what hangs over a thing that is to be seen, and what hides nearly all of one" do
    bow = ->(tail) { layer("bow", "tape", id: "bow", at: 12, tail:) }
    expect(told(heart(drop: 5), bow.call(6)))
      .to match("hangs_over" => /over the wooden heart and hides about \d tenths/)
    expect(told(heart, bow.call(9))).to match("hides" => /of the wooden heart: move one of them/)
    expect(told(heart(drop: 5), layer("bow", "tape", id: "bow", at: 6, tail: 8))).to eq({})
  end

  # Two discs of a size, their middles d apart, share 2 r² acos(d/2r) − d/2 √(4r² − d²): the lens of two circles.
  it "says by tenths how much of one disc another hides" do
    size, apart = 4.0, 1.0
    r = size / 2
    lens = 2 * r**2 * Math.acos(apart / size) - apart / 2 * Math.sqrt(4 * r**2 - apart**2)
    share = lens / (Math::PI * r**2)
    disc = ->(id, at) { layer("attach", "wood", id:, what: "lights", size: 4, at:) }
    # The middle of the band is 6 in from the middle of the ring: an hour there is π in along it.
    hours = apart / Math::PI
    expect(told(disc.call("one", 4), disc.call("two", 4 + hours))["hides"])
      .to include "about #{(share * 10).round} tenths of the string of lights at 4 o’clock"
  end

  it "lets what is stacked show, and what is laid over everything hide" do
    board = board(at: 6)
    over = ->(**more) { layer("attach", "wood", id: "over", at: 6, **more) }
    expect(told(board, over.call(what: "other", size: 5, on: "board"))).to match("hides_beneath" => /hides the piece/)
    expect(told(board, over.call(what: "other", size: 2, on: "board"))).to eq({})
    expect(told(board, over.call(what: "overlay", size: 12, at: 5))).to eq({})
  end

  it "looks at them in the order of the hands, not of the plan" do
    small, large = board(size: 2, at: 6, on: "large"), board(size: 5, at: 6).merge("id" => "large")
    expect(told(small, large)).to eq({})
  end
end
