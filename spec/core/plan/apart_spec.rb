# frozen_string_literal: true

require_relative "../../support/helper"

RSpec.describe Lantern::Plan::Apart do
  def apart(document, *here, units: "in", **more)
    others = here.to_h { [_1["id"], [_1, units]] }
    described_class.new(others, **more.slice(:taken)).call(document, **more.slice(:before))
  end

  let(:other_rope) { rope(name: "Silk cord", diameter: 0.125) }

  it "gives a material an id of its own whose id another thing has, wherever the plan names it" do
    bow = layer("bow", "tape", id: "bow", ribbons: %w[tape rope])
    document = plan(form: {"before" => {"state" => "strip", "saves" => "rope", "saved" => 60}},
      materials: [rope, ribbon],
      layers: [layer("rope_coil", "rope"), layer("rope_inlay", "rope", id: "b", ribbon: "tape"), bow,
        layer("row_of", "rope", id: "row", recipe: [{"material" => "rope", "length" => 9}])],
      learned: [{"method" => "rope_coil", "material" => "rope", "factor" => 1.1, "spread" => 0.1, "makes" => 3}])
    changed, ids = apart(document, other_rope, ribbon)
    expect(ids).to eq("rope" => "rope-2")
    expect(JSON.generate(changed))
      .to eq JSON.generate(document).gsub('"rope"', '"rope-2"').gsub('"kind":"rope-2"', '"kind":"rope"')
    # It is worked to the same.
    figures = ->(each) { Lantern.work(each)["layers"].map { |one| one["figures"] } }
    expect(figures.call(changed)).to eq figures.call(document)
  end

  it "leaves what is the same thing: in other units, at another price, with less said of it" do
    same = rope("diameter" => "5/16 in", "offers" => [{"length" => "10 ft", "price" => "9.99"}])
    expect(apart(plan(materials: [rope, ribbon]), same, ribbon("colour" => "#aabbcc"))[1]).to eq({})
    in_cm = ribbon(width: 3.81, offers: [{"length" => "9 ft", "price" => "3.20"}])
    expect(apart(plan(materials: [ribbon]), in_cm, units: "cm")[1]).to eq({})
    {"name" => "Other", "width" => 2, "colour" => "#112233"}.each do |what, said|
      expect([what, apart(plan(materials: [ribbon("colour" => "#445566", what => said)]),
        ribbon("colour" => "#445566"))[1]]).to eq [what, {"tape" => "tape-2"}]
    end
    # Nothing can be told of what cannot be read.
    expect(apart(plan(materials: [{"id" => "tape"}]), ribbon)[1]).to eq({})
  end

  it "takes what was kept so before for the same thing still, that the stash has changed since" do
    expect(apart(plan(materials: [rope]), other_rope, before: [rope])[1]).to eq({})
    expect(apart(plan(materials: [rope(name: "New")]), other_rope, before: [rope])[1]).to eq("rope" => "rope-2")
  end

  it "passes over ids that are taken, in the plan or elsewhere" do
    document = plan(materials: [rope, rope(id: "rope-2", name: "Second")])
    expect(apart(document, other_rope, taken: %w[rope rope-3])[1]).to eq("rope" => "rope-4")
  end
end
