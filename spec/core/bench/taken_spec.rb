# frozen_string_literal: true

# A step reads like a good instruction: what it takes, how long, how many.
RSpec.describe Lantern::Bench::Taken do
  def step_of(worked, id) = worked["steps"].find { _1["id"] == id }

  def says(worked, id) = step_of(worked, id)["takes"].map { _1.values_at("name", "says") }

  it "names the cord and its length where it is coiled, and the fillers, counted, where they are pushed in" do
    worked = Lantern.work(example_plan("door-7-rope-ring"))
    expect(says(worked, "base.coil").flatten).to match ["Tarred hemp cord", /\A\d+ ft( \d+ in)? for the coils\z/]
    expect(says(worked, "base.fill")).to eq [["Tarred hemp cord", "13 fillers, 6 7/8 in each"]]
    # They are cut from what the coils leave, each measured in its gap, and so not beforehand.
    expect(step_of(worked, "cut")).to be_nil
    expect(step_of(worked, "base.fill")["says"]).to include("about 6 7/8 in, and cut it from what the coils left")
  end

  # Conservation: whatever a layer asks for is taken up by one of its steps, once.
  it "takes up all that every covering, trim and hanging asks for, in one of its steps" do
    Lantern::Plan::Methods.each do |kind|
      form = (kind.method_name == :seam_cord) ? nil : gourd
      next unless form
      document = plan(form:, materials: stash, layers: [any_layer(kind)])
      next unless problems(document).empty?
      work = Lantern::Work.read(document)
      layer = work.layers.first
      shared = described_class.shared_out(layer.course, layer.required)
      expect(shared.values.flatten.map(&:what)).to match_array layer.required.map(&:what)
      expect(shared.keys - layer.course.map(&:id)).to be_empty, "#{kind.title} takes something up in no step"
    end
  end

  it "says which colour comes next, as many as are tied, in the order they are drawn in" do
    net = stash.find { _1["id"] == "net" }
    worked = work(materials: [net, net.merge("id" => "rust", "name" => "Rust netting")],
      layers: [layer("knotted_strips", "net", materials: %w[net rust], mix: [2, 1])])
    sequence = step_of(worked, "one.knot")["sequence"]
    drawn = worked["drawing"]["layers"][0]["front"].map { %w[Netting Rust\ netting][_1["colour"]] }
    expect(sequence.flat_map { [_1["says"]] * _1["count"] }).to eq drawn
  end

  # Common practice: half a stem ties a bow.
  it "says half a stem where a bow is fixed" do
    stems = {"id" => "stems", "kind" => "tie", "sort" => "chenille", "name" => "Stems", "on_hand" => [5]}
    worked = work(materials: [ribbon, stems], layers: [layer("bow", "tape")])
    expect(says(worked, "one.fix")).to eq [["Stems", "half a chenille stem"]]
  end
end
