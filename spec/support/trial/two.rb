# frozen_string_literal: true

require_relative "application"

module Trial
  # Two processes of the application on one database that neither of them started: asked in turn, and killed one by one
  # or with their database, which whoever looks after it starts again.
  class Two
    # @param folder [String]
    # @param asked [Array<String>] what else they are asked to do
    # @param server [Server::PrivateDatabase, nil] whose database they share; nil for one of their own
    # @param name [String] of the database
    def initialize(folder, *asked, server: nil, name: "lantern")
      @folder, @asked, @name = folder, asked, name
      @server, @own = server || Server::PrivateDatabase.new(File.join(folder, "mariadb")), server.nil?
      @turn = Queue.new
      @running = [false, false]
    end

    # @return [self]
    def start
      prepare
      idle = both.each_index.reject { @running[_1] }
      idle.map { |i| Thread.new { both[i].start } }.each(&:value)
      idle.each { @running[_1] = true }
      @spawned = false
      self
    end

    # Starts both and does not wait.
    # @return [IO] what one of them says
    def spawn
      prepare
      @spawned = true
      readers = both.map(&:spawn)
      @running = [true, true]
      readers.last.close
      readers.first
    end

    def kill(what)
      if what != :database
        # One of them; the other goes on.
        one = (what == :both || @spawned) ? both.each_index.select { @running[_1] } : [@running.index(true)]
        one.each { |i|
          both[i].kill(:application)
          @running[i] = false
        }
      end
      return if what == :application
      @server.kill
      # Where it was, since nobody tells its clients of another place.
      sleep 1
      @server.start
    end

    def ask(...) = both[next_turn].ask(...)

    # @return [Array<Integer>] the numbers of their processes
    def numbers = both.map(&:number)

    def stop
      both.each(&:close)
      @server.stop if @own
    end

    private

    def both = @both ||= Array.new(2) { |i|
      folder = File.join(@folder, "application-#{i}")
      FileUtils.mkdir_p(folder)
      password = File.read(File.join(@folder_of_server ||= folder_of_server, "account")).strip
      Application.new(folder, *@asked, env: {
        "DATABASE_URL" => "mariadb://lantern:#{password}@#{@server.address}/#{@name}", "WEB_CONCURRENCY" => "1"
      })
    }

    def folder_of_server = @own ? File.join(@folder, "mariadb") : RealStore::DIRECTORY

    def prepare
      @server.start
      @server.connect(@name).disconnect
    end

    def next_turn
      @turn << true
      @turn.size % 2
    end
  end
end
