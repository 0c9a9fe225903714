# frozen_string_literal: true

require_relative "../../support/helper"

# Common practice: what is asked for in a shop that has none of it.
RSpec.describe Lantern::Cost::StandIn do
  def says(units = "in", **material)
    described_class.new(Lantern::Plan::Material.check(ribbon(**material), units:), units).says
  end

  it "asks for the width, the thickness and the wire that the plan rests on" do
    expect(says).to eq "Another ribbon will do if it is 1 1/2 in wide."
    expect(says(wired: true, sheer: true)).to eq "Another ribbon will do if it is 1 1/2 in wide, wired and as sheer."
    expect(says("cm", width: 4)).to eq "Another ribbon will do if it is 4 cm wide."
  end

  it "asks of cloth for pieces as large, and for no up where there is none" do
    said = ->(**more) { described_class.new(Lantern::Plan::Material.check(cloth(**more), units: "in"), "in").says }
    expect(said.call)
      .to eq "Another cloth will do if it is as thick, its pieces as large and its pattern without an up."
    expect(said.call(directional: true)).to eq "Another cloth will do if it is as thick, its pieces as large."
  end

  it "is said where something is bought, and of nothing that is counted or enough" do
    worked = Lantern.work(example_plan("door-7-rope-ring"))
    rope = worked["materials"].find { _1["kind"] == "rope" }
    expect(rope["buy"]).not_to be_empty
    expect(rope["stands_in"]).to eq "Another cord will do if it is 5/16 in thick, pressed lightly."
    Lantern.work(example_plan("door-14-undyed-rope"))["materials"].each do |each|
      expect(each.key?("stands_in")).to be(each["buy"].any? && %w[ribbon mesh fabric rope wire].include?(each["kind"]))
    end
  end
end
