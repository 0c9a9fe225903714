# frozen_string_literal: true

require "open3"
require "tempfile"

RSpec.describe "bin/lantern" do
  def run(*arguments, input: nil) = Open3.capture3("bin/lantern", *arguments, stdin_data: input)

  it "works the plan of the contract" do
    out, err, status = run("work", "docs/examples/door-7-rope-ring.json")
    worked = JSON.parse(out)
    expect(status.exitstatus).to eq 0
    expect(err).to eq ""
    expect(worked["form"].values_at("run", "inside_run", "outside_run").map { _1.round(2) }).to eq [34.56, 25.13, 43.98]
    expect(worked["layers"][0]["figures"]["turns"]).to eq 80
  end

  it "reads standard input" do
    out, _, status = run("work", "-", input: JSON.generate(plan))
    expect(status.exitstatus).to eq 0
    expect(JSON.parse(out)["form"]["face"]).to eq 3
  end

  it "prints a plan's form as SVG at its true size" do
    out, _, status = run("svg", "-", input: JSON.generate(plan))
    expect(status.exitstatus).to eq 0
    expect(out).to match(/<svg [^>]*width="14.5in"/)
  end

  it "prints problems on standard error, and nothing else, with status 2" do
    {JSON.generate(plan(form: {"inside" => 15})) => "form.inside", "{" => "", "[1]" => ""}.each do |input, place|
      out, err, status = run("work", "-", input:)
      expect(status.exitstatus).to eq 2
      expect(out).to eq ""
      expect(JSON.parse(err)["problems"]).to match([include("at" => place, "says" => /\.\z/)])
    end
    _, err, status = run("work", "no-such-file.json")
    expect(JSON.parse(err)["problems"][0]["says"]).to match(/cannot be read/)
    expect(status.exitstatus).to eq 2
  end
end
