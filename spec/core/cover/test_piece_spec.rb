# frozen_string_literal: true

RSpec.describe Lantern::Cover::Tested do
  def layer_of(method, material, test_piece: nil) =
    work(form: {}, materials: stash, layers: [layer(method, material, **{test_piece:}.compact)])["layers"][0]

  it "replaces what a turn takes, for every covering that is wound" do
    {"spiral_wrap" => "tape", "gathered_wrap" => "tape", "rope_coil" => "rope", "rope_inlay" => "rope",
     "weave" => "rope", "garland" => "tape"}.each do |method, material|
      tested = layer_of(method, material, test_piece: {"turns" => 4, "took" => 40})
      expect(tested["figures"]["length_per_turn"]).to eq(10), method
      expect(tested["findings"].map { _1["says"] })
        .to include(match(/Your test piece says what a turn takes \(10 in\)/)), method
      expect(tested["working"].map { _1["sum"] }).to include(match(/your test piece/)), method
    end
  end

  it "replaces how far turns go: ten coils that cover 3 in fit eight times as often as the inside edge holds 3 in" do
    tested = layer_of("rope_coil", "rope", test_piece: {"turns" => 10, "covers" => 3})
    expect(tested["figures"]["turns"]).to eq (8 * Math::PI / 0.3).floor
    wrapped = layer_of("spiral_wrap", "tape", test_piece: {"turns" => 3, "covers" => 2})
    expect(wrapped["figures"]["turns"]).to eq (8 * Math::PI / (2 / 3.0)).ceil
  end

  it "is refused where it cannot be" do
    bad = ->(piece) { problems(plan(materials: stash, layers: [layer("rope_coil", "rope", test_piece: piece)])) }
    expect(bad.call({"took" => 30})).to match("layers.0.test_piece.turns" => /how many turns/)
    expect(bad.call({"turns" => 3})).to match("layers.0.test_piece" => /needs what its turns took/)
    expect(bad.call({"turns" => 10, "took" => 30})).to match("layers.0.test_piece.took" => /does not reach round/)
  end
end
