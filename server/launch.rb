# frozen_string_literal: true

# Starts the database, then the application, and stops both in the other order.
#
#   bundle exec ruby server/launch.rb     PORT and HOST choose the address; VAR where the data lives

require "puma"
require "puma/configuration"
require "puma/launcher"
require "socket"
require_relative "app"
require_relative "demo"
require_relative "mariadb"

$stdout.sync = true

# The port asked for, or the next one that nobody listens on.
def open_port(host, wanted)
  (wanted..wanted + 50).find { |port|
    begin
      TCPServer.open(host, port).close || true
    rescue
      false
    end
  } || 0
end

host = ENV.fetch("HOST", "127.0.0.1")
wanted = Integer(ENV.fetch("PORT", "9292"))
var = File.expand_path(ENV.fetch("VAR", File.join(__dir__, "../var")))

database = Server::MariaDB.new(File.join(var, "mariadb"))
begin
  puts "· Starting the database"
  database.start
  store = Server::Store.new(database.connect("lantern"))
rescue Server::MariaDB::Failed, Sequel::Error => error
  abort "The database could not be started. #{error.message}"
end
puts "  MariaDB on #{database.address}"
Server::Demo.load(store)
Server::App.set :store, store

port = open_port(host, wanted)
puts "  Port #{wanted} is taken; using #{port}." unless port == wanted

configuration = Puma::Configuration.new do |puma|
  puma.bind "tcp://#{host}:#{port}"
  puma.threads 2, 5
  puma.workers 0
  puma.app Server::App.new
  puma.environment "production"
  puma.log_requests false
end
# A database that dies is started again; the store finds it by itself.
watch = Thread.new do
  loop do
    sleep 2
    database.start
  rescue Server::MariaDB::Failed => error
    warn error.message
  end
end
launcher = Puma::Launcher.new(configuration, log_writer: Puma::LogWriter.new(File.open(File::NULL, "w"), $stderr))
launcher.events.after_booted { puts "\nCrisp Lantern is at http://#{host}:#{port}\nStop it with Ctrl-C." }
begin
  launcher.run
ensure
  watch.kill
  database.stop
  puts "Stopped; everything is saved."
end
