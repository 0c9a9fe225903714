# frozen_string_literal: true

require "vips"
require_relative "../support/api"
require_relative "../../server/workers/tasks"

RSpec.describe "A wreath being made, as a film", :api, :store do
  before(:all) { Server::WorkerPool::Tasks.load }

  def kept(name) = ask(:post, "/wreaths", {plan: example_plan(name)})["id"]

  def film(id, query)
    header "Host", "localhost"
    get "/api/wreaths/#{id}/film?#{query}"
    last_response.body.lines.map { JSON.parse(_1) }
  end

  def picture(line) = Vips::Image.new_from_buffer(line["film"].unpack1("m"), "", n: -1)

  def frame(film, number) = film.get("page-height").then { film.crop(0, number * _1, film.width, _1) }

  # How far two pictures are apart, of 255; what differs is the compression of the film.
  def apart(one, other) = (one[0..2] - other[0..2]).abs.avg

  it "is drawn with its progress, from the bare form to the wreath as it is drawn" do
    *progress, last = film(kept("door-6-netting-loops"), "format=webp")
    expect(progress.map { _1["done"] }).to eq(progress.map { _1["done"] }.sort).and(all(be <= progress[0]["of"]))
    expect(last["type"]).to eq "image/webp"
    whole = picture(last)
    # Frames that are the same picture become one.
    expect(whole.get("n-pages")).to be_between(progress[0]["of"] - 4, progress[0]["of"])
    expect(whole.width).to eq 480
    plan = example_plan("door-6-netting-loops")
    drawn = Server::Svg::Picture.new(Lantern.work(plan), plan["materials"]).svg
    still = Vips::Image.svgload_buffer(drawn, scale: 0.48).flatten(background: Server::Export::Film::Painter::PAPER)
    expect(apart(frame(whole, whole.get("n-pages") - 1), still)).to be < 6
    expect(apart(frame(whole, 0), still)).to be > 10
    expect(whole.get("delay").sum).to be_between(3_000, 22_600)
  end

  it "has frames that are the same pictures as each drawn by itself, though only what is new is drawn" do
    %w[door-14-undyed-rope door-13-acorn].each do |name|
      plan = example_plan(name)
      worked = Lantern.work(plan)
      film = Server::Export::Film.new(worked, plan["materials"])
      made = Lantern::Draw::BeingMade.new(worked)
      painter = film.send(:painter)
      film.moments("webp").each_with_index do |moment, i|
        grown = painter.paint(made.at(moment))
        expect(apart(grown, film.send(:painter).paint(made.at(moment)))).to be < 0.4 if (i % 15).zero?
      end
    end
  end

  it "is made of one step alone, and as GIF of a hundred frames at most" do
    id = kept("door-14-undyed-rope")
    *, last = film(id, "format=gif&step=base.coil")
    expect(last["type"]).to eq "image/gif"
    expect(picture(last).get("n-pages")).to be_between(60, 100)
    expect(film(id, "format=gif&step=nothing"))
      .to eq [{"problems" => [{"at" => "step", "says" => "There is no such step."}]}]
    ask(:get, "/wreaths/#{id}/film?format=mp4")
    expect(last_response.status).to eq 400
  end
end
