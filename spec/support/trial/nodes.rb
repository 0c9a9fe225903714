# frozen_string_literal: true

require "securerandom"
require_relative "application"
require_relative "galera"

module Trial
  # Three nodes of one cluster, two processes of the application on them, and eight writers that ask either; each node
  # is killed and brought back, again and again. What was acknowledged is there afterwards, once, on every node.
  class Nodes
    WRITERS = 8
    # Seconds in which nothing is killed, at first.
    CALM = 10.0

    def initialize(folder, random)
      @random = random
      @galera = Galera.new(folder)
      @folder = folder
      @counted, @moved, @unlike, @waits, @again = Array.new(5) { Queue.new }
      @running = true
    end

    # @param rounds [Integer] how often all three are killed
    # @return [Hash] what came of it
    def call(rounds)
      @galera.start
      both = start_both
      @wreath = both[0].ask("get", "/wreaths").last["wreaths"][0]["id"]
      @rope = both[0].ask("get", "/materials").last["materials"].find { _1["material"]["id"] == "rope" }["id"]
      writers = Array.new(WRITERS) { |number| Thread.new { write(both, number) } }
      calm = in_a_second
      back = (0...rounds * Galera::NODES).map { |turn| kill(turn % Galera::NODES) }
      @running = false
      writers.each(&:join)
      found.merge("nodes killed" => back.size, "seconds to come back, the longest" => back.max.round(1),
        "changes in a second before" => calm.round)
    ensure
      # What went wrong is in each application's own words.
      Dir.glob(File.join(@folder, "application-*/errors")).each { warn File.read(_1).lines.first(20).join }
      both&.each(&:close)
      @galera.stop
    end

    private

    def start_both
      Array.new(2) { |i|
        FileUtils.mkdir_p(File.join(@folder, "application-#{i}"))
        Application.new(File.join(@folder, "application-#{i}"),
          env: {"DATABASE_URL" => @galera.url, "WEB_CONCURRENCY" => "1"})
      }.each { |each| Thread.new { each.start }.join }
    end

    def in_a_second
      sleep 2
      before = @counted.size + @moved.size
      sleep CALM
      (@counted.size + @moved.size - before) / CALM
    end

    def kill(index)
      sleep(@random.rand(1.0..3.0))
      @galera.kill(index)
      sleep(@random.rand(1.0..4.0))
      @galera.bring_back(index)
    end

    def write(both, number)
      (1..).each do |turn|
        break unless @running
        name = "node-#{number}-#{turn}-#{SecureRandom.hex(4)}"
        # What was bought is thrown away again, so that no more lies there than can be shown.
        case turn % 4
        when 0 then move(both, name, "thrown_away", -1)
        when 2 then move(both, name, "bought", 1)
        else count(both, name)
        end
      end
    end

    def count(both, name)
      event = {event: name, step: "trial", kind: "count", amount: 1}
      until_answered(@counted) { |turn|
        both[(name.hash + turn) % 2].ask("post", "/wreaths/#{@wreath}/bench", {events: [event]}, name:)
      }
    end

    def move(both, name, kind, change)
      body = {kind:, piece: "7 in", change:, units: "in"}
      until_answered(@moved) { |turn|
        both[(name.hash + turn) % 2].ask("post", "/materials/#{@rope}/ledger", body, name:)
      }
    end

    # Sent to one process and then to the other until it is answered, under one name, by whoever is in doubt too.
    def until_answered(kept)
      began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      (0..).each do |turn|
        status, = yield turn
        if status&.between?(200, 201)
          @waits << Process.clock_gettime(Process::CLOCK_MONOTONIC) - began
          return kept << true
        elsif status && status != 503 then return @unlike << status
        end
        @again << true
        sleep 0.05
      end
    end

    def found
      sums = "SELECT material_id, length, width, end_width, SUM(`change`) FROM entries WHERE workshop_id = 1 " \
        "GROUP BY 1, 2, 3, 4 HAVING SUM(`change`) <> 0 ORDER BY 1, 2, 3, 4"
      lots = "SELECT material_id, length, width, end_width, count FROM lots WHERE workshop_id = 1 AND count <> 0 " \
        "ORDER BY 1, 2, 3, 4"
      counted = numbers("SELECT SUM(amount) FROM bench_events WHERE step = 'trial'")
      moved = numbers("SELECT COUNT(*) FROM entries WHERE kind IN ('bought', 'thrown_away') " \
        "AND length = #{7 * 25_400_000}")
      waits = Array.new(@waits.size) { @waits.pop }
      {"acknowledged" => @counted.size + @moved.size, "asked again" => @again.size,
       "lost" => [@counted.size - counted.min, @moved.size - moved.min].sum { [_1, 0].max },
       "there twice" => [counted.max - @counted.size, moved.max - @moved.size].sum { [_1, 0].max },
       "nodes whose ledger does not add up" =>
         whole(sums).zip(whole(lots)).count { |summed, kept| summed != kept },
       "other answers" => Array.new(@unlike.size) { @unlike.pop }.tally,
       "seconds that one waited, the longest" => waits.max.round(1)}
    end

    def numbers(sql) = @galera.on_each(sql).map { _1[0][0].to_i }

    def whole(sql) = @galera.on_each(sql).map { |rows| rows.map { |row| row.map(&:to_i) } }
  end
end
