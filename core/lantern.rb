# frozen_string_literal: true

require "bigdecimal"
require "bigdecimal/util"
require "zeitwerk"

# The rules of covering wreath forms: from a plan document to a worked plan.
#
#   worked = Lantern.work(JSON.parse(File.read("plan.json")))
#   worked["cost"]["to_buy"]   # => "8.75"
#
# Everything in here is a function of the plan alone. No clock, no randomness, no files: the same
# plan gives the same worked plan.
module Lantern
  LOADER = Zeitwerk::Loader.new.tap do |loader|
    loader.push_dir(__dir__)
    loader.setup
  end
  private_constant :LOADER

  # Works a plan: read, measured, covered, cut, costed, written down and drawn, in that order.
  #
  # @param document [Hash] a plan document as JSON gives it, with string keys
  # @return [Hash] the worked plan, ready for JSON
  # @raise [Plan::Refused] with every problem found in the plan
  def self.work(document)
    plan = Plan::Document.read(document)
    form = Form.measure(plan)
    layers = Cover.work(plan, form)
    stock = Cut.work(plan, layers)
    bench = Bench.work(plan, form, layers, stock)
    bill = Cost.work(plan, stock, minutes: bench.minutes)
    Plan::Worked.new(plan:, form:, layers:, stock:, bill:, bench:, drawing: Draw.work(plan, form, layers)).to_h
  end

  # What can be printed at its true size: outlines of the form, its panel, its back.
  #
  # @param document [Hash] a plan document
  # @return [Array<Draw::Template>]
  # @raise [Plan::Refused]
  def self.templates(document)
    plan = Plan::Document.read(document)
    Draw::Template.all(plan, Cover.work(plan, plan.band))
  end

  # Looks at a plan's drawing place by place: how much of the form is covered, and where it shows.
  #
  # @param document [Hash] a plan document
  # @return [Hash] shares, and the bare places of the front in the plan's units
  # @raise [Plan::Refused]
  def self.bare(document)
    plan = Plan::Document.read(document)
    bare = Draw::Bare.new(plan.band, Cover.work(plan, plan.band))
    scale = Draw::Scale.new(plan.units)
    {"front" => bare.front.round(4), "back" => bare.back.round(4), **bare.thirds.to_h { |third, share| [third.to_s, share.round(4)] }, "patches" => bare.patches.map { scale.point(_1) }}
  end

  # Every covering and shape announces itself when its file is loaded, so all are loaded at once.
  LOADER.eager_load
end
