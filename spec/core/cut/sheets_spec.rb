# frozen_string_literal: true

RSpec.describe Lantern::Cut::Sheets do
  def cut(sheets, width:, length:, count:, on_hand: [])
    document = plan(materials: [cloth(offers: sheets, on_hand:)], layers: [layer("knotted_strips", "cloth")])
    plan = Lantern::Plan::Document.read(document)
    need = Lantern::Cover::Need.pieces(material: "cloth", what: "strips", length: length.to_r, width: width.to_r, count:)
    described_class.cut(plan.materials[0], Lantern::Cut::Demand.gather([["one", need]], plan), plan)
  end

  # Common practice: a 12 in sheet gives four 6 in squares.
  it "gets four 6 in squares from a 12 in sheet" do
    expect(cut([{"width" => 12, "length" => 12, "price" => "1.00"}], width: 6, length: 6, count: 4).bought).to eq(0 => 1)
    expect(cut([{"width" => 12, "length" => 12, "price" => "1.00"}], width: 6, length: 6, count: 5).bought).to eq(0 => 2)
  end

  it "turns the strips whichever way gives more" do
    sheet = [{"width" => 18, "length" => 21, "price" => "1.00"}]
    # Along: 18 strips of one 12 in length; across: 21 rows of one. Twenty-one is more.
    expect(cut(sheet, width: 1, length: 12, count: 21).bought).to eq(0 => 1)
    expect(cut(sheet, width: 1, length: 20, count: 18).bought).to eq(0 => 1)
    expect(cut(sheet, width: 1, length: 20, count: 19).bought).to eq(0 => 2)
  end

  it "never cuts more from a sheet than its area holds, and uses what is on hand first" do
    each_random(60) do |random|
      width, length, count = random.rand(1..6), random.rand(4..20), random.rand(1..60)
      cutting = cut([{"width" => 20, "length" => 40, "price" => "3.10"}], width:, length:, count:, on_hand: [{"width" => 18, "length" => 21}])
      expect(cutting.bars.sum { |bar| bar.cuts.sum(&:count) }).to eq count
      cutting.bars.each { |bar| expect(bar.cuts.sum { |each| each.count * each.length } * width).to be <= ((bar.source == :on_hand) ? 18 * 21 : 20 * 40) }
      expect(cutting.bars.map(&:source)).to eq cutting.bars.map(&:source).sort_by { (_1 == :on_hand) ? 0 : 1 }
    end
  end

  it "says what is too big for any sheet" do
    cutting = cut([{"width" => 12, "length" => 12, "price" => "1.00"}], width: 1, length: 20, count: 3)
    expect(cutting.short).to eq 60
    expect(cutting.optimal).to be false
  end
end
