# frozen_string_literal: true

require "json"
require "socket"

module Trial
  # So many clients that ask the same, each as soon as it is answered, for some seconds: how much is answered, and how
  # long all but one in a hundred wait. The clients are a process of their own and do as little as they can.
  class Load
    # Answers in a second, and the wait of one in a hundred, in milliseconds.
    Found = Struct.new(:per_second, :p99)

    # @param address [URI]
    # @param verb [String]
    # @param path [String]
    # @param body [String]
    def initialize(address, verb, path, body = "")
      @address = address
      @request = "#{verb} #{path} HTTP/1.1\r\nhost: #{address.host}:#{address.port}\r\n" \
        "content-type: application/json\r\ncontent-length: #{body.bytesize}\r\n\r\n#{body}"
    end

    # @param clients [Integer]
    # @param seconds [Numeric]
    # @return [Found]
    # @raise [RuntimeError] when anything but success is answered
    def call(clients, seconds)
      reader, writer = IO.pipe
      child = fork do
        reader.close
        waits = Array.new(clients) { Thread.new { ask(seconds) } }.flat_map(&:value)
        writer.write(JSON.generate(waits))
        exit!(0)
      end
      writer.close
      waits = JSON.parse(reader.read).sort
      Process.wait(child)
      Found.new(waits.size / seconds.to_f, waits[(waits.size * 0.99).ceil - 1] * 1000)
    end

    private

    def ask(seconds)
      socket = nil
      ends = now + seconds
      waits = []
      while (began = now) < ends
        socket ||= connected
        socket.write(@request)
        goes_on = answered(socket)
        waits << now - began
        socket = socket.close unless goes_on
      end
      waits
    ensure
      socket&.close
    end

    def connected
      TCPSocket.new(@address.host, @address.port).tap { _1.setsockopt(Socket::IPPROTO_TCP, Socket::TCP_NODELAY, 1) }
    end

    # @return [Boolean] whether the server stays for another
    def answered(socket)
      first = socket.gets
      raise "answered: #{first}" unless first&.include?(" 200 ")
      length, goes_on = 0, true
      until (line = socket.gets.downcase) == "\r\n"
        length = line[/\d+/].to_i if line.start_with?("content-length")
        goes_on = false if line.start_with?("connection: close")
      end
      socket.read(length)
      goes_on
    end

    def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  end
end
