# frozen_string_literal: true

# The form is a material like another: it costs money, and is in both sums.
RSpec.describe "The form as stock" do
  def bought(**more) = {"id" => "ring", "kind" => "form", "name" => "Foam ring", "on_hand" => [1],
                        "offers" => [{"count" => 1, "price" => "3.99", "shop" => "The corner"}]}
    .merge(more.transform_keys(&:to_s))

  def foam_form(**more) = {"base" => "foam", "shape" => "ring", "outside" => 14, "inside" => 10, "material" => "ring"}
    .merge(more.transform_keys(&:to_s))

  it "is taken from the stash, bought where that has none, and counted into cost and use" do
    with = work(form: foam_form, materials: [bought, rope], layers: [layer("rope_coil", "rope")], quantity: 3)
    without = work(form: foam_form.except("material"), materials: [rope], layers: [layer("rope_coil", "rope")],
      quantity: 3)
    expect(with["materials"][0]).to include("needed" => 3, "buy" => [{"offer" => 0, "count" => 2, "cost" => "7.98"}])
    expect(with["form"]["cost"]).to eq "3.99"
    more = ->(key) { BigDecimal(with["cost"][key]) - BigDecimal(without["cost"][key]) }
    expect([more.call("to_buy"), more.call("used")]).to eq [BigDecimal("7.98"), BigDecimal("11.97")]
  end

  it "is known by its id and its kind alone" do
    expect(problems(plan(form: foam_form(material: "rope"), materials: [rope])))
      .to match("form.material" => /a form is a material of the kind “form”/)
    expect(problems(plan(form: foam_form))).to match("form.material" => /no material “ring”/)
  end

  # Round what is on it already a coil goes 2 pi t farther (Steiner).
  it "is thicker by what is on it, and is stripped first where that is said" do
    girth = ->(before) { work(form: foam_form.except("material").merge("before" => before))["form"]["girth"] }
    expect(girth.call("bare")).to be_within(1e-3).of(2 * Math::PI)
    expect(girth.call({"state" => "covered", "thickness" => "1/4 in"})).to be_within(1e-3).of(2 * Math::PI * 1.25)
    expect(girth.call("covered")).to be > girth.call("bare")
    expect(girth.call("strip")).to eq girth.call("bare")
    stripped = work(form: foam_form.except("material").merge("before" => "strip"))
    expect(stripped["steps"][0]["says"]).to start_with("Strip the old covering off")
    expect(problems(plan(form: foam_form.except("material").merge("before" => "eaten"))).keys).to eq ["form.before"]
  end
end
