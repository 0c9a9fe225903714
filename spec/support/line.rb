# frozen_string_literal: true

require "socket"

# The line between one device and the application: it can be cut while both go on, and mended.
class Line
  # @param address [URI] of the application
  def initialize(address)
    @address = address
    @server = TCPServer.new("127.0.0.1", 0)
    @port = @server.addr[1]
    @open = []
    listen
  end

  # @return [String] where the device finds the application
  def to_s = "http://127.0.0.1:#{@port}"

  def cut
    @listening.kill
    @server.close
    @open.each { close(_1) }
    @open.clear
  end

  def mend
    @server = TCPServer.new("127.0.0.1", @port)
    listen
  end

  private

  def listen
    server = @server
    @listening = Thread.new { loop { join(server.accept) } }
  end

  def join(device)
    application = TCPSocket.new(@address.host, @address.port)
    @open.push(device, application)
    [[device, application], [application, device]].each do |from, to|
      Thread.new do
        IO.copy_stream(from, to)
      rescue SystemCallError, IOError
        nil
      ensure
        close(to)
      end
    end
  rescue SystemCallError
    close(device)
  end

  def close(socket)
    socket.close
  rescue SystemCallError, IOError
    nil
  end
end
