# frozen_string_literal: true

require "bigdecimal"
require "bigdecimal/util"
require "money"
require "zeitwerk"

# The rules of covering wreath forms: from a plan document to a worked plan.
#
#   worked = Lantern.work(JSON.parse(File.read("plan.json")))
#   worked["cost"]["to_buy"]   # => "10.50"
#
# Everything in here is a function of the plan alone. No clock, no randomness, no files: the same
# plan gives the same worked plan. {Work} is the way from the one to the other.
module Lantern
  LOADER = Zeitwerk::Loader.new.tap do |loader|
    loader.push_dir(__dir__)
    loader.setup
  end
  private_constant :LOADER

  # Works a plan.
  #
  #   worked = Lantern.work(JSON.parse(File.read("plan.json")))
  #   worked["layers"][0]["figures"]["turns"]   # => 80
  #   worked["steps"].map { _1["title"] }.values_at(0, 2)   # => ["Prepare the form", "Push in the fillers"]
  #
  # @param document [Hash] a plan document as JSON gives it, with string keys
  # @param advice [Boolean] whether what a wise friend would say is worked out too
  # @return [Hash] the worked plan, ready for JSON
  # @raise [Plan::Refused] with every problem found in the plan
  def self.work(document, advice: false)
    work = Work.read(document)
    worked = Answer::Worked.new(work).to_h
    advice ? worked.merge("advice" => Ask::Advice.on_work(work, document)) : worked
  end

  # What a plan can say, for the API: the screens draw their controls from it.
  #
  #   Lantern.declarations["coverings"].find { _1["method"] == "rope_coil" }["takes"]   # => ["rope"]
  #
  # @return [Hash] ready for JSON
  def self.declarations
    Answer::Declarations.to_h.merge("occasion" => Ask::Occasion::Document.fields.map(&:declare))
  end

  # What can be printed at its true size: outlines of the form, its panel, its back.
  #
  # @param document [Hash] a plan document
  # @return [Array<Place::Template>]
  # @raise [Plan::Refused]
  def self.templates(document) = Work.read(document).templates

  # Looks at a plan's drawing place by place: how much of the form is covered, and where it shows.
  #
  # @param document [Hash] a plan document
  # @return [Hash] shares, and the bare places of the front in the plan's units
  # @raise [Plan::Refused]
  def self.bare(document)
    work = Work.read(document)
    work.bare.to_h(work.plan.units)
  end

  # Every layer and shape announces itself when its file is loaded, so all are loaded at once; what they name
  # when they are declared comes first.
  LOADER.eager_load_dir(File.join(__dir__, "lantern/place"))
  LOADER.eager_load
end
