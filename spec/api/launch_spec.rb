# frozen_string_literal: true

require "fileutils"
require "net/http"
require "open3"
require "socket"
require "tmpdir"
require_relative "../support/server"
require_relative "../support/trial/application"

# Ways of asking an application that is a process of its own.
module AskingAProcess
  # What a start says that does not begin to serve, and its exit status.
  def said_by(var, **env)
    free = TCPServer.open("127.0.0.1", 0) { _1.addr[1] }
    env = {"VAR" => var, "PORT" => free.to_s}.merge(env.transform_keys(&:to_s))
    said, status = Open3.capture2e(env, RbConfig.ruby, "server/boot.rb")
    [said, status.exitstatus]
  end

  # A folder in which it ran once and was stopped, made once and copied after that.
  def folder
    @@served ||= Dir.mktmpdir("lantern-served").tap do |served|
      Trial::Application.new(served).start.stop
      at_exit { FileUtils.rm_rf(served) }
    end
    Dir.mktmpdir("lantern").tap { FileUtils.cp_r(File.join(@@served, "."), _1) }
  end

  def names(application) = application.ask("get", "/wreaths").last["wreaths"].map { _1["name"] }

  def add(application, name) = application.ask("post", "/wreaths", {plan: plan(name:)})
end

RSpec.describe "The application as a process" do
  include AskingAProcess

  let(:var) { folder }
  let(:application) { Trial::Application.new(var) }

  after do
    application.stop
    FileUtils.rm_rf(var)
  end

  it "comes back with nothing lost when it is killed hard, and leaves nothing running when it is stopped" do
    before = names(application.start).size
    expect(before).to be >= 6
    add(application, "Kept before the kill")
    application.kill(:application)
    expect(names(application.start)).to include("Kept before the kill")
    expect(names(application).size).to eq before + 1
    application.close
    expect(application.database).not_to be_running
  end

  it "chooses another port when the one asked for is taken, and says so" do
    TCPServer.open("127.0.0.1", 0) do |taken|
      port = taken.addr[1]
      other = Trial::Application.new(var, port:).start
      expect(other.said).to include("Port #{port} is taken; using #{other.address.port}.")
      expect(other.ask("get", "/ping")).to eq [200, {"ok" => true}]
    ensure
      other&.stop
    end
  end

  it "says in a sentence why it cannot start, and writes no trace" do
    {{PORT: "abc"} => /PORT=abc is no port/, {PORT: "70000"} => /PORT=70000 is no port/,
     {PORT: "-1"} => /is no port/, {VAR: "/proc/nowhere"} => %r{/proc/nowhere cannot be used}}.each do |env, says|
      said, status = said_by(var, **env)
      expect([status, said]).to match [1, says]
      expect(said).not_to match(/\.rb:\d+/)
    end
  end

  it "is open to the house when it is asked to be, to whoever has signed in" do
    open = Trial::Application.new(var, "--house").start
    expect(open.said).to include("asks who comes in to sign in")
    here = URI("http://127.0.0.1:#{open.address.port}")
    asked = ->(path) { Net::HTTP.get_response(here + "/api#{path}").then { [_1.code.to_i, JSON.parse(_1.body)] } }
    expect(asked.call("/wreaths")[0]).to eq 401
    expect(asked.call("/account")).to match [200, {"house" => true, "first" => true,
                                                   "tls" => include("address" => %r{\Ahttps://127\.0\.0\.1:\d+\z})}]
    expect(File.stat(File.join(var, "secret")).mode & 0o777).to eq 0o600
  ensure
    open&.stop
  end

  it "keeps everything in a file from the command line, whether it runs or not, and takes it back" do
    application.start
    file = File.join(var, "all.jsonl.gz")
    run = ->(*words) { Open3.capture2e({"VAR" => var}, "bin/lantern", *words) }
    expect(run.call("backup", file)[1]).to be_success
    add(application, "Gone again")
    expect(run.call("restore", file)[0]).to match(/\ARestored: 27 wreaths.*before-restore-/)
    expect(names(application)).not_to include("Gone again")
    application.close
    expect(run.call("restore", file)[1]).to be_success
    said, status = run.call("restore", __FILE__)
    expect([said, status.exitstatus]).to match [/no archive/, 2]
    # Into another workshop, with the first as it was.
    said, status = run.call("restore", file, "7")
    expect([said, status.exitstatus]).to match [/There is no workshop 7; there are 1/, 2]
    database = application.database.start
    database.connect("lantern").tap { _1[:workshops].insert(id: 7, name: "Guild table") }.disconnect
    expect(run.call("restore", file, "7")[0]).to match(/\ARestored: 27 wreaths/)
    expect(run.call("backup", file)[0]).to match(/It is workshop 1, one of 2/)
    database.stop
  end

  it "takes a folder that was copied for its own, and leaves the original's database alone" do
    application.start
    copied = Dir.mktmpdir("lantern-copy")
    FileUtils.cp_r(File.join(var, "."), copied)
    copy = Trial::Application.new(copied).start
    add(copy, "In the copy")
    expect([application, copy].map { names(_1).include?("In the copy") }).to eq [false, true]
  ensure
    copy&.stop
    FileUtils.rm_rf(copied)
  end
end

RSpec.describe "The application, once it runs" do
  include AskingAProcess

  before(:context) { @application = Trial::Application.new(folder).start }

  after(:context) do
    @application.stop
    FileUtils.rm_rf(@application.var)
  end

  it "says where the first one answers when it is started a second time, and leaves it alone" do
    said, status = said_by(@application.var)
    expect([said, status]).to eq ["Crisp Lantern runs in this folder already: #{@application.address}\n", 0]
    expect(names(@application).size).to be >= 6
  end

  it "answers at both addresses of this machine, and at no other" do
    address = @application.address
    expect(Net::HTTP.get(URI("http://[::1]:#{address.port}/api/ping"))).to eq "{\"ok\":true}"
    expect(Net::HTTP.get_response(address + "/api/ping", {"Host" => "elsewhere.example"}).code).to eq "403"
  end

  it "cuts off who sends a body byte by byte" do
    slow = TCPSocket.new(@application.address.host, @application.address.port)
    slow.write("POST /api/work HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\n" \
      "Content-Length: 5000\r\n\r\n")
    answered = Timeout.timeout(Patience.seconds(60)) do
      loop do
        slow.write(" ")
        break slow.readpartial(200) if slow.wait_readable(1)
      end
    end
    expect(answered).to start_with("HTTP/1.1 408")
  ensure
    slow&.close
  end

  it "serves the screens, and keeps other pages out of them" do
    address = @application.address
    page = Net::HTTP.get_response(address + "/wreaths/1/cover")
    expect(page.body).to include("<div id=\"root\">")
    expect(page["content-security-policy"]).to include("default-src 'self'", "frame-ancestors 'none'")
    script = page.body[%r{/assets/[^"]+\.js}]
    expect(Net::HTTP.get_response(address + script)["content-type"]).to match(/javascript/)
    expect(Net::HTTP.get_response(address + "/api/nothing").code).to eq "404"
  end
end

RSpec.describe Server::PrivateDatabase do
  before(:context) do
    @stopped = Dir.mktmpdir("lantern-db")
    described_class.new(@stopped).start.stop
  end

  after(:context) { FileUtils.rm_rf(@stopped) }

  # One that was installed, started and stopped.
  def installed(directory = Dir.mktmpdir("lantern-db")) =
    directory.tap { FileUtils.cp_r(File.join(@stopped, "."), _1) }

  let(:directory) { installed }
  let(:server) { described_class.new(directory) }

  after do
    server.stop
    FileUtils.rm_rf(directory)
  end

  it "listens on loopback alone, behind a password nobody else can read" do
    server.start
    expect(server.address).to match(/\A127\.0\.0\.1:\d+\z/)
    expect(File.stat(File.join(directory, "password")).mode & 0o077).to eq 0
    port = server.address[/\d+\z/].to_i
    expect { Sequel.connect(adapter: "trilogy", host: "127.0.0.1", port:, user: "root", test: true) }
      .to raise_error(Sequel::DatabaseConnectionError)
    expect {
      TCPSocket.new(Socket.ip_address_list.find { !_1.ipv4_loopback? && _1.ipv4? }&.ip_address || "192.0.2.1",
        port, connect_timeout: 1)
    }.to raise_error(SystemCallError)
  end

  it "keeps its temporary tables where no other server that starts deletes them" do
    server.start
    table = File.join(server.connect("lantern").get(Sequel.lit("@@tmpdir")), "#sql-temptable-1-2-3.MAI")
    File.write(table, "")
    other = described_class.new(installed)
    other.start.stop
    expect(File).to exist(table)
    expect(table).to start_with(directory)
    server.stop
    server.start
    expect(File).not_to exist(table)
  ensure
    other&.stop
  end

  it "starts whatever a kill left behind of its first start" do
    path = ->(name) { File.join(directory, name) }
    half = {
      "nothing but the folder of the data, half made" => -> {
        FileUtils.rm_rf(path.call("data"))
        FileUtils.mkdir_p(path.call("data.new/mysql"))
      },
      "an older version's, half made" => -> { FileUtils.rm_rf(path.call("data/mysql")) },
      "an empty password" => -> { File.write(path.call("account"), "") },
      "half an accounts file" => -> { File.write(path.call("accounts.sql"), "ALTER USER 'ro") },
      "a number that is no port" => -> { File.write(path.call("port"), "") },
      "another process's number" => -> { File.write(path.call("pid"), Process.pid.to_s) }
    }
    half.each do |what, leave|
      FileUtils.rm_rf(directory)
      FileUtils.mkdir_p(directory)
      installed(directory)
      leave.call
      expect([what, described_class.new(directory).start.running?]).to eq [what, true]
      described_class.new(directory).stop
    end
  end

  it "does not take another folder's database for its own" do
    other = installed
    theirs = described_class.new(other).start
    File.write(File.join(directory, "pid"), File.read(File.join(other, "pid")))
    server.start
    server.stop
    expect(theirs).to be_running
  ensure
    theirs&.stop
    FileUtils.rm_rf(other)
  end

  it "takes another port when its own was taken meanwhile" do
    server.start.connect("lantern_kept").disconnect
    port = server.address[/\d+\z/].to_i
    server.stop
    TCPServer.open("127.0.0.1", port) {
      expect(described_class.new(directory).start.address).not_to end_with(":#{port}")
    }
  end

  it "lets the application in as itself, not as root, and with a time limit" do
    database = server.start.connect("lantern_kept")
    expect(database.get(Sequel.function(:current_user))).to eq "lantern@127.0.0.1"
    expect { database[Sequel[:mysql][:global_priv]].count }.to raise_error(Sequel::DatabaseError, /denied/)
    server.hold(true)
    began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    expect(server).not_to be_running
    expect(Process.clock_gettime(Process::CLOCK_MONOTONIC) - began).to be < Patience.seconds(10)
  ensure
    server.hold(false)
    database&.disconnect
  end

  it "finds a server that an earlier application left behind, and its data after a kill" do
    database = server.start.connect("lantern_kept")
    database.create_table(:marks) { Integer :mark }
    database[:marks].insert(mark: 7)
    again = described_class.new(directory).start
    expect(again.address).to eq server.address
    again.kill
    expect(server).not_to be_running
    database.disconnect
    expect(described_class.new(directory).start.connect("lantern_kept")[:marks].get(:mark)).to eq 7
  end
end
