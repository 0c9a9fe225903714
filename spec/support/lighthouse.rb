# frozen_string_literal: true

require "fileutils"
require "json"
require "open3"
require_relative "chromium"

# Lighthouse's judgement of a page, in Debian's Chromium without a monitor. It is installed where it is first asked for,
# and only there: the application and its checks do without it.
module Lighthouse
  VERSION = "12.8.2"
  FOLDER = File.expand_path("../../var/lighthouse", __dir__)
  PROGRAM = File.join(FOLDER, "node_modules/lighthouse/cli/index.js")
  RUNS = 5
  FLAGS = "--headless=new --no-sandbox --disable-gpu --disable-background-networking"

  # What it says of a page: `score` from nought to one, `shift` of its layout, `script` in bytes as they come over the
  # wire, and `index`, how quick it found the machine to be.
  Said = Struct.new(:score, :shift, :script, :index)

  class << self
    # Whether it is there, or could be installed.
    def there?
      return true if File.exist?(PROGRAM)
      FileUtils.mkdir_p(FOLDER)
      system("npm", "install", "--prefix", FOLDER, "--no-save", "--no-audit", "--no-fund", "--ignore-scripts",
        "lighthouse@#{VERSION}", out: File::NULL, err: File::NULL)
    end

    # @param screen [Symbol] `:phone` or `:desktop`
    # @return [Said] the run of the middle score, of five
    def of(address, screen) = Array.new(RUNS) { once(address, screen) }.sort_by(&:score)[RUNS / 2]

    private

    def once(address, screen)
      preset = (screen == :desktop) ? ["--preset=desktop"] : []
      said, status = Open3.capture2({"CHROME_PATH" => Chromium::PATH}, "node", PROGRAM, address, *preset, "--quiet",
        "--output=json", "--only-categories=performance", "--chrome-flags=#{FLAGS}", err: File::NULL)
      raise "Lighthouse could not look at #{address}." unless status.success?
      report = JSON.parse(said)
      audits = report["audits"]
      scripts = audits.dig("network-requests", "details", "items").select { _1["resourceType"] == "Script" }
      Said.new(report.dig("categories", "performance", "score"), audits.dig("cumulative-layout-shift", "numericValue"),
        scripts.sum { _1["transferSize"].to_i }, report.dig("environment", "benchmarkIndex"))
    end
  end
end
