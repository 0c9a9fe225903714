# frozen_string_literal: true

require "fileutils"
require "stringio"
require "tmpdir"
require_relative "../support/api"

RSpec.describe "Everything as one file", :api, :store do
  # A picture's first bytes, and so many more.
  def picture(bytes) = "\xFF\xD8\xFF".b + Random.new(7).bytes(bytes)

  def make(photo = nil)
    RealStore.own[:makes].insert(wreath_name: "Door 7", plan: "{}", lines: "[]", steps: "[]",
      photo: photo && Sequel.blob(photo), photo_type: photo && "image/jpeg")
  end

  # An archive of the first version, as that version wrote it.
  def first_version
    tables = Server::Archive::TABLES.to_h { |table| [table.to_s, []] }
    RealStore.archive.lines.map { JSON.parse(_1) }.each { |line| tables[line["table"]] << line["row"] if line["row"] }
    {"format" => "crisp-lantern/archive", "version" => 1, "tables" => tables}
  end

  def rows = RealStore::TABLES.to_h { |table| [table, RealStore.database[table].order_by(*keys_of(table)).all] }
    .except(:requests)

  def keys_of(table) = RealStore.database.schema(table).select { _2[:primary_key] }.map(&:first)

  it "has every table of the database, but for those that follow from others, and the door's" do
    there = RealStore.database.tables - [:schema_info] - Server::Archive::DERIVED - Server::Archive::DOOR
    expect(Server::Archive::TABLES).to match_array there
  end

  it "restores to the same, the lots counted anew" do
    RealStore.load_demo
    rope = ask(:get, "/materials")["materials"].find { _1["material"]["id"] == "rope" }
    ask(:post, "/materials/#{rope["id"]}/ledger", {kind: "bought", piece: "10 ft", change: 2, units: "in"})
    ask(:post, "/actions/#{ask(:get, "/materials/#{rope["id"]}/ledger")["entries"][0]["action"]}/undo", {})
    before, archive = rows, RealStore.archive
    RealStore.empty
    ask(:post, "/materials", {units: "in", material: ribbon})
    expect(restore(archive)["restored"]).to include("wreaths" => 27, "materials" => 22,
      "makes" => Server::Demo::TOOK.values.flat_map(&:values).sum(&:size))
    lots = ->(all) { all.delete(:lots).map { _1.except(:id) }.reject { |lot| lot[:count].zero? } }
    after = rows
    expect(lots.call(after)).to eq lots.call(before)
    expect(after).to eq before
    expect(RealStore.archive.lines[1...-1]).to eq archive.lines[1...-1]
  end

  it "keeps what was there before a restore, and brings it back" do
    ask(:post, "/wreaths", {plan: plan(name: "Before")})
    archive = RealStore.archive
    ask(:post, "/wreaths", {plan: plan(name: "After")})
    kept = restore(archive)["before"]
    expect(ask(:get, "/wreaths")["wreaths"].map { _1["name"] }).to eq ["Before"]
    expect(ask(:get, "/backups")["backups"].map { _1["name"] }).to include(kept)
    expect(ask(:post, "/backups/#{kept}/bring-back", {})["restored"]).to include("wreaths" => 2)
    expect(ask(:get, "/wreaths")["wreaths"].map { _1["name"] }).to eq %w[Before After]
    ask(:post, "/backups/no-such-backup/bring-back", {})
    expect(status).to eq 404
  end

  it "restores twenty million bytes of photos" do
    photos = Array.new(5) { |i| picture(4_000_000 + i) }
    photos.each { make(_1) }
    archive = RealStore.archive
    RealStore.empty
    expect(restore(archive)["restored"]).to include("makes" => 5)
    expect(RealStore.database[:makes].order(:id).select_map(:photo).map(&:b)).to eq photos
  end

  it "still takes in what the first version wrote" do
    RealStore.load_demo
    before, old = rows.except(:lots), JSON.generate(first_version)
    RealStore.empty
    expect(restore(old)["restored"]).to include("wreaths" => 27)
    expect(rows.except(:lots)).to eq before
  end

  it "means the same moment wherever it is restored, in the hour that spring skips, and past 2038" do
    moments = %w[2026-03-29T02:30:00Z 2026-03-08T02:30:00Z 2041-07-01T12:00:00Z]
    moments.each { |at| RealStore.database[:makes].where(id: make).update(created_at: Time.iso8601(at)) }
    archive = RealStore.archive
    zone = ENV.fetch("TZ", nil)
    %w[America/New_York Europe/Berlin].each do |elsewhere|
      ENV["TZ"] = elsewhere
      restore(archive)
      expect(RealStore.database[:makes].order(:id).select_map(:created_at).map { _1.getutc.iso8601 }).to eq moments
    ensure
      ENV["TZ"] = zone
    end
  end

  it "takes in nothing of what is no archive, is damaged, or contradicts itself" do
    ask(:post, "/materials", {units: "in", material: ribbon(on_hand: [44])})
    make(picture(100))
    before, whole, old = rows, RealStore.archive, first_version
    changed = ->(tables) { JSON.generate(old.merge("tables" => old["tables"].merge(tables))) }
    material = old["tables"]["materials"][0]
    photo = old["tables"]["makes"][0]
    {
      "\x1F\x8B no gzip".b => /cannot be unpacked/,
      "" => /no archive/, "no json" => /no archive/, "[" * 5_000_000 => /no archive/,
      whole.lines[0...-1].join => /cut short/,
      (whole.lines[0..1] + whole.lines[3..]).join => /damaged/,
      whole.sub("Marigold", "Maryigold") => /damaged/,
      whole.sub('"version":2', '"version":2,"x":1') => /damaged/,
      whole.sub("image/jpeg", "image/png") => /not the picture it says/,
      JSON.generate("format" => "other") => /no archive/,
      JSON.generate(old.merge("version" => 9)) => /another version, 9/,
      JSON.generate(old.merge("tables" => 7)) => /no tables/,
      JSON.generate(old.merge("tables" => {})) => /no wreaths, not even an empty list/,
      changed.call("users" => []) => /“users”/,
      changed.call("wreaths" => [{"id" => 1, "evil" => 1}]) => /“evil”/,
      changed.call("wreaths" => [7]) => /not an object/,
      changed.call("wreaths" => "x") => /not a list of rows/,
      changed.call("materials" => [material.merge("document" => "{\"id\":1}")]) => /“Marigold tape” cannot be read/,
      changed.call("materials" => [material.merge("document" => "{")]) => /not JSON/,
      changed.call("makes" => [photo.merge("photo_type" => "text/html")]) => /not the picture it says/,
      changed.call("ticks" => [{"wreath_id" => 99, "place" => "x"}]) => /contradicts itself/
    }.each do |text, says|
      expect(restore(text)["problems"][0]["says"]).to match(says)
      expect(status).to eq 422
      expect(rows).to eq before
    end
  end
end

RSpec.describe Server::Backups, :store do
  around { |example| Dir.mktmpdir("lantern-backups") { |directory| @directory = directory and example.run } }

  let(:backups) { described_class.new(@directory, RealStore.store.archive) }
  let(:noon) { Time.utc(2026, 3, 1, 12) }

  it "makes one a day and keeps fourteen" do
    20.times { |day| expect(backups.daily(noon + day * 86_400)).to match(/\Adaily-/) }
    expect(backups.daily(noon + 19 * 86_400 + 7_200)).to be_nil
    expect(backups.list.map { _1["at"][0, 10] })
      .to eq((0...14).map { |day| (noon + (19 - day) * 86_400).strftime("%Y-%m-%d") })
  end

  it "never takes another's place, however close together they are made" do
    names = Array.new(3) { backups.make("before-restore", noon) }
    expect(names.uniq.size).to eq 3
    expect(backups.list.size).to eq 3
  end

  it "says that it failed, and leaves nothing half written" do
    expect(backups.daily(noon)).not_to be_nil
    File.write(File.join(@directory, "in-the-way"), "")
    lost = described_class.new(File.join(@directory, "in-the-way"), RealStore.store.archive)
    expect(lost.daily(noon)).to be_nil
    expect(lost.failed).to match(/exists|not a directory/i)
    expect(Dir.children(@directory).grep(/\.new\z/)).to be_empty
  end
end
