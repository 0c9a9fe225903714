# frozen_string_literal: true

require_relative "../../support/model"

# Rope and strips laid in three dimensions, and measured by adding up chords, against the sums.
RSpec.describe "Coverings, against a model in three dimensions" do
  def forms
    shapes = Lantern::Form.shapes.except(:composite)
    all = shapes.map { |name, shape| {"shape" => name.to_s, **shape.typical.transform_keys(&:to_s)} }
    all + [{"shape" => "cross", "width" => 12, "height" => 16, "face" => 1.25, "arm" => 4},
      {"shape" => "heart", "width" => 14, "height" => 14, "face" => 2},
      {"shape" => "clover", "width" => 13, "face" => 2}, {"shape" => "ring", "outside" => 14, "inside" => 8}]
  end

  # Stars and clovers are nearly all corner.
  def within(form) = %w[star clover].include?(form["shape"]) ? 0.04 : 0.02

  it "hides as much of the front, where coils are laid evenly" do
    forms.select { %w[ring heart lens cross oval].include?(_1["shape"]) }.each do |form|
      form = form.merge("base" => "wire")
      cord = rope(diameter: 0.27)
      worked = work(form:, materials: [cord], layers: [layer("rope_coil", "rope", school: "even")])
      _, model = compared(form, "rope_coil", cord, school: "even")
      expect([form, worked["layers"][0]["covered"]]).to match [form, be_within(0.02).of(model.hidden(0.27, 0.6 * 0.27))]
    end
  end

  def compared(form, method, material, **options)
    document = plan(form:, materials: [material], layers: [layer(method, material["id"], **options)])
    worked = Lantern.work(document)
    drawing = worked["drawing"]
    pointed = Lantern::Work.read(document).form.path.pointed?
    model = Model.new(drawing["form"], drawing["section"]["hull"], pointed:)
    [worked["layers"][0]["figures"], model]
  end

  %w[wire foam].each do |base|
    it "takes as much cord on every shape of #{base}, coil by coil and corner by corner", :thorough do
      forms.each do |form|
        form = form.merge("base" => base)
        figures, model = compared(form, "rope_coil", rope(diameter: 0.27))
        count, length = model.coiled(0.27, 0.6 * 0.27)
        about = be_within(within(form) * count + 1).of(count)
        expect([form["shape"], figures["turns"]]).to match [form["shape"], about]
        expect([form, figures["length"]]).to match [form, be_within(within(form) * length).of(length)]
      end
    end

    it "takes as much tape on every shape of #{base}, wound flat or bunched" do
      forms.each do |form|
        form = form.merge("base" => base)
        figures, model = compared(form, "spiral_wrap", ribbon(width: 1.5), lap: 0.25)
        turns, length = model.wound(1.25)
        expect([form["shape"], figures["turns"]]).to match [form["shape"], be_within(1).of(turns)]
        # Both ends are folded under, an inch each.
        expect([form, figures["length"] - 2]).to match [form, be_within(within(form) * length).of(length)]
        bunched, = compared(form, "gathered_wrap", ribbon(width: 3), lap: 0.25, fullness: 2)
        expect(bunched["length"]).to be_within(0.001).of(figures["length"])
      end
    end
  end
end
