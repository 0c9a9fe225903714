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
        database.tables.each { |table| database.run("DROP TABLE IF EXISTS `#{table}`") }
      end
    end

    def store = @store ||= Server::Store.new(database)

    def empty = (database.tables - [:schema_info]).each { |table| database[table].delete }

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
