# frozen_string_literal: true

require "json"
require "socket"

module Trial
  # So many clients that ask the same, each as soon as it is answered, for some seconds: how much is answered, and how
  # long all but one in a hundred wait. The clients are a process of their own and do as little as they can.
  class Load
    # Answers in a second, the wait of one in a hundred and the longest, in milliseconds, and how many were told to come
    # again.
    Found = Struct.new(:per_second, :p99, :longest, :again)

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
    # @raise [RuntimeError] when anything but success is answered, or to come again
    def call(clients, seconds)
      reader, writer = IO.pipe
      child = fork do
        reader.close
        waits = Array.new(clients) { Thread.new { ask(seconds) } }.flat_map(&:value)
        writer.write(JSON.generate([waits.compact, waits.count(nil)]))
        exit!(0)
      end
      writer.close
      waits, again = JSON.parse(reader.read)
      Process.wait(child)
      waits.sort!
      Found.new(waits.size / seconds.to_f, waits[(waits.size * 0.99).ceil - 1] * 1000, waits.last * 1000, again)
    end

    private

    def ask(seconds)
      socket, tried = nil, 0
      ends = now + seconds
      waits = []
      while (began = now) < ends
        socket ||= connected
        socket.write(@request)
        goes_on, busy = answered(socket)
        waits << (now - began unless busy)
        # As a screen does (`web/src/keep/again.ts`): a little later each time.
        tried = busy ? tried + 1 : 0
        sleep(0.15 * tried * (0.5 + rand)) if busy
        socket = socket.close unless goes_on
      end
      waits
    ensure
      socket&.close
    end

    def connected
      TCPSocket.new(@address.host, @address.port).tap { _1.setsockopt(Socket::IPPROTO_TCP, Socket::TCP_NODELAY, 1) }
    end

    # @return [(Boolean, Boolean)] whether the server stays for another, and whether this one has to come again
    def answered(socket)
      first = socket.gets
      raise "answered: #{first}" unless first&.match?(/ (200|503) /)
      length, goes_on = 0, true
      until (line = socket.gets.downcase) == "\r\n"
        length = line[/\d+/].to_i if line.start_with?("content-length")
        goes_on = false if line.start_with?("connection: close")
      end
      socket.read(length)
      [goes_on, first.include?(" 503 ")]
    end

    def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  end
end
