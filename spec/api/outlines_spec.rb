# frozen_string_literal: true

require "ffi-geos"
require_relative "../support/api"

RSpec.describe "Outlines in and out", :api do
  def outlines(inside, attributes = "") = ask(:post, "/ask/outlines",
    {svg: "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 100 100\"#{attributes}>#{inside}</svg>"})["outlines"]

  def refused(svg)
    says = ask(:post, "/ask/outlines", {svg:})["problems"][0]["says"]
    expect(status).to eq 422
    says
  end

  def polygon(points) =
    Geos::WktReader.new.read("POLYGON((#{(points + [points.first]).map { _1.join(" ") }.join(",")}))")

  # A leaf of two curves, a letter with a hole, a bird of curves and arcs; drawn for these specs.
  let(:leaf) { '<path d="M50 2 C85 25 85 70 50 98 C15 70 15 25 50 2 Z"/>' }
  let(:letter) do
    '<path fill-rule="evenodd" d="M10 90 L40 10 h20 L90 90 H72 L65 70 H35 L28 90 Z M40 55 h20 L50 28 Z"/>'
  end
  let(:bird) do
    '<g transform="translate(10 5) scale(.8)">' \
      '<path d="m5 50q10-25 35-25t30 15l25-10-15 25a30 30 0 0 1-55 10q-15-2-20-15z"/></g>'
  end

  it "come in from curves, letters and groups, are covered, and go out again the same size" do
    [leaf, letter, bird].each do |drawn|
      points = outlines(drawn)[0]["points"]
      document = plan(form: {"base" => "board", "shape" => "outline", "width" => 15, "face" => 0.75,
                             "points" => points}, materials: [rope(diameter: 0.2), ribbon(width: 0.5)],
        layers: [layer("rope_coil", "rope"), layer("spiral_wrap", "tape").merge("id" => "b"),
          layer("knotted_strips", "tape").merge("id" => "c")])
      worked = ask(:post, "/work", document)
      expect(status).to eq(200), worked.to_s[0, 300]
      expect(worked["layers"].map { _1["figures"]["length"] }).to all(be > 50)

      header "Host", "localhost"
      post "/api/ask/form.svg", JSON.generate(document), "CONTENT_TYPE" => "application/json"
      expect(last_response.content_type).to start_with "image/svg+xml"
      again = ask(:post, "/ask/outlines", {svg: last_response.body})["outlines"]
      expect(again[0]["width"]).to be_within(0.01).of(15)
    end
  end

  it "say their true size in the file, in the plan's own units" do
    {"in" => ["14.5in", 14], "cm" => ["36.83cm", 35.56]}.each do |units, (says, outside)|
      header "Host", "localhost"
      post "/api/ask/form.svg", JSON.generate(plan(form: {"outside" => outside, "inside" => outside / 2})
        .merge("units" => units)), "CONTENT_TYPE" => "application/json"
      expect(last_response.body).to include "width=\"#{says}\""
      box = last_response.body[/viewBox="([^"]+)"/, 1].split.map(&:to_f)
      expect(box[2]).to be_within(0.01).of(says.to_f)
    end
  end

  # The area of a circle, an ellipse and a quarter turn, by formula; a Bézier's by the shoelace of its
  # control points (published: the area under a cubic is 3/20 of a sum of their cross products).
  it "follow arcs and curves as they are" do
    circle = polygon(outlines('<circle cx="50" cy="50" r="40"/>')[0]["points"])
    expect(circle.area).to be_within(1e-3 * Math::PI * 500**2).of(Math::PI * 500**2)
    oval = outlines('<ellipse cx="50" cy="50" rx="40" ry="20" transform="rotate(90 50 50)"/>')[0]
    expect([oval["width"], oval["height"]]).to match [be_within(0.01).of(40), be_within(0.01).of(80)]
    pie = outlines('<path d="M50 50 V10 A40 40 0 0190 50Z"/>')[0]
    expect(polygon(pie["points"]).area / 1000**2).to be_within(1e-3).of(Math::PI / 4)
    one, two, three, four = [[0.0, 0.0], [10.0, 40.0], [60.0, 50.0], [80.0, 0.0]]
    cross = ->(a, b) { a[0] * b[1] - a[1] * b[0] }
    exact = 3.0 / 20 * (2 * cross.call(one, two) + cross.call(one, three) + cross.call(one, four) + cross.call(two,
      three) + 2 * cross.call(three, four) + cross.call(two, four)) + cross.call(four, one) / 2
    curve = outlines('<path d="M0 0 C10 40 60 50 80 0 Z"/>')[0]
    expect(polygon(curve["points"]).area * (80 / 1000.0)**2).to be_within(exact.abs * 2e-3).of(exact.abs)
  end

  it "come largest first, without what is not drawn" do
    found = outlines(
      '<defs><rect width="99" height="99"/></defs><rect x="5" y="5" width="10" height="20"/>' \
      '<rect width="80" height="60" style="display:none"/><polygon points="0,0 50,0 50,40 0,40"/>'
    )
    expect(found.map { [_1["width"], _1["height"]] }).to eq [[50, 40], [10, 20]]
  end

  it "obey nested transforms" do
    found = outlines(
      '<g transform="matrix(2 0 0 2 0 0)"><g transform="rotate(45)">' \
      '<rect width="10" height="10" transform="skewX(0)"/></g></g>'
    )[0]
    expect([found["width"], found["height"]]).to all(be_within(1e-3).of(20 * Math.sqrt(2)))
  end

  it "are refused when their numbers are beyond any drawing" do
    ["<path d='M0 0L5 9A1 1e308 0 0 1 9 9Z'/>", "<rect width='1e308' height='9'/>", "<circle r='9' cx='1e308'/>",
      "<path d='M0 0L5 9L9 0Z' transform='scale(1e308)'/>", "<path d='M1e308 1e308L-1e308 1e308L0 -1e308Z'/>",
      "<polygon points='0,0 1e308,0 0,1e308'/>", "<polygon points='0,0 1e-300,0 0,1e-300'/>"].each do |shape|
      answer = ask(:post, "/ask/outlines", {svg: "<svg xmlns='http://www.w3.org/2000/svg'>#{shape}</svg>"})
      expect([shape, status, answer["problems"].map { _1["at"] }]).to eq [shape, 422, ["svg"]]
    end
  end

  it "are refused when they are hostile or nothing, in a sentence" do
    expect(refused("<!DOCTYPE svg [<!ENTITY a \"b\">]><svg>&a;</svg>")).to match(/declares entities/)
    expect(refused("<svg><script>alert(1)</script><rect width='1' height='1'/></svg>")).to match(/carries a script/)
    expect(refused("<svg onload='x()'><rect width='1' height='1'/></svg>")).to match(/carries a script/)
    expect(refused("<svg>#{"<g>" * 200}<rect width='1' height='1'/>#{"</g>" * 200}</svg>")).to match(/nests its groups/)
    expect(refused("<svg><path d='M0 0#{" C0 0 1 1 1 1" * 3000}'/></svg>")).to match(/more than 100000 points/)
    expect(refused("<svg><path d='#{"M0 0L1 1 " * 100_000}'/></svg>")).to match(/larger than 800 kB/)
    expect(refused("<svg><text>leaf</text></svg>")).to match(/no closed outline/)
    expect(refused("<svg><path d='M0 0 L5 5'/></svg>")).to match(/encloses/)
    expect(refused("<svg><path d='M0 0 L5'/></svg>")).to match(/lacks a number/)
    expect(refused("<svg><path d='5 5 L5 5'/></svg>")).to match(/where a command should/)
    expect(refused("<html></html>")).to match(/not an SVG file/)
    expect(refused("<svg><g></svg>")).to match(/not an SVG file that can be read/)
    expect(refused("drawing")).to match(/not an SVG/)
  end
end

RSpec.describe "The maker's own forms", :api, :store do
  let(:frame) {
    {name: "Bent frame", units: "in", form: {base: "wire", shape: "ring", outside: 13.75, inside: 8.25,
                                             measured: {girth: 6.5}}}
  }

  it "are kept under a name, once, and deleted" do
    kept = ask(:post, "/forms", frame)
    expect(status).to eq 201
    expect(ask(:get, "/forms")["forms"])
      .to match [include("name" => "Bent frame", "form" => include("outside" => 13.75))]
    expect(ask(:post, "/forms", frame)["problems"][0]["says"]).to match(/name already/)
    expect(ask(:delete, "/forms/#{kept["id"]}?version=1")).to eq("ok" => true)
    expect(ask(:get, "/forms")["forms"]).to eq []
  end

  it "are refused when they cannot be" do
    expect(ask(:post, "/forms", frame.merge(form: {base: "wire", shape: "ring", outside: 8, inside: 9}))["problems"])
      .to match [include("at" => "form.inside")]
    expect(status).to eq 422
    ask(:post, "/forms", frame.merge(name: "   "))
    expect(status).to eq 400
  end
end
