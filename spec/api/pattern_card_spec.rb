# frozen_string_literal: true

require "pdf-reader"
require "rexml/document"
require_relative "../support/api"

RSpec.describe "The pattern card and the picture", :api, :store do
  def fetch(path)
    header "Host", "localhost"
    get "/api#{path}"
    last_response
  end

  def kept(name) = ask(:post, "/wreaths", {plan: example_plan(name)})["id"]

  it "holds all that a teacher hands out, on Letter and on A4: what to buy, cut and do, and the cautions" do
    id = kept("door-14-undyed-rope")
    steps = ask(:post, "/work", example_plan("door-14-undyed-rope"))["steps"]
    {"letter" => 792, "a4" => 297 / 25.4 * 72}.each do |paper, height|
      pdf = PDF::Reader.new(StringIO.new(fetch("/wreaths/#{id}/pattern-card.pdf?paper=#{paper}").body))
      expect(pdf.pages.first.attributes[:MediaBox].last).to be_within(0.1).of(height)
      text = pdf.pages.map(&:text).join(" ").squeeze(" \n")
      expect(text).to match(/Door 14/).and match(/Undyed rope: 56 ft 4 in \(buy 3 packages\)/).and match(/Have ready/)
        .and match(/1 bow ribbon, 62 in/).and match(/Glue is hot/)
      steps.each.with_index(1) { |step, number| expect(text).to include "#{number}. #{step["title"]}" }
    end
  end

  it "shows how the hands go, each move once, with this wreath's own measures, on Letter and on A4" do
    id = kept("door-14-undyed-rope")
    %w[letter a4].each do |paper|
      pages = PDF::Reader.new(StringIO.new(fetch("/wreaths/#{id}/pattern-card.pdf?paper=#{paper}").body)).pages
      # Beneath a frame its sentence is broken into lines.
      words = pages.map(&:text).join(" ").split
      text = words.join(" ")
      expect(words.each_cons(2).to_a).to include(%w[Measure 7], %w[Lay 24])
      expect(text).to match(/Through the back and round the form: as in step 6\./).and match(/7 in\b.*4 in\b/)
      expect(text.scan("held by a").size).to eq 1
      # Drawn as paths, in the bow's own rust, "#a8472a", each of three parts of 255.
      expect(pages.map(&:raw_content).join.include?("0.65882 0.27843 0.16471 scn")).to be true
    end
  end

  it "says where each length ends, what dries and what else can be done then, and halves in words" do
    paint = {"id" => "paint", "kind" => "coat", "name" => "White paint", "offers" => [{"count" => 1, "price" => "4"}]}
    document = example_plan("door-14-undyed-rope")
    document = document.merge("materials" => [*document["materials"], paint],
      "layers" => [{"id" => "coat", "method" => "coat", "material" => "paint"}, *document["layers"]])
    steps = ask(:post, "/work", document)["steps"]
    id = ask(:post, "/wreaths", {plan: document})["id"]
    text = PDF::Reader.new(StringIO.new(fetch("/wreaths/#{id}/pattern-card.pdf").body)).pages.map(&:text).join(" ")
      .gsub(/\s+/, " ")
    coil = steps.find { _1["changes"] }
    expect(text).to include "The next length begins after #{coil["changes"].join(" and ")} coils."
    made = steps.index { _1["title"] == "Make the bow" } + 1
    expect(text).to include "It dries for about 1 h, as the label says. Meanwhile: step #{made}."
    expect(text).to include "half a chenille stem"
    cut = PDF::Reader.new(StringIO.new(fetch("/wreaths/#{id}/cut-sheet.pdf").body)).pages.map(&:text).join(" ")
    expect(cut).not_to match(/0\.5 chenille/)
  end

  it "draws every coil and every bow of every example, in the material's colour, as SVG" do
    Dir[File.expand_path("../../docs/examples/*.json", __dir__)].each do |file|
      plan = JSON.parse(File.read(file))
      worked = ask(:post, "/work", plan)
      svg = REXML::Document.new(Server::Svg::Picture.new(worked, plan["materials"]).svg)
      drawn = REXML::XPath.match(svg, "/*/*[local-name()='path']").sum { _1.attributes["d"].count("M") }
      lies = worked["drawing"]["layers"].reject { _1["kind"] == "wash" }.sum { _1["front"].size }
      expect(drawn).to be >= lies
      used = worked["drawing"]["layers"].reject { _1["front"].empty? }.flat_map { _1["materials"] }
      colours = plan["materials"].select { used.include?(_1["id"]) }.filter_map { _1["colour"] }
      paints = REXML::XPath.match(svg, "//*").flat_map { [_1.attributes["fill"], _1.attributes["stroke"]] }
      # A cord is its colour with the light on it.
      unpainted = colours.reject { |colour|
        [colour, *(0...24).map { Server::Svg::Surface.lightened(colour, _1) }].intersect?(paints)
      }
      expect(unpainted).to be_empty
    end
    response = fetch("/wreaths/#{kept("door-7-rope-ring")}/picture.svg")
    expect(response.content_type).to start_with "image/svg+xml"
    expect(response.body).to include "<title>Door 7, rope ring</title>"
  end

  it "says the same of a wreath whose name is markup" do
    id = ask(:post, "/wreaths", {plan: plan(name: "<script>&\"", materials: [rope],
      layers: [layer("rope_coil", "rope")])})["id"]
    picture = REXML::Document.new(fetch("/wreaths/#{id}/picture.svg").body)
    expect(picture.root.elements["title"].text).to eq "<script>&\""
  end
end
