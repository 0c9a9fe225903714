# frozen_string_literal: true

require "fileutils"
require "net/http"
require "socket"
require "tmpdir"
require_relative "../support/server"

RSpec.describe "The application as a process" do
  let(:var) { Dir.mktmpdir("lantern") }

  after do
    @started&.each { |pid| end_process(pid) }
    left = Server::MariaDB.new(File.join(var, "mariadb"))
    left.stop
    FileUtils.rm_rf(var)
  end

  # Starts it, and answers the address that it prints.
  def start(port)
    reader, writer = IO.pipe
    pid = Process.spawn({"VAR" => var, "PORT" => port.to_s}, RbConfig.ruby, "server/launch.rb", out: writer,
      err: File::NULL)
    (@started ||= []) << pid
    writer.close
    said = +""
    Timeout.timeout(90) { said << reader.readline until said =~ %r{http://[\d.]+:\d+} }
    [pid, URI(said[%r{http://[\d.]+:\d+}]), said]
  end

  def free_port = TCPServer.open("127.0.0.1", 0) { _1.addr[1] }

  def end_process(pid, signal = "TERM")
    Process.kill(signal, pid)
    Process.wait(pid)
  rescue Errno::ESRCH, Errno::ECHILD
    nil
  end

  def wreaths(address) = JSON.parse(Net::HTTP.get(address + "/api/wreaths"))["wreaths"]

  def add(address, name)
    Net::HTTP.post(address + "/api/wreaths", JSON.generate(plan: plan(name:)), "content-type" => "application/json")
  end

  it "comes back with nothing lost when it is killed hard, and leaves nothing running when it is stopped" do
    pid, address, = start(free_port)
    before = wreaths(address).size
    expect(before).to be >= 6
    add(address, "Kept before the kill")
    end_process(pid, "KILL")
    pid, address, = start(free_port)
    expect(wreaths(address).map { _1["name"] }).to include("Kept before the kill")
    expect(wreaths(address).size).to eq before + 1
    end_process(pid)
    expect(Server::MariaDB.new(File.join(var, "mariadb"))).not_to be_running
  end

  it "chooses another port when the one asked for is taken, and says so" do
    TCPServer.open("127.0.0.1", 0) do |taken|
      port = taken.addr[1]
      _, address, said = start(port)
      expect(said).to include("Port #{port} is taken; using #{address.port}.")
      expect(JSON.parse(Net::HTTP.get(address + "/api/ping"))).to eq("ok" => true)
    end
  end

  it "serves the screens, and keeps other pages out of them" do
    _, address, = start(free_port)
    page = Net::HTTP.get_response(address + "/wreaths/1/cover")
    expect(page.body).to include("<div id=\"root\">")
    expect(page["content-security-policy"]).to include("default-src 'self'", "frame-ancestors 'none'")
    script = page.body[%r{/assets/[^"]+\.js}]
    expect(Net::HTTP.get_response(address + script)["content-type"]).to match(/javascript/)
    expect(Net::HTTP.get_response(address + "/api/nothing").code).to eq "404"
  end
end

RSpec.describe Server::MariaDB do
  let(:directory) { Dir.mktmpdir("lantern-db") }
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

  it "finds a server that an earlier application left behind, and its data after a kill" do
    database = server.start.connect("kept")
    database.create_table(:marks) { Integer :mark }
    database[:marks].insert(mark: 7)
    again = described_class.new(directory).start
    expect(again.address).to eq server.address
    again.kill
    expect(server).not_to be_running
    database.disconnect
    expect(described_class.new(directory).start.connect("kept")[:marks].get(:mark)).to eq 7
  end
end
