# frozen_string_literal: true

require "fileutils"
require "rspec/retry"

# An example in a browser may be tried once more; bin/test lists those that were, and more than two are red.
module TriedAgain
  # One list of each lane.
  LIST = File.expand_path("../../var/test/tried-again/#{ENV["TEST_ENV_NUMBER"].to_s.rjust(1, "1")}", __dir__)

  # @param example [RSpec::Core::Example] that failed
  def self.note(example)
    FileUtils.mkdir_p(File.dirname(LIST))
    said = example.exception&.message.to_s.lines.first(4).map(&:strip).join(" ")
    File.write(LIST, "#{example.location} #{said[0, 300]}\n", mode: "a")
  end
end

RSpec.configure do |config|
  config.default_retry_count = 1
  config.retry_callback = ->(example) { TriedAgain.note(example) }
  config.around(:each, :browser) { |example| example.run_with_retry(retry: 2) }
end
