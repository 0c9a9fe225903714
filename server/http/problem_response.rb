# frozen_string_literal: true

require "json"

module Server
  # What is answered, in the form of every other problem, by whatever stands before the application.
  module ProblemResponse
    # @param status [Integer] of HTTP
    # @param says [String]
    # @param headers [Hash{String=>String}] besides
    # @return [(Integer, Hash, Array<String>)] as Rack takes it
    def self.answer(status, says, headers = {})
      [status, {"content-type" => "application/json", **headers},
        [JSON.generate("problems" => [{"at" => "", "says" => says}])]]
    end
  end
end
