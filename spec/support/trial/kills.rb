# frozen_string_literal: true

require "securerandom"
require_relative "application"

module Trial
  # Writers that save all the time, and a power cut again and again: what was acknowledged is there afterwards, once.
  class Kills
    WRITERS = 8

    def initialize(application, random)
      @application, @random = application, random
      @kept = Queue.new
      @unlike = Queue.new
      @running = true
    end

    # @param times [Integer] how many kills
    # @return [Hash] what came of it
    def call(times)
      @application.start
      @id = @application.ask("post", "/wreaths", {plan: plan("Counted")}).last["id"]
      writers = Array.new(WRITERS) { |number| Thread.new { write(number) } }
      times.times { kill }
      @running = false
      writers.each(&:join)
      found
    end

    private

    def kill
      sleep(@random.rand(0.05..0.9))
      what = %i[application database both].sample(random: @random)
      @application.kill(what)
      @application.start unless what == :database
      # A database that was killed is started again by itself.
      Timeout.timeout(60) { sleep 0.05 until @application.ask("get", "/wreaths/#{@id}").first == 200 }
    end

    def write(number)
      (1..).each do |turn|
        break unless @running
        name = "#{number}-#{turn}-#{SecureRandom.hex(4)}"
        turn.odd? ? save(name) : count(name)
      end
    end

    # Sent until it is answered, under one name.
    def save(name) = until_answered { @application.ask("post", "/wreaths", {plan: plan(name)}, name:) }

    def count(name)
      event = {event: name, step: "base.coil", kind: "count", amount: 1}
      until_answered { @application.ask("post", "/wreaths/#{@id}/bench", {events: [event]}, name:) }
    end

    def until_answered
      loop do
        status, answer = yield
        if status&.between?(200, 201) then break @kept << answer["name"]
        elsif status && ![503, 507].include?(status) then break @unlike << status
        elsif !@running then break
        end
        sleep 0.02
      end
    end

    def plan(name) = Mutations::EXAMPLES.first.merge("name" => name)

    def found
      saved = Array.new(@kept.size) { @kept.pop }
      names = saved.compact
      counted = saved.size - names.size
      there = @application.ask("get", "/wreaths", patience: 120).last["wreaths"].map { _1["name"] }.tally
      bench = @application.ask("get", "/wreaths/#{@id}/bench").last["counts"].fetch("base.coil", 0)
      # What was sent last may have arrived though nobody heard of it.
      {"acknowledged" => saved.size, "lost" => names.count { !there.key?(_1) } + [counted - bench, 0].max,
       "there twice" => there.count { |_, times| times > 1 }, "other answers" => @unlike.size}
    end
  end
end
