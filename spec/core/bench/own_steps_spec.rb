# frozen_string_literal: true

RSpec.describe "Steps of the maker's own" do
  def titles(steps, *layers)
    work(materials: [rope, ribbon], layers:, steps:)["steps"].map { _1["title"] }
  end

  let(:coil) { layer("rope_coil", "rope") }
  let(:hanger) { layer("hanger", "rope", id: "hook", fitted: "last") }

  it "come where they say, one after another, with the maker's words and minutes" do
    steps = [{"after" => "prepare", "title" => "Sand the edges", "says" => "Fine paper.", "minutes" => 7},
      {"after" => "one", "title" => "Let it dry"}, {"after" => "one", "title" => "Turn it over"},
      {"after" => "hang", "title" => "Wipe it down"}]
    worked = work(materials: [rope], layers: [coil, hanger], steps:)
    titles = worked["steps"].map { _1["title"] }
    expect(titles.first(2)).to eq ["Prepare the form", "Sand the edges"]
    expect(titles.last(2)).to eq ["Wipe it down", "Look from a distance"]
    expect(titles.each_cons(2)).to include(["Let it dry", "Turn it over"])
    expect(worked["steps"][1]).to include("says" => "Fine paper.", "minutes" => 7.0, "move" => "own")
    plain = work(materials: [rope], layers: [coil, hanger])
    expect(worked["minutes"] - plain["minutes"]).to be_within(1).of(7 + 3 * 5)
    expect(worked["steps"].map { _1["id"] }.uniq.size).to eq titles.size
  end

  it "come after the layer even where another of their kind follows" do
    expect(titles([{"after" => "one", "title" => "Dust it"}], coil, layer("bow", "tape", id: "bow")).each_cons(2))
      .to include([a_string_starting_with("Push in the fillers"), "Dust it"])
  end

  it "stay with their layer when the step they stood by is gone" do
    titles = work(form: foam(14, 10), materials: [rope],
      layers: [layer("hanger", "rope", id: "h"), layer("rope_coil", "rope", school: "even")],
      steps: [{"after" => "one.fill", "title" => "Dust it"}, {"after" => "join", "title" => "Press it"}])["steps"]
      .map { _1["title"] }
    expect(titles.last(4)).to eq ["Coil the cord, spread evenly", "Dust it", "Press it", "Look from a distance"]
  end

  it "are refused after nothing, and without a name" do
    said = problems(plan(materials: [rope], layers: [coil], steps: [{"after" => "nowhere", "title" => "Sand"},
      {"after" => "one", "title" => ""}]))
    expect(said).to match("steps.0.after" => /no layer “nowhere”/, "steps.1.title" => /must not be empty/)
  end
end

RSpec.describe "Tools" do
  it "are those that the steps use, each once" do
    layers = [layer("rope_coil", "rope"), layer("bow", "tape", id: "bow")]
    tools = work(materials: [rope, ribbon], layers:)["tools"]
    expect(tools).to include("tape", "glue gun", "finger guards", "pliers", "scissors")
    expect(tools.uniq).to eq tools
    bare = work["tools"]
    expect(bare).not_to include("glue gun")
  end
end
