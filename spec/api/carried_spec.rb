# frozen_string_literal: true

require "pdf-reader"
require "vips"
require_relative "../support/api"
require_relative "../../server/export/carried"
require_relative "../../server/export/plan_code"

# A picture that is its plan: sent from one workshop, taken in in another.
RSpec.describe Server::Export::Carried, :api, :store do
  def file(path)
    header "Host", "localhost"
    get "/api#{path}"
    last_response.body
  end

  def take_in(picture)
    upload = "a-picture-#{rand(10**9)}"
    picture.bytes.each_slice(900_000).with_index { |part, i|
      RealStore.store.uploads.keep(upload, i, part.pack("C*"))
    }
    ask(:post, "/uploads/#{upload}/wreath", {parts: (picture.bytesize / 900_000.0).ceil})
  end

  # What does not rest on what somebody owns and pays.
  def numbers(plan)
    worked = Lantern.work(plan)
    [worked["layers"].map { [_1["figures"], _1["needs"]] }, worked["drawing"]["bounds"], worked["minutes"]]
  end

  %w[png svg].each do |kind|
    it "goes as #{kind.upcase} into another workshop and comes to the same numbers there, with nothing private" do
      %w[door-7-rope-ring door-14-undyed-rope door-11-knotted-check].each do |name|
        plan = example_plan(name)
        id = ask(:post, "/wreaths", {plan:})["id"]
        picture = file("/wreaths/#{id}/picture.#{kind}?plan=yes")
        carried = described_class.plan_in(picture)
        expect(carried["materials"].flat_map(&:keys)).not_to include("on_hand", "offers", "notes", "picture")
        expect(carried.keys).not_to include("money", "learned", "budget", "currency")
        RealStore.empty
        wreath = take_in(picture)
        expect(status).to eq 201
        expect(numbers(wreath["plan"])).to eq numbers(plan)
      end
    end
  end

  it "carries what materials cost only when that is ticked, and no plan at all unless it is asked for" do
    id = ask(:post, "/wreaths", {plan: example_plan("door-7-rope-ring")})["id"]
    with = described_class.plan_in(file("/wreaths/#{id}/picture.svg?plan=yes&prices=yes"))
    expect(with["materials"][0]["offers"]).to eq [{"length" => 120, "price" => "1.75"}]
    expect { described_class.plan_in(file("/wreaths/#{id}/picture.svg")) }.to raise_error described_class::None
    expect { described_class.plan_in(file("/wreaths/#{id}/picture.png")) }.to raise_error described_class::None
  end

  it "takes what the stash has in the place of what is the same thing" do
    mine = ask(:post, "/materials", {units: "in", material: rope(id: "my-cord", on_hand: [50])})["material"]
    plan = plan(materials: [rope(id: "theirs")], layers: [{id: "base", method: "rope_coil", material: "theirs"}])
    wreath = take_in(described_class.into_svg("<svg><defs>", Lantern::Plan::Shared.outgoing(plan)))
    expect(wreath["plan"]["layers"][0]["material"]).to eq "my-cord"
    expect(wreath["plan"]["materials"]).to eq [mine]
  end

  it "asks which of the stash something is that it may be under another name, and takes that in its place" do
    mine = ask(:post, "/materials", {units: "in", material: rope(id: "my-cord", name: "My own cord", on_hand: [50])})
    ask(:post, "/materials", {units: "in", material: rope(id: "thick", name: "Thick", diameter: "1 in")})
    plan = plan(materials: [rope(id: "theirs", name: "Their cord")],
      layers: [{id: "base", method: "rope_coil", material: "theirs"}])
    wreath = take_in(described_class.into_svg("<svg><defs>", Lantern::Plan::Shared.outgoing(plan)))
    expect(wreath["unsure"])
      .to eq [{"id" => "theirs", "name" => "Their cord", "like" => [{"id" => "my-cord", "name" => "My own cord"}]}]
    expect(wreath["plan"]["layers"][0]["material"]).to eq "theirs"
    wrong = ask(:put, "/wreaths/#{wreath["id"]}/instead", {version: 1, instead: {theirs: "nothing"}})
    expect(wrong["problems"][0]["says"]).to match(/not in the stash/)
    taken = ask(:put, "/wreaths/#{wreath["id"]}/instead", {version: 1, instead: {theirs: "my-cord"}})
    expect(taken["plan"]["layers"][0]["material"]).to eq "my-cord"
    expect(taken["plan"]["materials"]).to eq [mine["material"]]
  end

  it "stands on the pattern card as a code, whose link is taken in; of every demo plan it is short enough" do
    Dir[File.expand_path("../../docs/examples/*.json", __dir__)].each do |name|
      plan = JSON.parse(File.read(name))
      link = "http://127.0.0.1:9292/#plan=#{described_class.packed(Lantern::Plan::Shared.outgoing(plan))}"
      expect([name, link.bytesize]).to match [name, be <= Server::Export::PlanCode::MOST]
    end
    plan = example_plan("door-7-rope-ring")
    link = "http://elsewhere/#plan=#{described_class.packed(Lantern::Plan::Shared.outgoing(plan))}"
    wreath = ask(:post, "/wreaths/linked", {link:})
    expect(status).to eq 201
    expect(numbers(wreath["plan"])).to eq numbers(plan)
    ["", "http://elsewhere/", "#plan=", "#plan=abc"].each do |wrong|
      expect(ask(:post, "/wreaths/linked", {link: wrong})["problems"][0]["says"]).to match(/No plan goes along/)
    end
    expect(PDF::Reader.new(StringIO.new(file("/wreaths/#{wreath["id"]}/pattern-card.pdf"))).pages.map(&:text).join(" "))
      .to match(/This wreath's plan/)
  end

  it "refuses in a sentence what is no such picture, lies, or unpacks to more than there is room for" do
    packed = ->(text) { [Zlib::Deflate.deflate(text)].pack("m0").tr("+/", "-_").delete("=") }
    svg = ->(inside) { %(<svg><metadata id="crisp-lantern-plan">#{inside}</metadata><defs></svg>) }
    png = Vips::Image.black(8, 8).mutate { |image|
      image.set_type!(GObject::GSTR_TYPE, "png-comment-0-#{described_class::KEY}", "no such text")
    }.pngsave_buffer
    bomb = packed.call("[" + "0," * 40_000_000 + "0]")
    ["", "nothing", "\xFF\xD8\xFF".b, png, png[0, 40], svg.call("!"), svg.call("abcd"), svg.call(packed.call("[1]")),
      svg.call(packed.call("[" * 900)), svg.call(bomb), svg.call(packed.call("{\"a\":")),
      "<svg><script>alert(1)</script></svg>"].each do |picture|
      says = take_in(picture.empty? ? " " : picture)["problems"][0]["says"]
      expect(says).to match(/No plan goes along/), picture[0, 60]
      expect(status).to eq 422
    end
    [{}, {"format" => "crisp-lantern/plan", "version" => 1, "units" => "in", "form" => [], "materials" => 3},
      {"format" => "another", "form" => {}}].each do |lie|
      expect(take_in(svg.call(packed.call(JSON.generate(lie))))["problems"]).not_to be_empty
      expect(status).to eq 422
    end
    expect(RealStore.store.wreaths.all).to eq []
    # What is kept though it cannot be worked is taken in too, and what is no list stays as it is.
    stash = {"mine" => [rope(id: "mine"), "in"]}
    [{"learned" => [3, {"material" => "rope"}]}, {"learned" => "x"}, {"materials" => "x"}].each do |odd|
      taken = Lantern::Plan::Shared.incoming(plan(materials: [rope]).merge(odd), stash)
      expect(taken["learned"]).to eq odd["learned"].is_a?(Array) ? [3, {"material" => "mine"}] : odd["learned"]
    end
  end
end
