# frozen_string_literal: true

require "fileutils"
require "stringio"
require "tmpdir"
require_relative "../support/api"
require_relative "../support/pictures"
require_relative "../support/trial/archives"

RSpec.describe "Everything as one file", :api, :store do
  include Pictured

  # A picture, with so many bytes behind its end.
  def large(bytes) = picture(kind: :jpeg).split(",").last.unpack1("m") + Random.new(7).bytes(bytes)

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
    photos = Array.new(5) { |i| large(4_000_000 + i) }
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
    make(large(100))
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

RSpec.describe "An archive with a right checksum and other values", :api, :store do
  it "is refused in a sentence, or everything in it opens" do
    RealStore.load_demo
    Server::App.set :answers, RealStore.answers
    app = Rack::MockRequest.new(Server::RequestGuard.new(Server::App.without_sign_in.new))
    found = Trial::Archives.new(app, RealStore.store, Random.new(RSpec.configuration.seed)).call(15)
    expect(found).to include("refused" => be > 3)
    expect(found).not_to include "WRONG"
  end

  # An action that names a later one could be taken in, and nothing after it.
  it "leaves nothing that stands in the way of the next one" do
    RealStore.load_demo
    archive = RealStore.archive
    RealStore.own[:actions].where(id: 1).update(undoes: 2)
    expect(restore(archive)["restored"]["actions"]).to be > 1
    expect(RealStore.own[:actions].exclude(undoes: nil).count).to eq 0
  end

  it "is refused for what broke lists before" do
    RealStore.load_demo
    lines = RealStore.archive.lines.map { JSON.parse(_1) }
    [["wreaths", "updated_at", 0], ["actions", "undoes", 900], ["makes", "lines", "5"], ["materials", "units", "1e400"],
      ["wreaths", "plan", "[]"],
      ["makes", "photo", {"bytes" => ["\xFF\xD8\xFF no picture"].pack("m0")}]].each do |table, column, value|
      changed = {column => value, **((column == "photo") ? {"photo_type" => "image/jpeg"} : {})}
      rows = lines[0...-1].map { |line|
        "#{JSON.generate((line["table"] == table) ? line.merge("row" => line["row"].merge(changed)) : line)}\n"
      }.join
      last = JSON.generate("end" => true, "sha256" => Digest::SHA256.hexdigest(rows))
      said = restore("#{rows}#{last}\n")
      expect([table, column, status]).to eq [table, column, 422]
      expect(said["problems"][0]["says"]).to match(/Nothing was changed|cannot be read/)
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

  it "keeps the days' fourteen, however often one is asked for by hand" do
    14.times { |day| backups.daily(noon + day * 86_400) }
    20.times { |press| backups.make("by-hand", noon + 13 * 86_400 + press) }
    expect(backups.list.map { _1["kind"] }.tally).to eq "daily" => 14, "by-hand" => 14
  end

  it "goes on whatever a clock once said, and throws nothing away for it" do
    backups.daily(Time.utc(2099, 1, 1))
    days = Array.new(3) { |day| backups.daily(noon + day * 86_400) }
    expect(backups.daily(Time.utc(1970, 1, 1, 1))).to match(/\Adaily-1970/)
    expect(backups.daily(Time.utc(1970, 1, 1, 2))).to be_nil
    expect(backups.daily(noon + 3 * 86_400)).not_to be_nil
    expect(backups.list.map { _1["name"] }).to include(*days, a_string_starting_with("daily-2099"))
    expect(backups.last_good(noon + 4 * 86_400)).to start_with "2026-03-04"
  end

  it "passes over what is none, and says so; and takes away what a killed process left behind" do
    name = backups.make("daily", noon)
    odd = %w[daily-20261399T000000Z.jsonl.gz notes.txt]
    gone = Process.wait(spawn("true"))
    left = "#{name}.part-#{gone}"
    [*odd, left, "#{name}.part-#{Process.pid}"].each { File.write(File.join(@directory, _1), "") }
    expect(backups.list.map { _1["name"] }).to eq [name]
    expect(backups.passed_over).to eq odd
    backups.make("by-hand", noon)
    expect(Dir.children(@directory)).to include(*odd, "#{name}.part-#{Process.pid}")
    expect(Dir.children(@directory)).not_to include left
  end

  it "takes its place only when it was read back whole" do
    torn = Class.new(Server::Archive) do
      def each_line(now) = super { |line| yield line unless line.include?('"end"') }
    end
    store = RealStore.store
    bad = described_class.new(@directory, torn.new(store.own, store.ledger))
    expect(bad.daily(noon)).to be_nil
    expect(bad.failed).to match(/read back: The archive is cut short/)
    expect([bad.list, bad.last_good]).to eq [[], nil]
    expect(Dir.children(@directory)).to eq ["failed"]
  end

  it "refuses what was packed to fill a disk, within ten megabytes" do
    noughts = StringIO.new
    Zlib::GzipWriter.wrap(noughts) { |packed| 3_000.times { packed << "0" * 100_000 } && packed.finish }
    noughts.rewind
    read = nil
    opening = -> { described_class.open(noughts) { read = true } }
    expect(&opening).to raise_error(Server::Problem, /far more than any archive/)
    expect([read, noughts.pos]).to match [nil, be < 100_000]
  end

  it "unpacks into a file that has no name, so that nothing of it stays behind" do
    packed = File.join(@directory, backups.make("daily", noon))
    before = Dir.children(Dir.tmpdir)
    File.open(packed, "rb") do |file|
      described_class.open(file) { |plain|
        expect(plain.gets).to include "crisp-lantern/archive"
        expect(Dir.children(Dir.tmpdir) - before).to eq []
      }
    end
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
