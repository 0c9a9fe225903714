# frozen_string_literal: true

# Nobody hits what still moves: before a click it is looked at twice, so many seconds apart, until it stays where it is.
ENV["FERRUM_NODE_MOVING_WAIT"] ||= "0.04"

require "capybara"
require "capybara/cuprite"

# Debian's Chromium without a monitor, and without anything that would reach for a network. The one that has no
# windows at all is the faster by half; the whole one does as well.
module Chromium
  PATH = %w[/usr/bin/chromium-headless-shell /usr/bin/chromium].find { File.executable?(_1) }
  OPTIONS = {"no-sandbox" => nil, "disable-gpu" => nil, "disable-background-networking" => nil, "disable-sync" => nil,
             "disable-component-update" => nil, "no-first-run" => nil, "force-color-profile" => "srgb"}.freeze
end

Capybara.register_driver(:chromium) do |app|
  Capybara::Cuprite::Driver.new(app, window_size: [1280, 800], timeout: 300, process_timeout: 300,
    browser_path: Chromium::PATH, browser_options: Chromium::OPTIONS.dup)
end
