# frozen_string_literal: true

require "capybara"
require "capybara/cuprite"

# Debian's Chromium without a monitor, and without anything that would reach for a network.
Capybara.register_driver(:chromium) do |app|
  Capybara::Cuprite::Driver.new(app, window_size: [1280, 800], timeout: 20, process_timeout: 60, browser_path: "/usr/bin/chromium",
    browser_options: {"no-sandbox" => nil, "disable-gpu" => nil, "disable-background-networking" => nil, "disable-component-update" => nil, "disable-sync" => nil,
                      "no-first-run" => nil, "force-color-profile" => "srgb"})
end
