# frozen_string_literal: true

require "fileutils"
require "tmpdir"
require_relative "../support/api"

# A power cut before a statement, counted from the first.
class PowerCut
  Off = Class.new(StandardError)
  attr_reader :statements

  def initialize(after)
    @after, @statements = after, 0
  end

  def info(sql)
    return if sql.include?("SELECT") || sql.include?("SHOW") || sql.include?("DESCRIBE")
    @statements += 1
    raise Off if @statements > @after
  end

  def debug(_) = nil
  alias_method :warn, :debug
  alias_method :error, :debug
end

RSpec.describe "An upgrade", :store do
  around { |example| Dir.mktmpdir("lantern-upgrade") { |folder| (@folder = folder) && example.run } }

  # A database as the version had it whose tables ended here, with what was in it then.
  def earlier(version)
    database = RealStore.before(version)
    return database if version.zero?
    database[:wreaths].insert(name: "Kept", plan: JSON.generate(plan(name: "Kept")))
    database[:materials].insert(slug: "tape", kind: "ribbon", name: "Tape", units: "in",
      document: JSON.generate(ribbon(on_hand: (version < 3) ? [44, "3 1/2 yd", "80 cm"] : []).reject { |key, list|
        version >= 3 && key == "on_hand" && list.empty?
      }))
    database
  end

  def cut_before(database, statement)
    cut = PowerCut.new(statement)
    database.loggers << cut
    Server::Store.migrate(database)
    cut.statements
  rescue PowerCut::Off
    nil
  ensure
    database.loggers.delete(cut)
  end

  # All that is kept, as the application now shows it.
  def shown(database)
    store = Server::Store.new(database)
    hand = store.materials.all.to_h { [_1["material"]["id"], _1["material"]["on_hand"]] }
    [store.wreaths.all.map { _1["name"] }, hand, database[:lots].count, database[:entries].count]
  end

  it "that is cut short before any of its statements goes on where it was, and nothing is there twice" do
    [0, 2].each do |version|
      all = cut_before(earlier(version), Float::INFINITY)
      whole = shown(RealStore.connect("lantern_before"))
      expect(all).to be > 20
      # Each eleventh here, all of them in bin/trial.
      (0...all).step(ENV.fetch("EVERY", "11").to_i) do |statement|
        database = earlier(version)
        expect(cut_before(database, statement)).to be_nil
        # With what was there kept in a file, however far the tables had come.
        Server::Store.migrate(database, backups: @folder)
        expect([statement, shown(database)]).to eq [statement, whole]
      ensure
        database&.disconnect
      end
    end
  end

  it "keeps a backup of what was there, and that can be brought back" do
    Dir.mktmpdir("lantern-backups") do |directory|
      database = earlier(7)
      Server::Store.migrate(database, backups: directory)
      store = Server::Store.new(database, backups: directory)
      kept = store.backups.list
      expect(kept.map { _1["kind"] }).to eq ["before-upgrade"]
      database[:wreaths].delete
      store.backups.bring_back(kept[0]["name"])
      expect(store.wreaths.all.map { _1["name"] }).to eq ["Kept"]
    ensure
      database&.disconnect
    end
  end

  it "puts right what an earlier version took twice" do
    database = earlier(7)
    id = database[:materials].get(:id)
    2.times do |i|
      action = database[:actions].insert(kind: "corrected")
      database[:entries].insert(action_id: action, material_id: id, kind: "cut", length: 7, change: i.zero? ? 1 : -2)
    end
    store = Server::Store.new(database)
    expect(database[:entries].where(length: 7).sum(:change)).to eq 0
    expect(store.ledger.stock).to eq({})
  ensure
    database&.disconnect
  end
end
