# frozen_string_literal: true

# Which package is for which wreath, and one step for all of them.
RSpec.describe Lantern::Ask::Occasion::HandOut do
  def document(plans) = {"format" => "crisp-lantern/occasion", "version" => 1, "units" => "in", "plans" => plans}

  def occasion(*plans) = Lantern::Ask::Occasion.work(document(plans))

  def batch(*plans) = Lantern::Ask::Occasion::Batch.new(Lantern::Ask::Occasion::Document.read(document(plans)))

  def coiled(name, outside, **more) = plan(name:, form: {"outside" => outside}, materials: [rope(**more)],
    layers: [layer("rope_coil", "rope", school: "even")])

  # Common practice: whoever makes the second wreath starts at the first one's end of the roll.
  it "ends a run where its wreath ends, and the next goes on from the same package" do
    worked = occasion(coiled("A", 12), coiled("B", 14), coiled("C", 16))
    first, second = worked["hand_out"].first(2).map { _1["parts"] }
    expect(first.last["from"]).to eq second.first["from"]
    shared = worked["cut_sheet"].find { |bar| bar["cuts"].map { _1["what"] } == ["coils (A)", "coils (B)"] }
    expect(shared).not_to be_nil
  end

  # A wreath is handed its own length and an inch for each join.
  it "hands to each wreath what it asked for, its joins too, and no length too short to be joined in" do
    each_random(25, seed: 31) do |random|
      lengths = Array.new(random.rand(0..3)) { random.rand(20..150) }
      plans = %w[A B C].map { coiled(_1, random.rand(11..17), on_hand: lengths) }
      cuts = batch(*plans).stock.flat_map { |cutting| cutting.bars.flat_map(&:cuts) }
      plans.each.with_index(1) do |plan, number|
        lengths = cuts.select { _1.asker == number }.map(&:length)
        run = Lantern.work(plan)["layers"][0]["needs"].sum { _1["length"] }
        expect(lengths.sum.to_f).to be_within(1e-3).of(run + lengths.size - 1)
        expect(lengths.min).to be >= 2
      end
    end
  end

  it "ties every piece and every length up under a wreath's name, and counts out what is counted" do
    bow = layer("bow", "tape", id: "bow")
    stems = {"id" => "stems", "kind" => "tie", "sort" => "chenille", "name" => "Stems", "on_hand" => [10]}
    both = plan(name: "With a bow", materials: [rope, ribbon, stems], layers: [layer("rope_coil", "rope"), bow],
      quantity: 2)
    worked = occasion(both, coiled("Plain", 12).merge("materials" => [rope.merge("id" => "other")],
      "layers" => [layer("rope_coil", "other")]))
    bundles = worked["bundles"].group_by { _1["wreath"] }
    expect(bundles["With a bow"].map { _1["what"] }).to include("bow ribbons", match(/lengths for the coils/))
    expect(bundles["Plain"].map { _1["material"] }.uniq).to eq ["Hemp cord"]
    expect(worked["hand_out"][0]["parts"].map { _1["says"] }).to include(/\A1 chenille stem/)
  end

  it "does one step for all, each wreath's own steps in their order, and none twice" do
    plans = Dir[File.expand_path("../../../../docs/examples/*.json", __dir__)].sort.first(9)
      .map { |file| JSON.parse(File.read(file)) }
    works = plans.map { Lantern::Work.read(_1) }
    rounds = Lantern::Ask::Occasion::Rounds.new(works).to_a
    works.each.with_index(1) do |work, number|
      own = rounds.flat_map { |round| round.steps.select { |whose, _| whose == number }.map { _2.id } }
      expect(own).to eq work.course.steps.map(&:id)
    end
    titles = rounds.map(&:title)
    expect(titles.first).to eq "Prepare the form"
    expect(titles.last).to eq "Look from a distance"
    expect(rounds.find { _1.title == "Cut the pieces" }.steps.size)
      .to eq(works.count { |work| work.course.steps.any? { _1.id == "cut" } })
  end
end
