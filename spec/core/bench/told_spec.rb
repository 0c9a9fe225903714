# frozen_string_literal: true

require_relative "../../support/trial/told"
require_relative "../../support/trial/whole_plans"

# What is told at the bench, whole wreath by whole wreath, as plain text. A word that is changed in the core is changed
# here by hand, and so read in its wreath: is there anything left to ask?
RSpec.describe "What is told at the bench" do
  folder = File.expand_path("../../told", __dir__)

  def plan_of(folder, name)
    own = File.join(folder, "#{name}.json")
    File.exist?(own) ? JSON.parse(File.read(own)) : example_plan(name)
  end

  def amount(step)
    counted = "#{step["count"]} #{(step["count"] == 1) ? step["unit_one"] : step["unit"]}, " if step["count"]
    "#{counted}#{step["minutes"].round} min"
  end

  def told(worked)
    worked["steps"].each_with_index.map { |step, i|
      lines = ["#{i + 1}. #{step["title"]} (#{amount(step)})"]
      lines += step.fetch("takes", []).map { "   Take #{_1["says"]}: #{_1["name"]}." }
      lines << "   #{step["says"]}"
      lines << "   The next length begins after #{step["changes"].join(", ")}." if step["changes"]
      lines << "   Look: #{step["look"]}"
      lines.concat(step["cautions"].map { "   Careful: #{_1}" }).join("\n")
    }.join("\n\n") + "\n"
  end

  texts = Dir["#{folder}/*.txt"].sort

  it "is written down for twelve wreaths" do
    expect(texts.size).to be >= 12
  end

  texts.each do |file|
    name = File.basename(file, ".txt")

    it "is, of #{name}, what stands in spec/told" do
      worked = Lantern.work(plan_of(folder, name))
      expect(told(worked)).to eq File.read(file)
      expect(Trial::Told.wrong(worked)).to eq []
    end
  end

  # A fixed fifty; bin/trial reads five hundred.
  it "has no two titles alike, no bow without its measures, no caution without its cause, no look of another job" do
    plans = Trial::WholePlans.new(Random.new(1_871))
    worked = Array.new(50) { plans.plan }.filter_map do |plan|
      Lantern.work(plan)
    rescue Lantern::Plan::Refused
      nil
    end
    expect(worked.size).to be > 20
    expect(worked.flat_map { Trial::Told.wrong(_1) }).to eq []
  end

  it "would be caught saying what it must not" do
    step = {"id" => "bow.make", "title" => "Make the bow", "says" => "Tap the the screen.", "look" => "Are they alike?",
            "cautions" => ["Singeing: fibre melts."], "count" => 1, "minutes" => 1}
    expect(Trial::Told.wrong("steps" => [step, step]).uniq.size).to eq 6
    good = step.merge("says" => "Two loops of 4 in.", "look" => "Does it hold?", "cautions" => [])
    expect(Trial::Told.of(good)).to eq []
  end
end
