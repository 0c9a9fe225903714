# frozen_string_literal: true

# Sentences as a person would say them.
RSpec.describe "Words of an answer" do
  def says(worked) = worked["tape"].map { [_1["figure"], _1["says"]] }

  it "keep the capitals of names" do
    worked = work(materials: [ribbon(name: "Marigold Tape", width: 1, sheer: true)],
      layers: [layer("spiral_wrap", "tape")])
    expect(says(worked).map(&:last)).to include("of Marigold Tape")
    expect(worked["layers"][0]["findings"].map { _1["says"] }).to include(/\AMarigold Tape is sheer/)
  end

  it "say one of a thing as one" do
    one = work(form: foam(14, 10, base: "board"), materials: [cloth], layers: [layer("panel", "cloth")])
    expect(says(one)[0]).to eq ["1", "panel, 15 3/8 by 15 3/8 in"]
    layer_kinds.each do |kind|
      next if kind.method_name == :attach
      sentences = JSON.generate(work(form: gourd, materials: stash, layers: [any_layer(kind)]))
      expect(sentences)
        .not_to match(/\b1 (strips|rings|panels|pieces|turns|coils|knots|blooms|fillers|cuts|packages)\b/)
    end
  end

  it "say lengths of several measures as the longest, once" do
    mixed = work(materials: [ribbon], layers: [layer("bow", "tape", kind: "layered_loops", loops: 3, loop_size: 3)])
    expect(says(mixed)[0]).to eq ["6", "loops in the bow, 3 cuts, longest 7 in"]
    expect(JSON.generate(mixed)).not_to match(/in in each/)
  end
end
