# frozen_string_literal: true

require "puma"
require "puma/server"

module Server
  # What is mended or added in Puma's own insides, which no promise of theirs holds still: looked at in the versions
  # that are named here, and to be looked at again before another is used.
  module PumaClient
    LOOKED_AT = Gem::Requirement.new("~> 8.0.0")

    # @param change [Module] to be prepended to Puma's connection
    # @raise [LoadError] for a version that nobody has looked at
    def self.change(change, version: Gem::Version.new(Puma::Const::PUMA_VERSION))
      unless LOOKED_AT.satisfied_by?(version)
        raise LoadError, "#{change} changes Puma #{LOOKED_AT}; this is #{version}. Look at its client.rb, then say " \
          "so in #{__FILE__}."
      end
      Puma::Client.prepend(change)
    end
  end
end
