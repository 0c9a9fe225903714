# frozen_string_literal: true

RSpec.describe "A nought that is said" do
  let(:board) { foam(14, 10, base: "board") }

  it "is a place for rows of rope to end, and takes nothing away from what nothing said means" do
    rows = ->(**options) {
      work(form: board, materials: [rope], layers: [layer("rope_rows", "rope", **options)])["layers"][0]["figures"]
    }
    # From the bottom up to the top is the same as from the top down to the bottom.
    expect(rows.call(stop: 0)).to eq rows.call
    expect(rows.call(start: 7, stop: 0)["rows"]).to be < rows.call["rows"]
  end

  it "is no loop in the centre of a bow" do
    length = ->(**options) {
      work(materials: [ribbon], layers: [layer("bow", "tape", **options)])["layers"][0]["figures"]["length"]
    }
    expect(length.call(centre_loop: 0)).to eq length.call
  end
end
