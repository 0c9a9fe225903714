# frozen_string_literal: true

require "socket"

# The line between one device and the application: it can be cut while both go on, and mended; and it can be slow.
class Line
  # @param address [URI] of the application
  # @param pace [Numeric, nil] bytes a second that the device can send; as many as it likes where none is said
  def initialize(address, pace: nil)
    @address, @pace = address, pace
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
        (@pace && from == device) ? trickle(from, to) : IO.copy_stream(from, to)
      rescue SystemCallError, IOError
        nil
      ensure
        close(to)
      end
    end
  rescue SystemCallError
    close(device)
  end

  # A tenth of a second's worth at a time, of all that it sends together.
  def trickle(from, to)
    while (bytes = from.readpartial((@pace / 10.0).ceil))
      (@sending ||= Mutex.new).synchronize { sleep(bytes.bytesize / @pace.to_f) }
      to.write(bytes)
    end
  end

  def close(socket)
    socket.close
  rescue SystemCallError, IOError
    nil
  end
end
