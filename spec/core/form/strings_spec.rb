# frozen_string_literal: true

RSpec.describe Lantern::Form::Strings do
  def form(**measured) = Lantern.work(plan(form: foam(14, 10, measured: measured.transform_keys(&:to_s))))["form"]

  it "says every string that disagrees, where it stands" do
    found = form(run: 39, inside_run: 33, outside_run: 45.5, girth: 7)["findings"]
    expect(found.map { _1["at"] }).to contain_exactly("form.measured.run", "form.measured.inside_run",
      "form.measured.outside_run", "form.measured.girth")
    expect(found.map { _1["level"] }.uniq).to eq ["note"]
  end

  it "gives every measured figure exactly as measured, and the area from them" do
    measured = form(run: 39, inside_run: 33, outside_run: 45.5, girth: 7)
    expect(measured).to include("run" => 39, "inside_run" => 33, "outside_run" => 45.5, "girth" => 7, "area" => 273)
  end

  it "moves the edges with the middle when only that was measured" do
    measured = form(run: 39)
    expect(measured["outside_run"] - measured["inside_run"]).to be_within(1e-3).of(4 * Math::PI)
    expect((measured["outside_run"] + measured["inside_run"]) / 2).to be_within(1e-3).of(39)
  end

  it "covers a form known by string alone with every covering" do
    known = {"base" => "foam", "measured" => {"run" => 38, "girth" => 6.5}}
    layers = [layer("rope_coil", "rope"), layer("spiral_wrap", "tape").merge("id" => "b"),
      layer("knotted_strips", "tape").merge("id" => "c")]
    worked = Lantern.work(plan(form: known, materials: [rope, ribbon], layers:))
    expect(worked["form"]).to include("run" => 38, "girth" => 6.5)
    expect(worked["layers"].map { _1["figures"]["length"] }).to all(be > 100)
  end
end

RSpec.describe "A string that cannot be" do
  def asked(**measured)
    form = {"base" => "wire", "outside" => 14, "inside" => 8, "measured" => measured.transform_keys(&:to_s)}
    Lantern.work(plan(form:)).then { [_1["form"]["findings"].map { |each| each["code"] }, _1["stages"]["form"]] }
  end

  # A tape round a band goes there and back across its face at the least.
  it "is asked about, with both numbers, and the form is not settled before it is" do
    expect(asked(girth: 5)).to eq [["string_doubtful"], false]
    expect(asked(girth: 6.5)).to eq [["string_differs"], true]
    expect(asked(run: 22)).to eq [["string_doubtful"], false]
    expect(asked(run: 33)).to eq [["string_differs"], true]
    says = Lantern.work(plan(form: {"measured" => {"girth" => 5}}))["form"]["findings"][0]["says"]
    expect(says).to include("5 in", "6 in", "Which of them is right?")
  end
end
