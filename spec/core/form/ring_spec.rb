# frozen_string_literal: true

RSpec.describe "A ring" do
  def form(sizes, **rest) = Lantern.work(plan(form: sizes, **rest))["form"]

  it "has the runs of its two circles" do
    ring = form({})
    expect(ring).to include("run" => be_within(0.005).of(34.56), "inside_run" => be_within(0.005).of(25.13),
      "outside_run" => be_within(0.005).of(43.98), "face" => 3)
    expect(ring["wide_run"]).to eq ring["outside_run"]
    expect(ring["crowded_run"]).to eq ring["inside_run"]
  end

  # Published: Pappus's second theorem; the torus 4 pi^2 R r.
  it "has a torus's area as a foam tube" do
    expect(form(foam(14, 10))["area"]).to be_within(1e-3).of(4 * Math::PI**2 * 6 * 1)
    expect(form(foam(30, 29))["area"]).to be_within(1e-3).of(4 * Math::PI**2 * 14.75 * 0.25)
  end

  it "scales: lengths by k, areas by k squared" do
    small, large = form(foam(12, 8)), form(foam(30, 20))
    %w[run inside_run outside_run face girth].each { expect(large[_1]).to be_within(1e-3).of(small[_1] * 2.5) }
    expect(large["area"]).to be_within(1e-2).of(small["area"] * 6.25)
  end

  it "measures the same in inches and in centimetres" do
    inches = form(foam(12, 8))
    metric = form(foam(30.48, 20.32), units: "cm")
    %w[run girth face].each { expect(metric[_1]).to be_within(2e-4).of(inches[_1] * 2.54) }
    expect(metric["area"]).to be_within(2e-3).of(inches["area"] * 2.54**2)
  end

  describe "known by a string" do
    it "needs no sizes: run and girth are enough" do
      known = form({"base" => "foam", "measured" => {"run" => 6 * 2 * Math::PI, "girth" => 2 * Math::PI}})
      expect(known).to include("run" => be_within(1e-3).of(37.6991), "girth" => be_within(1e-3).of(6.2832),
        "face" => be_within(1e-3).of(2), "outside_run" => be_within(1e-3).of(14 * Math::PI))
    end

    it "is the same ring from its two edges as from its sizes" do
      edges = form({"base" => "foam", "measured" => {"inside_run" => 10 * Math::PI, "outside_run" => 14 * Math::PI}})
      expect(edges.values_at("run", "face", "girth")).to eq form(foam(14, 10)).values_at("run", "face", "girth")
    end

    it "wins over the sizes, and says by how much they differ" do
      ring = form(foam(14, 10, measured: {"run" => 39, "girth" => "6 1/2"}))
      expect(ring).to include("run" => 39, "girth" => 6.5)
      expect(ring["findings"].map { _1["says"] }).to include(/39 in, the sizes say 37 11\/16 in/,
        /6 1\/2 in, the sizes say 6 5\/16 in/)
    end

    it "says nothing of a difference within a tape's slack" do
      expect(form(foam(14, 10, measured: {"run" => 37.75}))["findings"]).to be_empty
    end
  end

  it "refuses what cannot be" do
    {
      {"outside" => 14, "inside" => 15} => ["form.inside",
        "The opening (15 in) must be smaller than the form (14 in)."],
      {"outside" => 14, "inside" => 14} => ["form.inside", /must be smaller/],
      {"outside" => 14} => ["form.inside", /its outside and its opening/],
      {} => ["form.outside", /its outside and its opening/],
      {"outside" => -3, "inside" => 2} => ["form.outside", /must not be negative/],
      {"outside" => 0, "inside" => 2} => ["form.outside", /more than nothing/],
      {"outside" => 14, "inside" => 13, "rails" => 5, "rail_diameter" => 0.2} => ["form.rails", /do not fit/],
      {"measured" => {"run" => 30, "inside_run" => 31, "girth" => 5}} => ["form.measured.run", /shorter/],
      {"measured" => {"run" => 10, "girth" => 20}} => ["form.measured", /wider than the ring/]
    }.each do |sizes, (place, says)|
      expect(problems(plan(form: {"base" => "wire"}.merge(sizes)))).to match(place => says)
    end
  end
end
