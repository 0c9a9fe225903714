# frozen_string_literal: true

require "fileutils"
require "securerandom"
require "sequel"
require "socket"

module Server
  # A MariaDB of the application's own: one ordinary process on loopback, its data under one
  # directory. A process that was left behind by a killed application is found again and used; one
  # that was killed itself recovers from its log when it starts.
  class MariaDB
    # Raised when it cannot be started; the message names the log to read.
    Failed = Class.new(StandardError)

    PATIENCE = 60

    # @param directory [String] where its data, socket, password and log live
    def initialize(directory)
      @directory = directory
      FileUtils.mkdir_p(directory, mode: 0o700)
    end

    # Starts it, or finds it running.
    # @return [self]
    def start
      return self if running?
      install unless File.directory?(path("data/mysql"))
      spawn_server
      wait_until_ready
      lock_root unless File.exist?(path("password"))
      self
    end

    # Stops it cleanly and waits until it is gone.
    def stop
      return unless (number = process)
      Process.kill("TERM", number)
      (PATIENCE * 20).times { process ? sleep(0.05) : break }
    end

    # Ends it at once, as a power cut would; for specs.
    def kill
      Process.kill("KILL", process)
      sleep(0.02) while process
    end

    # @return [String, nil] where it can be reached on loopback
    def address = running? ? "127.0.0.1:#{port}" : nil

    # A connection to a database of this server, which is made when there is none.
    # @return [Sequel::Database]
    def connect(name, connections: 8)
      administer { |server|
        server.run("CREATE DATABASE IF NOT EXISTS #{server.literal(Sequel.identifier(name))} " \
          "CHARACTER SET utf8mb4 COLLATE utf8mb4_bin")
      }
      Sequel.connect(**address_options, database: name, max_connections: connections)
    end

    def running?
      return false unless process
      administer { |server| server.get(1) } == 1
    rescue Sequel::DatabaseError
      false
    end

    private

    def path(name) = File.join(@directory, name)

    def port = File.read(path("port")).to_i

    def password = File.exist?(path("password")) ? File.read(path("password")) : nil

    def address_options
      {adapter: "trilogy", host: "127.0.0.1", port:, user: "root", password:, encoding: "utf8mb4", read_timeout: 30,
       write_timeout: 30}.compact
    end

    def administer(&) = Sequel.connect(**address_options, max_connections: 1, test: true, &)

    # The number of the server's process, when it is alive and really is one.
    def process
      number = File.read(path("pid")).to_i
      if number.positive? && File.read("/proc/#{number}/comm").start_with?("mariadbd") &&
          File.read("/proc/#{number}/stat").split(") ").last[0] != "Z"
        number
      end
    rescue Errno::ENOENT, Errno::ESRCH
      nil
    end

    def install
      run("mariadb-install-db", "--no-defaults", "--datadir=#{path("data")}",
        "--auth-root-authentication-method=normal", "--skip-test-db", *as_user)
    end

    def run(*command)
      system(*command, out: [path("log"), "a"], err: %i[child out]) or raise Failed,
        "#{command.first} failed; its log is #{path("log")}."
    end

    def spawn_server
      process && stop
      File.write(path("port"), free_port.to_s)
      server = Process.spawn("mariadbd", "--no-defaults", "--datadir=#{path("data")}", "--socket=#{path("socket")}",
        "--port=#{port}", "--bind-address=127.0.0.1",
        "--pid-file=#{path("pid")}", "--innodb-buffer-pool-size=32M", "--performance-schema=OFF",
        "--max-allowed-packet=16M", *as_user,
        out: [path("log"), "a"], err: %i[child out], pgroup: true)
      @waiter = Process.detach(server)
    end

    # The port it had before, so that whoever is connected finds it again, or else one nobody
    # listens on. It may be taken again before the server has it; then the server says so and the
    # next start finds another.
    def free_port
      TCPServer.open("127.0.0.1", File.exist?(path("port")) ? port : 0) { _1.addr[1] }
    rescue SystemCallError
      TCPServer.open("127.0.0.1", 0) { _1.addr[1] }
    end

    def wait_until_ready
      (PATIENCE * 10).times do
        return if running?
        raise Failed, "MariaDB stopped while starting; its log is #{path("log")}." unless @waiter.alive?
        sleep 0.1
      end
      raise Failed, "MariaDB did not answer within #{PATIENCE} seconds; its log is #{path("log")}."
    end

    # Nobody gets in without the password, which only this user can read.
    def lock_root
      secret = SecureRandom.hex(24)
      administer do |server|
        server.run("DELETE FROM mysql.global_priv WHERE User = '' OR (User = 'root' AND Host NOT IN ('localhost', " \
          "'127.0.0.1'))")
        server.run("FLUSH PRIVILEGES")
        server.fetch("SELECT Host FROM mysql.user WHERE User = 'root'").map(:Host).each do |host|
          server.run("ALTER USER 'root'@#{server.literal(host)} IDENTIFIED BY #{server.literal(secret)}")
        end
      end
      File.write(path("password"), secret, perm: 0o600)
    end

    def as_user = Process.uid.zero? ? ["--user=root"] : []
  end
end
