# frozen_string_literal: true

require_relative "../../support/helper"
require_relative "../../support/photo_of_door"
require "vips"

RSpec.describe Lantern::Door::Place do
  def read(said) = described_class.read(said)

  def refused(said)
    read(said)
    nil
  rescue Lantern::Plan::Refused => refused
    refused.problems.map { [_1.at, _1.says] }
  end

  let(:camera) { PhotoOfDoor.new(pan: 0.3, tilt: 0.1, roll: 0.02) }

  it "is wanted with something whose size is known" do
    expect(refused({"units" => "in"})).to match [["wide", /how wide it is, or choose a photo/]]
    photo = camera.place.slice("units", "photo")
    expect(refused(photo)).to match [["corners", /Nothing in this photo says how large it is/]]
    expect(refused(photo.merge("edges" => camera.edges))).to match [["corners", /how wide it is/]]
    expect(refused(photo.merge("edges" => [[5, 5], [5, 5]], "wide" => 36)))
      .to match [["edges", /one and the same/]]
    expect(refused(camera.place.merge("corners" => camera.corners.values_at(0, 2, 1, 3))))
      .to match [["corners", /crossed/]]
    expect(refused(photo.merge("edges" => [[5, 5], [9e5, 5]], "wide" => 36)))
      .to match [["edges", /outside the picture/]]
    expect(refused({"units" => "in", "wide" => "a lot", "paint" => "blue", "light" => "within"}).map(&:first))
      .to match_array %w[wide paint light]
  end

  it "knows how wide its door is by the sheet, and how sure that is" do
    # 36 in from edge to edge, seen from the side by the pinhole camera.
    wide, doubt = read(camera.place).wide
    expect(wide).to be_within(doubt).of(36)
    expect(doubt).to be_between(0.05, 3.0)
    expect(read(camera.place("wide" => 35)).wide).to eq [35, 0]
    expect(read({"units" => "cm", "wide" => 90}).wide[0]).to eq 90 / 2.54r
  end

  # Whichever corner was tapped first, and whichever way round, the sheet was taped straight.
  it "has the same up however the sheet's corners were tapped" do
    at = camera.pixel([4, -14])
    ways = 4.times.map { camera.corners.rotate(_1) } + [camera.corners.reverse]
    shown = ways.map do |corners|
      place = read(camera.place("corners" => corners))
      right, down = place.axes(at)
      here = place.on_door(at)
      [place.pixel([here[0] + 5 * right[0], here[1] + 5 * right[1]]),
        place.pixel([here[0] + 5 * down[0], here[1] + 5 * down[1]])]
    end
    shown.each do |(beside, below)|
      expect(beside.zip(camera.pixel([9, -14])).map { |a, b| (a - b).abs }.max).to be < 0.5
      expect(below.zip(camera.pixel([4, -9])).map { |a, b| (a - b).abs }.max).to be < 0.5
    end
  end

  it "keeps what its photo showed, and needs the photo no more" do
    bent = PhotoOfDoor.new(pan: 0.3, tilt: 0.1, k1: -0.08)
    off = bent.corners.map { |x, y| [x + 3, y - 2] }
    picture = Vips::Image.new_from_buffer(bent.png, "").colourspace(:b_w).extract_band(0)
    bytes = picture.write_to_memory
    looked = described_class.look(bent.place("corners" => off)) { |x, y|
      bytes.getbyte(y * picture.width + x) if x.between?(0, picture.width - 1) && y.between?(0, picture.height - 1)
    }
    # A pixel's middle is half a pixel from its edge.
    seen = looked["seen"]["corners"].zip(bent.corners).flat_map { |a, b| [a[0] + 0.5 - b[0], a[1] + 0.5 - b[1]] }
    expect(seen.map(&:abs).max).to be < 0.6
    expect(read(JSON.parse(JSON.generate(looked))).wide[0]).to be_within(0.3).of(36)
    # With what was seen it is measured better than with the taps alone.
    off_by = [looked, bent.place("corners" => off)].map { (read(_1).wide[0] - 36).abs }
    expect(off_by[0]).to be < off_by[1]
  end

  it "hangs a wreath as high as eyes are on a door that is drawn" do
    place = read({"units" => "in", "wide" => 36, "tall" => 80})
    # 58 in over the floor (from memory), twelve pixels to an inch.
    expect(place.usual).to eq [18 * 12, (80 - 58) * 12]
    expect(place.panels.size).to eq 4
    expect(place.on_door(place.usual)).to eq [18.0, 22.0]
  end
end
