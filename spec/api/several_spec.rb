# frozen_string_literal: true

require "fileutils"
require "open3"
require "tmpdir"
require_relative "../support/api"
require_relative "../support/trial/application"
require_relative "../../server/database/lease"
require_relative "../../server/database/external"

# The answer to what was to be kept is lost on its way.
class LostAnswer
  def info(sql) = sql.end_with?("COMMIT") && raise(Sequel::DatabaseDisconnectError)

  alias_method :debug, :info
  alias_method :warn, :info
  alias_method :error, :info
end

RSpec.describe Server::Lease, :store do
  def lease = described_class.new(RealStore.database, "spec")

  def over = RealStore.database[:leases].update(until: Sequel.lit("UTC_TIMESTAMP() - INTERVAL 1 SECOND"))

  it "is one's until it is over, and may be taken again by whoever has it" do
    one, other = lease, lease
    expect([one.take(60), other.take(60), one.take(60)]).to eq [true, false, true]
    over
    expect([other.take(60), one.take(60)]).to eq [true, false]
  end

  it "lets several that come at once in one after another" do
    inside, most, done = 0, 0, Queue.new
    Array.new(4) {
      Thread.new do
        lease.alone do
          most = [most, inside += 1].max
          sleep 0.05
          inside -= 1
          done << true
        end
      end
    }.each(&:join)
    expect([done.size, most]).to eq [4, 1]
  end

  it "is given back when what it was had for went wrong, and waited for no longer than is said" do
    one, other = lease, lease
    expect { one.alone { raise ArgumentError } }.to raise_error ArgumentError
    expect(other.take(60)).to be true
    expect { one.alone(patience: 0.3) { raise "not alone" } }.to raise_error described_class::TooLong
  end
end

RSpec.describe Server::ExternalDatabase::Nodes do
  let(:gone) { {host: "127.0.0.1", port: TCPServer.open("127.0.0.1", 0) { _1.addr[1] }} }
  let(:there) { RealStore.server.address.split(":").then { |host, port| {host:, port: port.to_i} } }
  let(:account) { {user: "lantern", password: File.read(File.join(RealStore::DIRECTORY, "account")).strip} }

  it "passes over one that does not answer, begins where it is told to, and says all without a password" do
    nodes = described_class.new([gone, there], first: 0)
    expect(nodes.choose(**account)).to eq there
    expect(described_class.new([there, gone], first: 1).choose(**account)).to eq there
    # One that nobody gets in at is as good as gone.
    expect(described_class.new([there, gone], first: 0).choose(user: "nobody", password: "x")).to eq there
    expect(nodes.to_s).to eq [gone, there].map { "127.0.0.1:#{_1[:port]}" }.sort.join(", ")
  end
end

RSpec.describe Server::Transactions, :store do
  let(:database) { RealStore.database }

  # Ends the connection that asks, as a node that is killed does; so often.
  def dying(times)
    tries = 0
    database.atomically do
      tries += 1
      if tries <= times
        number = database.get(Sequel.function(:connection_id))
        RealStore.connect("lantern_test").tap { |other| other.run("KILL #{number}") }.disconnect
      end
      RealStore.own[:settings].insert(name: "try #{tries}", value: "x")
    end
    tries
  end

  it "begins a change anew whose connection broke, and leaves nothing of the first try" do
    expect(dying(1)).to eq 2
    expect(RealStore.own[:settings].select_map(:name)).to eq ["try 2"]
  end

  it "gives up when it breaks again and again, in words that whoever asks can act on" do
    expect { RealStore.store.translating_errors { dying(9) } }.to raise_error Server::DatabaseErrors::Away
    expect(RealStore.own[:settings].count).to eq 0
    expect(RealStore.database.get(1)).to eq 1
  end

  it "does not begin anew what may have been kept already" do
    tries = 0
    database.loggers << LostAnswer.new
    expect {
      database.atomically { RealStore.own[:settings].insert(name: "try #{tries += 1}", value: "x") }
    }.to raise_error(Sequel::DatabaseDisconnectError)
    database.loggers.clear
    expect([tries, RealStore.own[:settings].select_map(:name)]).to eq [1, ["try 1"]]
  ensure
    database.loggers.clear
  end
end

RSpec.describe "Several processes" do
  let(:var) { Dir.mktmpdir("lantern-several") }
  let(:application) { Trial::Application.new(var, env: {"WEB_CONCURRENCY" => "2"}) }

  after do
    application.stop
    FileUtils.rm_rf(var)
  end

  def workers = Dir.glob("/proc/[0-9]*/stat").filter_map { |path| path[/\d+/].to_i if worker?(path) }

  def worker?(path)
    parent = File.read(path).split(") ").last.split[1].to_i
    parent == application.number && File.read(File.join(File.dirname(path), "cmdline")).include?("cluster worker")
  rescue SystemCallError
    false
  end

  it "answer as one: what is saved by one is known to the other, and one that dies is replaced" do
    application.start
    before = workers
    expect(before.size).to eq 2
    wreath = application.ask("get", "/wreaths").last["wreaths"][0]
    counts = Array.new(20) { |i|
      event = {event: "several-#{i}-event", step: "cut", kind: "count", amount: 1}
      application.ask("post", "/wreaths/#{wreath["id"]}/bench", {events: [event]}).last["counts"]["cut"]
    }
    expect(counts).to eq (1..20).to_a
    Process.kill(:KILL, before.first)
    Timeout.timeout(Patience.seconds(60)) { sleep 0.1 until (workers - before).any? }
    statuses = Array.new(20) { application.ask("get", "/wreaths/#{wreath["id"]}/bench").first }
    expect(statuses.uniq).to eq [200]
    # Heavy questions have workers of each process.
    expect(application.ask("get", "/wreaths/#{wreath["id"]}/cut-sheet.pdf").first).to eq 200
  end

  it "are as many as is said, which is a number" do
    said, status = Open3.capture2e({"VAR" => var, "WEB_CONCURRENCY" => "many"}, RbConfig.ruby, "server/boot.rb")
    expect([said, status.success?]).to match [/WEB_CONCURRENCY=many is no number of processes/, false]
  end
end
