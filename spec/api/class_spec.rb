# frozen_string_literal: true

require "pdf-reader"
require_relative "../support/api"

RSpec.describe "A class", :api, :store do
  it "has a card of every wreath with its frames, and a label of every bag, in one file" do
    wreaths = %w[door-14-undyed-rope door-9-crescent].map { ask(:post, "/wreaths", {plan: example_plan(_1)})["id"] }
    day = ask(:post, "/occasions", {name: "Wreath evening", units: "in", occasion: {}})
    ask(:put, "/occasions/#{day["id"]}/wreaths", {wreaths:})
    %w[letter a4].each do |paper|
      header "Host", "localhost"
      get "/api/occasions/#{day["id"]}/class.pdf?paper=#{paper}"
      pages = PDF::Reader.new(StringIO.new(last_response.body)).pages.map { _1.text.squeeze(" \n") }
      begun = wreaths.map { |id| ask(:get, "/wreaths/#{id}")["name"] }
        .map { |name| pages.index { _1.lstrip.start_with?(name) } }
      expect(begun).to eq(begun.compact.sort).and(start_with(0))
      expect(pages.join).to match(/Measure 7/).and match(/The end behind the/)
      labels = pages.last
      expect(labels).to include("Labels for the bags").and match(/Door 14, undyed rope and bow/)
      expect(labels.scan(/Door 9, crescent, \d of 3/).size).to eq 3
      expect(labels).to include("Shared among 3:").and match(/Undyed rope, package 1/)
    end
  end
end
