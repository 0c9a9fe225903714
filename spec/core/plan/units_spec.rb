# frozen_string_literal: true

RSpec.describe Lantern::Plan::Units do
  it "comes back to the same plan, number for number" do
    Dir[File.expand_path("../../../docs/examples/*.json", __dir__)].each do |file|
      document = JSON.parse(File.read(file))
      other = (document["units"] == "in") ? "cm" : "in"
      there = described_class.change(document, to: other)
      back = described_class.change(there, to: document["units"])
      expect(Lantern.work(back)["layers"]).to eq Lantern.work(document)["layers"]
      numbers = document["form"].select { |_, value| value.is_a?(Numeric) }
      expect(back["form"].slice(*numbers.keys)).to eq numbers
    end
  end

  it "converts lengths and nothing else" do
    metric = described_class.change(example_plan("door-7-rope-ring"), to: "cm")
    expect(metric["form"]).to include("outside" => 35.56, "rails" => 4, "sections" => 12)
    expect(metric["materials"][0]).to include("diameter" => 0.79375)
    expect(metric["materials"][0]["offers"][0]).to include("length" => 304.8, "price" => "1.75")
    expect(metric["units"]).to eq "cm"
  end

  it "leaves texts that carry their units, and what cannot be read, as they are" do
    document = plan(form: {"outside" => "14 in", "inside" => "8\"", "dish" => "1/2", "rail_diameter" => "thin"})
    expect(described_class.change(document, to: "cm")["form"]).to include("outside" => "14 in", "inside" => "8\"",
      "dish" => 1.27, "rail_diameter" => "thin")
  end
end
