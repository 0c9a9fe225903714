# frozen_string_literal: true

RSpec.describe Lantern::Bench::Supplies do
  # A bead 1/8 in (3.175 mm) across and 100 in (2540 mm) long is 20110 mm3; a stick of 7 by 100 mm is 3848 mm3.
  it "counts sticks of glue from the bead's volume" do
    worked = work(form: foam(14, 8), materials: [rope], layers: [layer("seam_cord", "rope", rounds: 2)])
    bead = worked["supplies"]["bead"]
    expect(bead).to be_within(0.01).of(2 * worked["form"]["run"])
    volume = Math::PI / 4 * 3.175**2 * bead * 25.4
    expect(worked["supplies"]["sticks"]).to eq (volume / (Math::PI / 4 * 7**2 * 100)).ceil
  end

  it "buys the plan's own glue by the stick, thicker ones fewer" do
    glue = {"id" => "glue", "kind" => "glue", "name" => "Glue sticks", "offers" => [{"count" => 10, "price" => "2.00"}]}
    thin = work(materials: [rope, glue], layers: [layer("seam_cord", "rope", rounds: 4)], quantity: 5)
    thick = work(materials: [rope, glue.merge("diameter" => "11 mm")], layers: [layer("seam_cord", "rope", rounds: 4)],
      quantity: 5)
    sticks = [thin, thick].map { |worked| worked["materials"].find { _1["id"] == "glue" }["needed"] }
    expect(sticks[0]).to eq thin["supplies"]["sticks"]
    # (11/7)^2: two and a half times as thick.
    expect(sticks[0].fdiv(sticks[1])).to be_within(0.15).of((11 / 7.0)**2)
    expect(BigDecimal(thin["materials"].find { _1["id"] == "glue" }["cost_to_buy"])).to be_positive
  end

  it "asks half a stem for a bow, two for a heavy part, and two ties each" do
    layers = [layer("bow", "tape", id: "bow"), layer("attach", id: "sign", fixing: "chenille"),
      layer("attach", id: "more", fixing: "ties", count: 3)]
    expect(work(materials: [ribbon], layers:)["supplies"]).to include("stems" => 3, "ties" => 6)
  end
end
