# frozen_string_literal: true

require "fileutils"
require "io/wait"
require "securerandom"
require "sequel"
require "socket"
require_relative "../http/problem"
require_relative "../storage/atomic_file"
require_relative "disconnects"

module Server
  # A MariaDB of the application's own: one ordinary process on loopback, its data under one
  # directory. A process that was left behind by a killed application is found again and used; one
  # that was killed itself recovers from its log when it starts.
  #
  # It is known by its data directory, not by a number that may have become another process's. Who may connect is
  # said in a file that the server reads before it listens, at every start; so nobody gets in before that, and a kill
  # at any moment leaves nothing that the next start does not put right.
  class PrivateDatabase
    # Raised when it cannot be started; the message names the log to read.
    Failed = Class.new(Problem)

    PATIENCE = 60
    # Seconds to connect, and for an answer.
    TO_CONNECT = 2
    TO_ANSWER = 20
    # The application's own account: it may do anything with databases that begin like this, and nothing else.
    ACCOUNT = "lantern"
    # How often a start is tried whose port was taken in the meantime, and an installation that went wrong.
    TRIES = 4

    # @param directory [String] where its data, socket, passwords and log live
    def initialize(directory)
      @directory = File.expand_path(directory)
      FileUtils.mkdir_p(@directory, mode: 0o700)
      File.chmod(0o700, @directory) if File.owned?(@directory)
    rescue SystemCallError => error
      raise Failed, "#{directory} cannot be used: #{error.message.sub(/ @ .*/, "")}. Is it another user's, or may it " \
        "only be read?"
    end

    # Starts it, or finds it running.
    # @return [self]
    def start
      return self if running?
      install unless File.directory?(path("data/mysql"))
      write_accounts
      tries = 0
      begin
        spawn_server(fresh_port: tries.positive?)
        wait_until_ready
      rescue Failed
        retry if (tries += 1) < TRIES && port_was_taken?
        raise
      end
      self
    rescue SystemCallError => error
      raise Failed, "#{@directory}: #{error.message.sub(/ @ .*/, "")}."
    end

    # Stops it cleanly and waits until it is gone; ends it at once when that takes longer than it may. Whatever was
    # acknowledged is in its log on the disk, and is there at the next start either way.
    # @param within [Numeric] seconds
    def stop(within: PATIENCE)
      return unless (number = process)
      Process.kill("TERM", number)
      given_up = Process.clock_gettime(Process::CLOCK_MONOTONIC) + within
      while process
        return kill if Process.clock_gettime(Process::CLOCK_MONOTONIC) > given_up
        sleep 0.02
      end
    rescue Errno::ESRCH
      nil
    end

    # Ends it at once, as a power cut would.
    def kill
      number = process or return
      Process.kill("KILL", number)
      sleep(0.02) while process
    rescue Errno::ESRCH
      nil
    end

    # Holds it still, as a machine that is too busy would, or lets it go on; for specs.
    def hold(still) = process&.then { Process.kill(still ? "STOP" : "CONT", _1) }

    # @return [String, nil] where it can be reached on loopback
    def address = running? ? "127.0.0.1:#{port}" : nil

    # A connection to a database of this server, which is made when there is none.
    # @param name [String] beginning with {ACCOUNT}
    # @return [Sequel::Database]
    def connect(name, connections: 8)
      administer { |server|
        server.run("CREATE DATABASE IF NOT EXISTS #{server.literal(Sequel.identifier(name))} " \
          "CHARACTER SET utf8mb4 COLLATE utf8mb4_bin")
      }
      Sequel.default_timezone = :utc
      Sequel.connect(**address_options, database: name, max_connections: connections, pool_timeout: TO_CONNECT,
        after_connect: ->(connection) { connection.query("SET time_zone = '+00:00'") }).extend(Disconnects)
    end

    # Whether its process is there, be it that it answers or not.
    def alive? = !process.nil?

    def running?
      return false unless process
      administer { |server| server.get(1) } == 1
    rescue Sequel::DatabaseError
      false
    end

    private

    def path(name) = File.join(@directory, name)

    def port = File.read(path("port")).to_i

    # What one of the two accounts gets in by; made when there is none.
    def secret(name)
      return File.read(path(name)) if File.size?(path(name))
      SecureRandom.hex(24).tap { AtomicFile.write(path(name), _1) }
    end

    def address_options
      {adapter: "trilogy", host: "127.0.0.1", port:, user: ACCOUNT, password: secret("account"), encoding: "utf8mb4",
       connect_timeout: TO_CONNECT, read_timeout: TO_ANSWER, write_timeout: TO_ANSWER}
    end

    def administer(&) = Sequel.connect(**address_options, max_connections: 1, test: true, &)

    # The number of the server's process, when it is alive and really is the one of this directory.
    def process
      number = File.read(path("pid")).to_i
      return unless number.positive? && File.read("/proc/#{number}/comm").start_with?("mariadbd")
      return if File.read("/proc/#{number}/stat").split(") ").last[0] == "Z"
      number if File.read("/proc/#{number}/cmdline").split("\0").include?("--datadir=#{path("data")}")
    rescue SystemCallError
      nil
    end

    # Beside its place, and moved there when it is whole.
    def install
      FileUtils.rm_rf(path("data"))
      make_tables
      system("sync", path("data.new"))
      File.rename(path("data.new"), path("data"))
      File.open(@directory, &:fsync)
    end

    # On a machine that is very busy it may fail, and do when it is tried again.
    def make_tables
      tries = 0
      begin
        FileUtils.rm_rf(path("data.new"))
        @log_begins = File.size?(path("log")).to_i
        run("mariadb-install-db", "--no-defaults", "--datadir=#{path("data.new")}",
          "--auth-root-authentication-method=normal", "--skip-test-db", *as_user)
      rescue Failed
        raise unless because.empty? && (tries += 1) < TRIES
        retry
      end
    end

    def run(*command)
      system(*command, out: [path("log"), "a"], err: %i[child out]) or raise Failed,
        "#{command.first} failed#{because}; its log is #{path("log")}, and ends: #{said_since_start.lines.last(9).join}"
    end

    # Nobody gets in without a password, which only this user can read; the application not as root.
    def write_accounts
      root, account = secret("password"), secret("account")
      AtomicFile.write(path("accounts.sql"), <<~SQL)
        DELETE FROM mysql.global_priv WHERE User = '' OR (User = 'root' AND Host <> 'localhost');
        FLUSH PRIVILEGES;
        ALTER USER 'root'@'localhost' IDENTIFIED BY '#{root}';
        CREATE USER IF NOT EXISTS '#{ACCOUNT}'@'127.0.0.1' IDENTIFIED BY '#{account}';
        ALTER USER '#{ACCOUNT}'@'127.0.0.1' IDENTIFIED BY '#{account}';
        GRANT ALL PRIVILEGES ON `#{ACCOUNT}%`.* TO '#{ACCOUNT}'@'127.0.0.1';
      SQL
    end

    def spawn_server(fresh_port:)
      process && stop
      AtomicFile.write(path("port"), free_port(fresh_port).to_s)
      # Its own, since a MariaDB that starts deletes whatever temporary tables it finds where it keeps its own.
      FileUtils.mkdir_p(path("temporary"), mode: 0o700)
      @log_begins = File.size?(path("log")).to_i
      # A session of its own, and no child of ours: whoever waits for all children does not wait for it, and no Ctrl-C
      # reaches it before the application has stopped. It holds the end of a pipe for as long as it lives.
      @alive&.close
      @alive, theirs = IO.pipe
      run_apart("setsid", "--fork", "mariadbd", "--no-defaults", "--datadir=#{path("data")}",
        "--tmpdir=#{path("temporary")}",
        "--socket=#{path("socket")}", "--port=#{port}", "--bind-address=127.0.0.1", "--skip-name-resolve",
        "--init-file=#{path("accounts.sql")}",
        "--pid-file=#{path("pid")}", "--innodb-buffer-pool-size=32M", "--performance-schema=OFF",
        "--max-allowed-packet=64M", "--transaction-isolation=READ-COMMITTED", "--innodb-lock-wait-timeout=15", *as_user,
        holding: theirs)
    end

    def run_apart(*command, holding:)
      Process.wait(Process.spawn(*command, :out => [path("log"), "a"], :err => %i[child out], 3 => holding))
    ensure
      holding.close
    end

    def ended? = !@alive.wait_readable(0).nil?

    # The port it had before, so that whoever is connected finds it again, or else one nobody
    # listens on. It may be taken again before the server has it; then another is tried.
    def free_port(fresh)
      TCPServer.open("127.0.0.1", (!fresh && File.exist?(path("port"))) ? port : 0) { _1.addr[1] }
    rescue SystemCallError
      TCPServer.open("127.0.0.1", 0) { _1.addr[1] }
    end

    def port_was_taken? = said_since_start.match?(/Can't start server: Bind on TCP|Address already in use/)

    def said_since_start = File.open(path("log")) { |log| log.seek(@log_begins) && log.read.to_s.scrub }

    def wait_until_ready
      (PATIENCE * 10).times do
        return if running?
        raise Failed, "MariaDB stopped while starting#{because}; its log is #{path("log")}." if ended?
        sleep 0.1
      end
      raise Failed, "MariaDB did not answer within #{PATIENCE} seconds; its log is #{path("log")}."
    end

    def because
      said = said_since_start
      return ": the disk is full" if said.match?(/No space left|Disk is full|Errcode: 28/i)
      return ": its folder cannot be written" if said.match?(/Permission denied|Read-only file system/i)
      ""
    end

    def as_user = Process.uid.zero? ? ["--user=root"] : []
  end
end
