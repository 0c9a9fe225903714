# frozen_string_literal: true

require "erb"
require "yaml"
require_relative "application"

module Trial
  # Every method on every route, with what belongs there, with what does not, and with what never would.
  class Requests
    METHODS = %w[get head post put delete options patch].freeze
    # Seconds that no answer may take: what is heavy has ten, and whoever waits for a worker ten before that.
    DEADLINE = 22

    def initialize(application, random)
      @application, @random = application, random
      @mutations = Mutations.new(random)
      @routes = YAML.load_file(File.join(Application::ROOT, "server/openapi.yaml"))["paths"].keys
    end

    # @return [Hash]
    def call(times)
      statuses, slow, errors = Hash.new(0), 0.0, []
      times.times do |number|
        verb, route = METHODS[number % METHODS.size], @routes[number / METHODS.size % @routes.size]
        body = body(route) if %w[post put patch].include?(verb)
        began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        status, = @application.ask(verb, path(route), body, patience: 60)
        took = Process.clock_gettime(Process::CLOCK_MONOTONIC) - began
        slow = [slow, took].max
        statuses[status ? "#{status / 100}xx" : "none"] += 1
        errors << "#{verb} #{route} #{status}" if status.nil? || status == 500 || took > DEADLINE
      end
      {"requests" => times, "500s, no answer, or over the deadline" => errors.size, "slowest (s)" => slow.round(1),
       **statuses.sort.to_h}.tap { errors.uniq.first(9).each { |each| warn "  #{each}" } }
    end

    private

    def path(route)
      filled = route.gsub(/\{(\w+)\}/) { chance(6) ? odd_word : @random.rand(1..30).to_s }
      filled += "?version=#{@random.rand(1..3)}" if chance(2)
      filled += "&part=#{odd_word}&paper=a4&units=cm" if filled.include?("?") && chance(2)
      filled
    end

    def odd = @mutations.value

    def odd_word = ERB::Util.url_encode(odd.to_s.scrub[0, 60])

    def chance(of) = @random.rand(of).zero?

    def body(route)
      return ["", "{", "[", "\xFF\xFE", "[1e400]", "null", "7", "{}"].sample(random: @random) if chance(12)
      JSON.generate(fitting(route))
    rescue JSON::GeneratorError, Encoding::UndefinedConversionError
      "{}"
    end

    # What the route takes, now and then with something odd in it.
    def fitting(route)
      document = (belonging.find { |routes, _| route.match?(routes) }&.last || -> { @mutations.plan }).call
      document[document.keys.sample(random: @random)] = odd if document.is_a?(Hash) && document.any? && chance(3)
      document
    end

    # @return [Hash{Regexp=>Proc}] what belongs to routes like these
    def belonging = @belonging ||= {
      %r{/wreaths|/units|/backwards} => -> {
        {"plan" => @mutations.plan, "to" => "cm", "version" => 1, "layer" => 0, "budget" => "20.00", "events" => [],
         "cut_sheet" => [], "used" => {}, "place" => "x", "done" => true}
      },
      %r{/occasions} => -> {
        {"name" => "Walk", "units" => "in", "occasion" => {}, "version" => 1, "wreaths" => [1, 2],
         "format" => "crisp-lantern/occasion", "plans" => Array.new(3) { @mutations.plan }}
      },
      %r{/materials|/stash} => -> {
        {"units" => "in", "material" => Array(@mutations.plan["materials"]).first, "version" => 1, "kind" => "bought",
         "piece" => "10 ft", "change" => 1, "at" => 3, "dry" => true, "csv" => "id,kind,name\nx,rope,X\n"}
      },
      %r{/outlines} => -> {
        path = "<path d='M0 0L#{odd.to_s.scrub[0, 9]} 9A1 1e308 0 0 1 9 9Z' transform='scale(1e308)'/>"
        {"svg" => "<svg xmlns='http://www.w3.org/2000/svg'>#{path}</svg>"}
      }
    }
  end
end
