# frozen_string_literal: true

require "socket"
require_relative "../support/patience"
require_relative "../../server/http/request_timeout"

# The limit on silence is three seconds here; what comes has to come at a thousand bytes a second on the whole.
RSpec.describe Server::RequestTimeout do
  around do |example|
    taken = ->(env) { [200, {"content-type" => "text/plain"}, [env["rack.input"].read.bytesize.to_s]] }
    server = Puma::Server.new(taken, nil, min_threads: 1, max_threads: 2, first_data_timeout: 3, persistent_timeout: 3)
    server.add_tcp_listener("127.0.0.1", 0)
    @port = server.connected_ports[0]
    server.run
    example.run
  ensure
    server&.stop(true)
  end

  # @param pieces [Array<String>] of a body, one as often as the block says; nil sends nothing
  def sent(length, pieces, every)
    socket = TCPSocket.new("127.0.0.1", @port)
    socket.write("POST / HTTP/1.1\r\nhost: localhost\r\ncontent-length: #{length}\r\n\r\n")
    pieces.each do |piece|
      break if socket.wait_readable(every)
      socket.write(piece)
    rescue Errno::EPIPE, Errno::ECONNRESET
      break
    end
    socket.wait_readable(Patience.seconds(30)) ? socket.readpartial(400) : "nothing"
  rescue EOFError, Errno::ECONNRESET
    "ended"
  ensure
    socket&.close
  end

  it "takes in what comes slowly, for many times the limit on silence" do
    expect(sent(24_000, ["x" * 2_000] * 12, 0.4)).to start_with("HTTP/1.1 200").and end_with("24000")
  end

  it "ends what falls silent, and what comes byte by byte" do
    expect(sent(16_000, ["x" * 8_000], 0.1)).to start_with("HTTP/1.1 408")
    expect(sent(16_000, ["x"] * 600, 0.1)).to start_with("HTTP/1.1 408").or eq("ended")
  end
end
