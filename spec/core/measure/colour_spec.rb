# frozen_string_literal: true

require_relative "../../support/helper"
require "vips"

RSpec.describe Lantern::Measure::Colour do
  # Source: G. Sharma, W. Wu and E. Dalal, The CIEDE2000 color-difference formula: implementation notes, supplementary
  # test data, and mathematical observations, Color Research and Application 30 (2005), table 1.
  let(:pairs) { <<~TABLE.lines.map { |line| line.split.map(&:to_f) } }
    50.0000 2.6772 -79.7751 50.0000 0.0000 -82.7485 2.0425
    50.0000 3.1571 -77.2803 50.0000 0.0000 -82.7485 2.8615
    50.0000 2.8361 -74.0200 50.0000 0.0000 -82.7485 3.4412
    50.0000 -1.3802 -84.2814 50.0000 0.0000 -82.7485 1.0000
    50.0000 -1.1848 -84.8006 50.0000 0.0000 -82.7485 1.0000
    50.0000 -0.9009 -85.5211 50.0000 0.0000 -82.7485 1.0000
    50.0000 0.0000 0.0000 50.0000 -1.0000 2.0000 2.3669
    50.0000 -1.0000 2.0000 50.0000 0.0000 0.0000 2.3669
    50.0000 2.4900 -0.0010 50.0000 -2.4900 0.0009 7.1792
    50.0000 2.4900 -0.0010 50.0000 -2.4900 0.0010 7.1792
    50.0000 2.4900 -0.0010 50.0000 -2.4900 0.0011 7.2195
    50.0000 2.4900 -0.0010 50.0000 -2.4900 0.0012 7.2195
    50.0000 -0.0010 2.4900 50.0000 0.0009 -2.4900 4.8045
    50.0000 -0.0010 2.4900 50.0000 0.0010 -2.4900 4.8045
    50.0000 -0.0010 2.4900 50.0000 0.0011 -2.4900 4.7461
    50.0000 2.5000 0.0000 50.0000 0.0000 -2.5000 4.3065
    50.0000 2.5000 0.0000 73.0000 25.0000 -18.0000 27.1492
    50.0000 2.5000 0.0000 61.0000 -5.0000 29.0000 22.8977
    50.0000 2.5000 0.0000 56.0000 -27.0000 -3.0000 31.9030
    50.0000 2.5000 0.0000 58.0000 24.0000 15.0000 19.4535
    50.0000 2.5000 0.0000 50.0000 3.1736 0.5854 1.0000
    50.0000 2.5000 0.0000 50.0000 3.2972 0.0000 1.0000
    50.0000 2.5000 0.0000 50.0000 1.8634 0.5757 1.0000
    50.0000 2.5000 0.0000 50.0000 3.2592 0.3350 1.0000
    60.2574 -34.0099 36.2677 60.4626 -34.1751 39.4387 1.2644
    63.0109 -31.0961 -5.8663 62.8187 -29.7946 -4.0864 1.2630
    61.2901 3.7196 -5.3901 61.4292 2.2480 -4.9620 1.8731
    35.0831 -44.1164 3.7933 35.0232 -40.0716 1.5901 1.8645
    22.7233 20.0904 -46.6940 23.0331 14.9730 -42.5619 2.0373
    36.4612 47.8580 18.3852 36.2715 50.5065 21.2231 1.4146
    90.8027 -2.0831 1.4410 91.1528 -1.6435 0.0447 1.4441
    90.9257 -0.5406 -0.9208 88.6381 -0.8985 -0.7239 1.5381
    6.7747 -0.2908 -2.4247 5.8714 -0.0985 -2.2286 0.6377
    2.0776 0.0795 -1.1350 0.9033 -0.0636 -0.5514 0.9082
  TABLE

  def lab(numbers) = described_class.new(**%i[light red yellow].zip(numbers).to_h)

  it "is as far from another as the published pairs say, whichever comes first" do
    expect(pairs.size).to eq 34
    pairs.each do |*pair, apart|
      one, other = pair.each_slice(3).map { lab(_1) }
      expect([one.apart(other), other.apart(one)]).to all(be_within(0.00006).of(apart))
    end
  end

  # Another implementation: that of libvips, of colours as screens have them; of those whose hues lie within half a turn
  # (of others it takes another middle than the published pairs 9 to 16 have).
  it "is seen as an independent library sees it" do
    random = Random.new(11)
    60.times do
      one, other = Array.new(2) { format("#%06x", random.rand(0x1000000)) }
      images = [one, other].map { |text|
        Vips::Image.black(1, 1, bands: 3).linear([1, 1, 1], text.scan(/\h\h/).map(&:hex)).cast(:uchar)
          .copy(interpretation: :srgb).colourspace(:lab)
      }
      seen = images[0].getpoint(0, 0)
      own = described_class.of(one)
      expect([own.light, own.red, own.yellow].zip(seen).map { |a, b| (a - b).abs }.max).to be < 0.3
      hues = images.map { |image| image.getpoint(0, 0).then { |_, a, b| Math.atan2(b, a) % (2 * Math::PI) } }
      next if (hues[0] - hues[1]).abs > Math::PI
      expect(own.apart(described_class.of(other))).to be_within(0.3).of(images[0].dE00(images[1]).avg)
    end
  end
end
