# frozen_string_literal: true

require "socket"
require "timeout"
require_relative "../support/api"
require_relative "../../server/http/thread_buffers"
require_relative "../../server/http/request_timeout"

# Holds a thread that is done for a moment where it would empty the buffer, and one that answers where it has just
# written the head; as a machine that is busy does now and then.
module Late
  class << self
    attr_accessor :on
  end

  def reset
    sleep(rand / 300) if Late.on && caller_locations(1, 1).first.label.include?("process_client")
    super
  end

  def read_and_reset
    sleep(rand / 300) if Late.on
    super
  end
end

# Answers on connections that stay: none loses its head to a thread that has just let go of the connection.
RSpec.describe Server::ThreadBuffers do
  before(:context) { Puma::IOBuffer.prepend(Late) }

  before { Late.on = true }

  after { Late.on = false }

  it "lets every answer begin with its first line, however late a thread comes to clear up" do
    server = Puma::Server.new(->(_) { [200, {"content-type" => "text/plain"}, ["x" * 200]] }, nil,
      min_threads: 3, max_threads: 3)
    server.add_tcp_listener("127.0.0.1", 0)
    port = server.connected_ports[0]
    server.run
    heads = Array.new(8) { Thread.new { heads_of(port, 250) } }.flat_map(&:value)
    expect(heads.tally).to eq("HTTP/1.1 200 OK" => 2000)
  ensure
    server&.stop(true)
  end

  def heads_of(port, times)
    socket = TCPSocket.new("127.0.0.1", port)
    Array.new(times) { Timeout.timeout(Patience.seconds(5)) { head_of(socket) } }
  rescue Timeout::Error
    ["nothing in five seconds"]
  ensure
    socket&.close
  end

  def head_of(socket)
    socket.write("GET / HTTP/1.1\r\nhost: localhost\r\n\r\n")
    first, *others = Array.new(3) { socket.gets.to_s.chomp }
    length = others.grep(/content-length/i).first.to_s[/\d+/].to_i
    socket.gets
    socket.read(length)
    first
  end

  it "is for the Puma that was looked at, and for no other unseen" do
    expect { Server::PumaClient.change(described_class, version: Gem::Version.new("8.1.0")) }
      .to raise_error(LoadError, /changes Puma ~> 8\.0\.0; this is 8\.1\.0/)
    expect(Puma::Client.ancestors).to include(Server::ThreadBuffers, Server::RequestTimeout, Server::HTTP::BodyLimit)
  end
end
