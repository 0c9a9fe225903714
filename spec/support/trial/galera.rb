# frozen_string_literal: true

require "fileutils"
require "open3"
require "securerandom"
require "socket"
require "timeout"
require "trilogy"

module Trial
  # Three nodes of MariaDB that are one cluster, on loopback, in folders of their own: killed one by one as a power cut
  # would, and brought back.
  class Galera
    PROVIDER = "/usr/lib/galera/libgalera_smm.so"
    # With which one node gives another what it missed.
    TOOLS = %w[mariadb-backup socat].freeze
    NODES = 3
    # Seconds for a node to start, with all that it has missed.
    PATIENCE = 120
    USER = "lantern"
    NAME = "lantern"

    Node = Struct.new(:folder, :port, :talk, :catch_up, :number)
    private_constant :Node

    # @param folder [String]
    def initialize(folder)
      unless File.exist?(PROVIDER) && TOOLS.all? { File.executable?("/usr/bin/#{_1}") }
        raise "Galera is not here: apt-get install galera-4 mariadb-backup socat"
      end
      @password = SecureRandom.hex(16)
      ports = free_ports(3 * NODES).each_slice(3).to_a
      @nodes = Array.new(NODES) { |i| Node.new(File.join(folder, "node-#{i}"), *ports[i]) }
    end

    # All begin with a copy of the first, so that none has to be sent everything.
    # @return [self]
    def start
      first, *others = @nodes
      install(first)
      up(first, first: true)
      down(first)
      others.each { |node|
        FileUtils.mkdir_p("#{node.folder}/temporary", mode: 0o700)
        FileUtils.cp_r("#{first.folder}/data", "#{node.folder}/data")
      }
      up(first, first: true)
      others.each { up(_1, first: false) }
      self
    end

    # @return [String] as of `DATABASE_URL`
    def url = "mariadb://#{USER}:#{@password}@#{@nodes.map { "127.0.0.1:#{_1.port}" }.join(",")}/#{NAME}"

    # Ends a node at once.
    def kill(index)
      node = @nodes[index]
      Process.kill(:KILL, node.number)
      Process.wait(node.number)
      node.number = nil
    end

    # Brings it back, until it has everything that it missed.
    # @return [Float] seconds
    def bring_back(index)
      began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      up(@nodes[index], first: false)
      Process.clock_gettime(Process::CLOCK_MONOTONIC) - began
    end

    # What each node answers, once it has everything.
    # @return [Array]
    def on_each(sql)
      @nodes.map { |node| ask(node, "SET SESSION wsrep_sync_wait = 7") { _1.query(sql).to_a } }
    end

    def stop = @nodes.each { down(_1) if _1.number }

    private

    def down(node)
      Process.kill(:TERM, node.number)
      Timeout.timeout(30) { Process.wait(node.number) }
    rescue Timeout::Error
      Process.kill(:KILL, node.number)
    rescue SystemCallError
      nil
    ensure
      node.number = nil
    end

    def free_ports(count)
      Array.new(count) { TCPServer.open("127.0.0.1", 0) }.each(&:itself).map { |server|
        server.addr[1].tap { server.close }
      }
    end

    def install(node)
      FileUtils.mkdir_p("#{node.folder}/temporary", mode: 0o700)
      system("mariadb-install-db", "--no-defaults", "--datadir=#{node.folder}/data", "--skip-test-db",
        "--auth-root-authentication-method=normal", "--user=root", out: "#{node.folder}/install", err: %i[child out]) ||
        raise("mariadb-install-db failed: #{node.folder}/log.err")
      File.write("#{node.folder}/accounts.sql", <<~SQL)
        CREATE DATABASE IF NOT EXISTS #{NAME} CHARACTER SET utf8mb4 COLLATE utf8mb4_bin;
        CREATE USER IF NOT EXISTS '#{USER}'@'127.0.0.1' IDENTIFIED BY '#{@password}';
        GRANT ALL PRIVILEGES ON `#{NAME}`.* TO '#{USER}'@'127.0.0.1';
      SQL
    end

    # Where a node that was killed stood, by its own logs; as Debian's own unit for MariaDB does it.
    def stood(node)
      said, = Open3.capture2e("mariadbd", "--no-defaults", *settings(node), "--wsrep-recover", "--disable-log-error")
      said.scrub[/Recovered position:?\s*([\h-]+:-?\d+)/, 1]
    end

    def up(node, first:)
      position = stood(node) unless first
      node.number = Process.spawn("mariadbd", "--no-defaults", *settings(node),
        *("--wsrep-start-position=#{position}" if position), *("--wsrep-new-cluster" if first),
        *("--init-file=#{node.folder}/accounts.sql" if first),
        out: File::NULL, err: File::NULL, pgroup: true)
      Timeout.timeout(PATIENCE) { sleep 0.1 until synced?(node) }
    end

    def settings(node)
      provider = "gmcast.listen_addr=tcp://127.0.0.1:#{node.talk};ist.recv_addr=127.0.0.1:#{node.catch_up};" \
        "base_host=127.0.0.1;base_port=#{node.talk};gcache.size=64M"
      {"datadir" => "#{node.folder}/data", "tmpdir" => "#{node.folder}/temporary",
       "socket" => "#{node.folder}/socket", "port" => node.port,
       "bind-address" => "127.0.0.1", "user" => "root", "skip-name-resolve" => 1, "innodb-buffer-pool-size" => "32M",
       "performance-schema" => "OFF", "max-allowed-packet" => "64M", "binlog-format" => "ROW",
       "innodb-autoinc-lock-mode" => 2, "wsrep-on" => "ON", "wsrep-provider" => PROVIDER,
       "wsrep-cluster-name" => "lantern-trial", "wsrep-node-address" => "127.0.0.1:#{node.talk}",
       "wsrep-provider-options" => provider, "wsrep-sst-method" => "mariabackup",
       "wsrep-cluster-address" => "gcomm://#{@nodes.map { "127.0.0.1:#{_1.talk}" }.join(",")}",
       "log-error" => "#{node.folder}/log.err"}
        .map { |name, value| "--#{name}=#{value}" }
    end

    def synced?(node)
      raise "A node ended while it started: #{node.folder}/log.err" if Process.wait(node.number, Process::WNOHANG)
      ask(node) { _1.query("SHOW STATUS LIKE 'wsrep_local_state_comment'").to_a.flatten.last == "Synced" }
    rescue Trilogy::Error, SystemCallError
      false
    end

    def ask(node, *before)
      connection = Trilogy.new(host: "127.0.0.1", port: node.port, username: USER, password: @password, database: NAME,
        connect_timeout: 2, read_timeout: 20)
      before.each { connection.query(_1) }
      yield connection
    ensure
      connection&.close
    end
  end
end
