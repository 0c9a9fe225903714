# frozen_string_literal: true

require "tempfile"
require_relative "../support/browser"
require_relative "../support/line"
require_relative "../support/pictures"

RSpec.describe "Over a slow line that breaks", :browser, :store do
  include Pictured

  # Noise, which no picture is smaller than: 300 kB and more.
  def photo = Tempfile.new(["photo", ".jpg"], binmode: true).tap { |file|
    noise = Vips::Image.gaussnoise(Integer(ENV.fetch("WIDE", "800"), 10), 700, sigma: 60, mean: 128)
    file.write(noise.cast(:uchar).jpegsave_buffer(Q: 85)) && file.flush
  }

  def parts = RealStore.database[:upload_parts].count

  it "a photo arrives with its progress, and goes on where it broke" do
    load_demo
    pictures = RealStore.database[:pictures]
    kept = pictures.count
    # Begun and left, so that the screens are there before the line is slow.
    visit "/"
    server = Capybara.current_session.server
    # PACE=5000 WIDE=1000 tries the slowest line that is promised, with a photo of 400 kB: it takes two minutes.
    pace = Integer(ENV.fetch("PACE", "150000"), 10)
    line = Line.new(URI("http://127.0.0.1:#{server.port}"), pace:)
    visit "#{line}/new"
    find("button", text: "Wire ring, 16 in").click
    click_on "Measure from a photo…"
    sent = photo
    attach_file "A photo of the form beside a sheet", sent.path
    longest = Patience.seconds(60) + 2.0 * File.size(sent.path) / pace
    [1, 4].each do |so_many|
      Timeout.timeout(longest) { Thread.pass until parts >= so_many }
      line.cut
      expect(page).to have_css("dialog [role=status]", text: /Sending the photo: \d+ of \d{3} kB/)
      before = parts
      expect(before).to be >= so_many
      line.mend
    end
    expect(page).to have_css("svg.tapped-photo", wait: longest)
    expect(parts).to eq 0
    expect(pictures.count).to eq kept + 1
  end
end
