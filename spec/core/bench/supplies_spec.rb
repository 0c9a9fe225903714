# frozen_string_literal: true

RSpec.describe Lantern::Bench::Supplies do
  # A bead 1/8 in (3.175 mm) across and 100 in (2540 mm) long is 20110 mm3; a stick of 7 by 100 mm is 3848 mm3.
  it "counts sticks of glue from the bead's volume" do
    worked = work(form: foam(14, 8), materials: [rope], layers: [layer("seam_cord", "rope", rounds: 2)])
    bead = worked["supplies"]["bead"]
    # Along all of both rounds, 5/16 in thick, and their joins.
    expect(bead).to be_within(0.01).of(Math::PI * (14 + 0.3125) + Math::PI * (14 + 3 * 0.3125) + 2)
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

  # Common practice: a pick takes one tie, a sign two stems or ties, a swag a tie and three wires, two joined canes six
  # ties.
  it "asks half a stem for a bow, two for a heavy part, a tie for a pick and two for a sign" do
    layers = [layer("bow", "tape", id: "bow"), layer("attach", id: "sign", what: "sign", fixing: "chenille", at: 9),
      layer("attach", id: "picks", fixing: "ties", count: 3, at: 2),
      layer("attach", id: "board", what: "sign", fixing: "ties", at: 3),
      layer("attach", id: "swag", what: "swag", fixing: "wire", at: 12)]
    worked = work(materials: [ribbon], layers:)
    expect(worked["supplies"]).to include("stems" => 3, "ties" => 3 + 2 + 1)
    expect(worked["fixings"].select { _1["key"].start_with?("wire") }.sum { _1["count"] }).to eq 3
    canes = work(form: {"base" => "wire", "shape" => "composite", "face" => 1.5})
    expect(canes["fixings"]).to eq [{"key" => "cable.joining the parts", "what" => "ties", "count" => 6,
                                     "says" => "6 ties", "for" => "joining the parts"}]
  end

  it "charges what it uses to the plan's own ties, stems and wire, and buys what is short" do
    ties = ->(sort, hand) {
      {"id" => sort, "kind" => "tie", "sort" => sort, "name" => sort, "on_hand" => [hand],
       "offers" => [{"count" => 10, "price" => "1.00"}]}
    }
    wire = {"id" => "wire", "kind" => "wire", "name" => "Wire", "diameter" => 0.03,
            "offers" => [{"length" => "10 ft", "price" => "2.00"}]}
    worked = work(quantity: 3, materials: [ribbon, ties.call("cable", 4), ties.call("chenille", 9), wire],
      layers: [layer("attach", id: "picks", fixing: "ties", count: 3, at: 2), layer("bow", "tape", id: "bow"),
        layer("attach", id: "swag", what: "swag", fixing: "wire", at: 12)])
    by_id = worked["materials"].to_h { [_1["id"], _1] }
    # Four ties each for three wreaths, four on hand; half a stem each.
    expect(by_id["cable"]).to include("needed" => 12, "short" => 0)
    expect(by_id["cable"]["buy"].sum { _1["count"] }).to eq 1
    expect(by_id["chenille"]).to include("needed" => 2, "buy" => [])
    expect(by_id["wire"]["needed"]).to be_within(1e-6).of(3 * 3 * 12)
  end
end
