# frozen_string_literal: true

require_relative "patience"
require_relative "../../server/http/app"
require_relative "../../server/demo"
require_relative "../../server/auth"
require_relative "../../server/database/private"

# The real database, a private one of the specs' own, started once and emptied before each example. Specs that
# run side by side have one each.
module RealStore
  DIRECTORY = File.expand_path("../../var/test/mariadb#{ENV["TEST_ENV_NUMBER"]}", __dir__)
  BACKUPS = File.expand_path("../../var/test/backups#{ENV["TEST_ENV_NUMBER"]}", __dir__)
  # Whoever points at another goes after it here.
  DOOR = %i[account_active_session_keys pairings invitations memberships accounts attempts leases].freeze
  TABLES = %i[upload_parts requests lots bench_events makes ticks plan_versions hangings wreaths occasion_ticks
    occasions entries actions materials places pictures forms settings].freeze

  class << self
    def server = @server ||= Server::PrivateDatabase.new(DIRECTORY).start

    def database
      @database ||= server.connect("lantern_test").tap do |database|
        database.synchronize do
          database.run("SET FOREIGN_KEY_CHECKS = 0")
          database.tables.each { |table| database.run("DROP TABLE IF EXISTS `#{table}`") }
          database.run("SET FOREIGN_KEY_CHECKS = 1")
        end
      end
    end

    # Another database on the same server.
    def connect(name) = server.connect(name)

    # Who answers what is heavy, as in the application; with more time, since a machine may be slower by half.
    def answers = @answers ||= Server::TaskRunner.new(aside, within: longer)

    def longer
      Server::TaskRunner::WITHIN.transform_values { 4 * _1 }.tap { _1.default = 4 * Server::TaskRunner::MANY }
    end

    def aside = @pool ||= Server::WorkerPool.new(patience: Patience.seconds(60))

    def store = @store ||= Server::Store.new(database, answers:, backups: BACKUPS)

    # An undoing points at the action before it, so the last goes first. Most tables are empty already.
    def empty
      filled = (DOOR + TABLES).map { "(SELECT '#{_1}' AS name FROM `#{_1}` LIMIT 1)" }.join(" UNION ALL ")
      filled = database[filled].select_map(:name).map(&:to_sym)
      (DOOR + TABLES).intersection(filled).each { |table|
        database[table].then { (table == :actions) ? _1.order(Sequel.desc(:id)) : _1 }.delete
      }
      # What was worked once stands under a digest of all that it follows from, and is as true for the next example.
      database[:kept_answers].exclude(workshop_id: 1).delete
      database[:workshops].exclude(id: 1).delete
      database[:workshops].update(name: Server::Tenancy::Workshops::UNNAMED)
    end

    # As if nothing had been worked before.
    def forget_answers = database[:kept_answers].delete

    # The rows of the only workshop that most specs know.
    def own = store.own

    # A database as an earlier version had it.
    # @param version [Integer] of its tables
    def before(version, name = "lantern_before")
      connect(name).tap do |database|
        database.synchronize do
          database.run("SET FOREIGN_KEY_CHECKS = 0")
          database.tables.each { |table| database.run("DROP TABLE `#{table}`") }
          database.run("SET FOREIGN_KEY_CHECKS = 1")
        end
        Sequel.extension :migration
        Sequel::Migrator.run(database, Server::Store::MIGRATIONS, target: version)
      end
    end

    # The demo as a first start loads it; loaded once, and its rows put back after that.
    def load_demo
      return put_back(@demo) if @demo
      Server::Demo.load(store)
      @demo = TABLES.to_h { [_1, database[_1].all] }
    end

    # Everything that is kept, as a file holds it.
    def archive = [].tap { |lines| store.archive.each_line { lines << _1 } }.join

    # What most specs keep need not outlive a power cut: it is written to the disk once a second, and not waited for.
    # An example that kills this server says `:killing`; the application as a process has a server of its own.
    # @param always [Boolean] whether what is kept is on the disk before it is answered, as the application has it
    def durable(always)
      return if @durable == always
      server
      @durable = always
      password = File.read(File.join(DIRECTORY, "password"))
      Sequel.connect(adapter: "trilogy", user: "root", password:, socket: File.join(DIRECTORY, "socket")) do |server|
        server.run("SET GLOBAL innodb_flush_log_at_trx_commit = #{always ? 1 : 0}")
        server.run("SET GLOBAL sync_frm = #{always ? "ON" : "OFF"}")
      end
    end

    private def put_back(rows) = TABLES.reverse_each { database[_1].multi_insert(rows[_1]) }

    def stop
      @pool&.stop
      @database&.disconnect
      @server&.stop
    end
  end
end
