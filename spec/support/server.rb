# frozen_string_literal: true

require_relative "helper"
require_relative "../../server/app"
require_relative "../../server/demo"
require_relative "../../server/mariadb"

# The real database, a private one of the specs' own, started once and emptied before each example.
module RealStore
  DIRECTORY = File.expand_path("../../var/test/mariadb", __dir__)

  class << self
    def server = @server ||= Server::MariaDB.new(DIRECTORY).start

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

    def store = @store ||= Server::Store.new(database)

    def empty = %i[bench_events makes ticks wreaths occasion_ticks occasions entries actions materials forms settings].each { |table| (table == :actions) ? database[table].order(Sequel.desc(:id)).delete : database[table].delete }

    def stop
      @database&.disconnect
      @server&.stop
    end
  end
end

RSpec.configure do |config|
  config.before(:each, :store) do
    Server::App.set :store, RealStore.store
    RealStore.empty
  end
  config.after(:suite) { RealStore.stop }
end
