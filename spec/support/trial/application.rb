# frozen_string_literal: true

require "json"
require "net/http"
require "socket"
require "timeout"
require_relative "../../../server/database/private"
require_relative "../patience"

module Trial
  # The application as its own process in a folder of its own: started, asked, and killed as a power cut would.
  class Application
    ROOT = File.expand_path("../../..", __dir__)
    PATIENCE = 90

    attr_reader :var, :address, :number, :said

    # @param var [String] the folder of its data
    # @param port [Integer] the one that it is asked to take; one that is free unless it is said
    # @param asked [Array<String>] what else it is asked to do: `--house`, `--empty`
    # @param env [Hash{String=>String}] what else it finds in its surroundings
    def initialize(var, *asked, port: TCPServer.open("127.0.0.1", 0) { _1.addr[1] }, env: {})
      @var, @asked, @port, @env = var, asked, port, env
    end

    # @return [self]
    # @raise [Timeout::Error, EOFError] when it does not start
    def start
      reader = spawn
      @said = +""
      Timeout.timeout(Patience.seconds(PATIENCE)) {
        @said << reader.readline until @said.include?("Crisp Lantern is at")
      }
      @address = URI(@said[%r{http://[\d.]+:\d+}])
      self
    ensure
      reader&.close
    end

    # Starts it and does not wait.
    # @return [IO] what it says
    def spawn
      reader, writer = IO.pipe
      surroundings = {"VAR" => var, "PORT" => @port.to_s, **@env}
      @number = Process.spawn(surroundings, RbConfig.ruby, File.join(ROOT, "server/boot.rb"), *@asked,
        out: writer, err: [File.join(var, "errors"), "a"], chdir: ROOT, pgroup: true)
      writer.close
      reader
    end

    # @return [Array<Integer>] the numbers of its processes
    def numbers = [@number]

    def database = Server::PrivateDatabase.new(File.join(var, "mariadb"))

    # Ends the application, its database, or both, at once.
    def kill(what)
      if what != :database
        Process.kill(:KILL, @number)
        Process.wait(@number)
      end
      kill_database if what != :application
    end

    # Every database of this folder, one that is only being made among them.
    def kill_database
      Dir.glob("/proc/[0-9]*/cmdline").each do |path|
        said = File.read(path)
        next unless said.include?(File.join(var, "mariadb/")) && said.match?(/mariadb/)
        Process.kill(:KILL, path[/\d+/].to_i)
      rescue SystemCallError
        nil
      end
    end

    # What Ctrl-C does: everything that was started from one terminal hears of it.
    # @return [Float] seconds until the last of its processes had gone
    def interrupt
      began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      Process.kill(:INT, -@number)
      Timeout.timeout(Patience.seconds(PATIENCE)) do
        Process.wait(@number)
        sleep 0.01 while all.any?
      end
      Process.clock_gettime(Process::CLOCK_MONOTONIC) - began
    end

    # @return [Array<Integer>] every process that was started for this folder, by whomever
    def all
      Dir.glob("/proc/[0-9]*").filter_map do |path|
        of_ours = %w[environ cmdline].any? { |file| File.binread(File.join(path, file)).include?("#{var}/") } ||
          File.binread(File.join(path, "environ")).include?("VAR=#{var}\0")
        path[/\d+/].to_i if of_ours && File.read(File.join(path, "stat")).split(") ").last[0] != "Z"
      rescue SystemCallError
        nil
      end
    end

    # Ends it as whoever looks after services would.
    def close
      Process.kill(:TERM, @number)
      Process.wait(@number)
    rescue SystemCallError, TypeError
      nil
    end

    # Ends it, and a database that it may have left.
    def stop
      close
    ensure
      database.stop
    end

    # @return [(Integer, Object)] a status and what was answered; the status is nil when nothing was
    def ask(verb, path, body = nil, name: nil, patience: 30)
      request = Net::HTTP.const_get(verb.capitalize).new("/api#{path}")
      request["content-type"] = "application/json" if body
      request["idempotency-key"] = name if name
      request.body = body.is_a?(String) ? body : JSON.generate(body) if body
      answer = Net::HTTP.start(address.host, address.port, open_timeout: Patience.seconds(2),
        read_timeout: Patience.seconds(patience)) {
        _1.request(request)
      }
      json = answer.body && answer["content-type"].to_s.include?("application/json")
      [answer.code.to_i, (JSON.parse(answer.body) if json)]
    rescue SystemCallError, IOError, Timeout::Error, JSON::ParserError, Net::HTTPBadResponse
      [nil, nil]
    end
  end
end
