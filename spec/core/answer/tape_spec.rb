# frozen_string_literal: true

RSpec.describe Lantern::Answer::Tape do
  def tape(worked) = worked["tape"].to_h { |figure| [figure["id"], [figure["figure"], figure["says"]]] }

  it "carries counts, lengths, packages, money, time and sureness, each with the place of its sum" do
    worked = Lantern.work(example_plan("door-7-rope-ring"))
    expect(tape(worked)).to include("count.base" => ["80", "coils, 13 fillers of 6 7/8 in each"],
      "packages" => ["6", "packages to buy, 2 from the stash"],
      "money" => ["$10.50", /\Ato pay, \$\d+\.\d\d of material used\z/],
      "sure" => ["over 99 %", "sure that this is enough"])
    expect(worked["tape"].map { _1["working"] }).to all(match(/\A(layers|materials|cost|steps)/))
  end

  it "says nothing before there is a covering" do
    expect(tape(work)).to eq({})
  end

  it "adds up more than two materials, and says what need not be bought" do
    expect(tape(Lantern.work(example_plan("door-11-knotted-check")))["needed"][1]).to eq "of 3 materials in all"
    expect(tape(Lantern.work(example_plan("door-18-rust-stripes")))["packages"])
      .to eq ["0", "nothing to buy, 1 from the stash"]
  end

  it "never says more than ninety-nine in a hundred, nor that scraps are enough" do
    short = work(form: foam(14, 10), materials: [ribbon(on_hand: [50], offers: [])],
      layers: [layer("spiral_wrap", "tape")])
    expect(tape(short)["sure"]).to eq ["Not enough", "see Marigold tape"]
    expect(short["materials"][0]["findings"][0]).to include("level" => "stop", "code" => "not_enough")
    expect(short["stages"]).to include("cut" => false, "buy" => false)
  end
end
