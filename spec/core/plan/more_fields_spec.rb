# frozen_string_literal: true

RSpec.describe "Fields of days, weights and ribbons" do
  def read(field, value)
    reading = Lantern::Plan::Reading.new(units: "in")
    reading.material_ids = %w[tape rust]
    read = field.read(value, "here", reading)
    reading.problems.any? ? reading.problems.map(&:says).join(" ") : read
  end

  it "reads a day of the calendar and no other" do
    field = Lantern::Plan::Field::Day.new(:day, label: "The day")
    expect(read(field, "2028-02-29")).to eq Date.new(2028, 2, 29)
    ["2027-02-29", "29.2.2028", "20280229", "", 20_280_229, nil]
      .each { |wrong| expect(read(field, wrong)).to match(/The day must be a day such as 2027-06-21/) }
  end

  # An ounce is 28.349523125 g and a pound 453.59237 g, by the international pound (1959).
  it "reads a weight in grams or in ounces" do
    field = Lantern::Plan::Field::Weight.new(:weight, label: "Each weighs")
    {250 => 250, "250 g" => 250, "0,5 kg" => 500, "8 oz" => 226.796185, "1 lb" => 453.59237, "2 pounds" => 907.18474}
      .each { |said, grams| expect(read(field, said)).to be_within(1e-6).of(grams) }
    ["heavy", "-3 g", "0 g", "8 stone", {}, true, "1e9"]
      .each { |wrong| expect(read(field, wrong)).to match(/Each weighs must be a weight such as 250 g or 8 oz/) }
  end

  it "reads so many ribbons, or which" do
    field = Lantern::Plan::Field::Stack.new(:ribbons, kinds: %i[ribbon], label: "Ribbons")
    expect(read(field, 3)).to eq 3
    expect(read(field, %w[tape rust])).to eq %w[tape rust]
    expect(read(field, 0)).to match(/from 1 to 12/)
    expect(read(field, %w[nobody])).to match(/no material “nobody”/)
    expect(field.declare).to include("kind" => "count", "least" => 1, "most" => 12)
  end

  it "reads another word where any will do" do
    field = Lantern::Plan::Field::Choice.new(:what, choices: {pick: "Pick"}, open: true, label: "What")
    expect(read(field, "pick")).to eq :pick
    expect(read(field, " brass bell ")).to eq "brass bell"
    expect(read(field, "")).to match(/must not be empty/)
    expect(read(field, 7)).to match(/must be a text/)
  end
end
