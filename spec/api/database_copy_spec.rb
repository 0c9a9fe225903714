# frozen_string_literal: true

require "fileutils"
require "open3"
require "tmpdir"
require_relative "../support/api"

# The backup for many: a copy of the whole database while it is written to, put back elsewhere.
RSpec.describe "A copy of the database" do
  let(:folder) { Dir.mktmpdir("lantern-copies") }
  let(:server) { Server::PrivateDatabase.new(File.join(folder, "first")).start }
  let(:restored) { Server::PrivateDatabase.new(File.join(folder, "second")) }

  after do
    [server, restored].each(&:stop)
    FileUtils.rm_rf(folder)
  end

  def deploy(command, *given, env: {})
    Open3.capture2e(env, File.expand_path("../../deploy/#{command}", __dir__), *given)
  end

  # How the copier gets in: as whoever looks after the server.
  def way_in
    path = File.join(folder, "backup.cnf")
    password = File.read(File.join(folder, "first/password"))
    File.write(path, "[client]\nuser=root\npassword=#{password}\nsocket=#{folder}/first/socket\n", perm: 0o600)
    "--defaults-extra-file=#{path}"
  end

  # Counts that are written one after another until somebody says enough.
  def counting(store, wreath)
    counted = 0
    running = true
    writer = Thread.new do
      while running
        store.bench.take(wreath, [{"event" => "count-number-#{counted}", "step" => "cut", "kind" => "count",
                                   "amount" => 1}])
        counted += 1
      end
    end
    yield -> { counted }
  ensure
    running = false
    writer.join
  end

  it "is made while everything is written to, and holds every change that was acknowledged before it was begun" do
    store = Server::Store.new(server.connect("lantern"))
    Server::Demo.load(store)
    wreath = store.wreaths.all[0]["id"]
    copies = File.join(folder, "copies")
    before = nil
    counting(store, wreath) do |counted|
      sleep 0.05 until counted.call > 20
      before = counted.call
      3.times do
        said, status = deploy("backup", copies, way_in, env: {"KEEP" => "2"})
        expect([said, status.success?]).to match [/The database is in/, true]
        # Names have seconds in them.
        sleep 1
      end
    end
    kept = Dir.children(copies).grep(/Z\z/).sort
    expect(kept.size).to eq 2
    FileUtils.mkdir_p(File.join(folder, "second"))
    said, status = deploy("restore", File.join(copies, kept.last), File.join(folder, "second/data"))
    expect([said, status.success?]).to match [/The copy is in/, true]
    there = Server::Store.new(restored.start.connect("lantern"))
    expect(there.bench.state(wreath)["counts"]["cut"]).to be >= before
    expect(there.wreaths.all.map { _1["name"] }).to eq store.wreaths.all.map { _1["name"] }
    # The ledger adds up.
    sums = there.own[:entries].group(:material_id, :length, :width, :end_width)
      .select_map([:material_id, :length, :width, :end_width, Sequel.function(:sum, :change).as(:sum)])
    lots = there.own[:lots].select_map(%i[material_id length width end_width count])
    summed = sums.map { |*lot, sum| [*lot, sum.to_i] }
    expect(lots.reject { _1.last.zero? }).to match_array(summed.reject { _1.last.zero? })
  end

  it "is put over nothing that is there, and says why none was made" do
    FileUtils.mkdir_p(File.join(folder, "copy"))
    FileUtils.touch(File.join(folder, "copy/xtrabackup_checkpoints"))
    server
    said, status = deploy("restore", File.join(folder, "copy"), File.join(folder, "first/data"))
    expect([said, status.success?]).to match [/is not empty/, false]
    said, status = deploy("restore", File.join(folder, "first"), File.join(folder, "new"))
    expect([said, status.success?]).to match [/is no copy/, false]
    said, status = deploy("backup", File.join(folder, "copies"), "--socket=#{folder}/none", "--user=nobody")
    expect([said, status.success?]).to match [/No copy was made/, false]
    expect(Dir.children(File.join(folder, "copies"))).to eq ["last.log"]
  end
end
