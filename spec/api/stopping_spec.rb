# frozen_string_literal: true

require "fileutils"
require "tmpdir"
require_relative "../support/server"
require_relative "../support/trial/application"

# Ctrl-C, in every way that it is started: every process goes, soon, and nothing that was acknowledged is lost.
RSpec.describe "Ctrl-C" do
  let(:var) { Dir.mktmpdir("lantern-stopping") }

  after do
    @application&.stop
    FileUtils.rm_rf(var)
  end

  def start(*asked, **env)
    @application = Trial::Application.new(var, *asked, env: env.transform_keys(&:to_s)).start
  end

  def add(name) = @application.ask("post", "/wreaths", {plan: plan(name:)}).first

  def names = @application.ask("get", "/wreaths").last["wreaths"].map { _1["name"] }

  # Seconds that it may take, on a machine that is as busy as this one is now.
  def soon = be < Patience.seconds(2)

  {"one process" => {WEB_CONCURRENCY: "1"}, "two processes" => {WEB_CONCURRENCY: "2"}}.each do |mode, env|
    it "ends #{mode}, what is worked on, and a database that stands still; all that was kept is there again" do
      start(**env)
      expect(add("Kept before")).to eq 201
      heavy = Array.new(60) { example_plan("door-21-star-arms").merge("name" => "Wreath #{_1}", "quantity" => 400) }
      occasion = {format: "crisp-lantern/occasion", version: 1, units: "in", plans: heavy}
      asking = Thread.new { @application.ask("post", "/ask/occasion", occasion) }
      Thread.pass until @application.all.any? { File.read("/proc/#{_1}/cmdline").include?("forker") }
      @application.database.hold(true)
      expect(@application.interrupt).to soon
      asking.join
      start(**env)
      expect(names).to include "Kept before"
    end
  end

  it "ends a house in several processes" do
    start("--house", WEB_CONCURRENCY: "2", HOST: "127.0.0.1")
    expect(@application.all.size).to be >= 4
    expect(@application.interrupt).to soon
  end
end
