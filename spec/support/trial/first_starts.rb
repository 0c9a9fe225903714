# frozen_string_literal: true

require "fileutils"
require "tmpdir"
require_relative "application"

module Trial
  # A first start that is killed at some moment, the database with it or not, and started again.
  class FirstStarts
    # Seconds of a first start, roughly.
    LONG = 7.0

    # @yieldparam var [String] a folder of its own
    # @yieldreturn [Application, Two]
    def initialize(random, &application)
      @random, @application = random, application || Application.method(:new)
    end

    # @return [Hash]
    def call(times)
      failed = (1..times).reject { starts_again? }
      {"kills" => times, "never started again" => failed.size}
    end

    private

    def starts_again?
      var = Dir.mktmpdir("lantern-first")
      application = @application.call(var)
      said = application.spawn
      sleep(@random.rand(0.0..LONG))
      application.kill([:application, :both].sample(random: @random))
      said.close
      application.start
      application.ask("get", "/wreaths").last["wreaths"].size >= 6
    rescue Timeout::Error, IOError => error
      warn "  #{error.class}: #{Dir.glob(File.join(var, "**/errors")).map { File.read(_1)[0, 400] }.join}"
      false
    ensure
      application.stop
      FileUtils.rm_rf(var)
    end
  end
end
