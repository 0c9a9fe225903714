# frozen_string_literal: true

module Lantern
  # What was worked out before, kept under exactly what it follows from: a plan of which little was changed is worked
  # anew only where it was changed. It holds so many bytes, as whoever puts something in counts them, and lets go what
  # was not asked for the longest.
  #
  #   cache = Lantern::Cache.new
  #   2.times { Lantern::Work.read(JSON.parse(File.read("plan.json")), cache:).layers }
  #   cache.hits.positive?   # => true
  #
  # Keys and what is kept are values: nobody changes them afterwards. Several threads may ask it; what two ask at once
  # may be worked out twice.
  class Cache
    # So many bytes for the plans of one asker: some hundred layers.
    USUAL = 8 * 1024 * 1024
    # What a key and its place take besides what is kept and what the key itself holds (from memory).
    KEY = 500
    # And a number, or the place of anything else, in a key (from memory).
    PLACE = 40

    module None
      def self.fetch(*, **) = yield
    end

    Entry = Struct.new(:value, :bytes)
    private_constant :Entry

    # @return [Integer] bytes of all that is kept, about
    attr_reader :bytes
    # @return [Integer] how often something was there
    attr_reader :hits

    # @param most [Integer] bytes
    def initialize(most = USUAL)
      @most = most
      @entries = {}
      @bytes = @hits = 0
      @lock = Mutex.new
    end

    # @param key [Array] all that it follows from
    # @param bytes [#call] how many bytes a value takes, about
    # @yieldreturn [Object] what is worked out when it is not there; what is raised then is not kept
    def fetch(*key, bytes:)
      @lock.synchronize do
        if (found = @entries.delete(key))
          @hits += 1
          @entries[key] = found
          return found.value
        end
      end
      value = yield
      keep(key, value, KEY + key.sum { held(_1) } + bytes.call(value))
      value
    end

    # @return [Integer] how many things are kept
    def size = @entries.size

    private

    # What a key holds: as much of the plan that was read for it as its layer sees, every length and text.
    def held(part)
      case part
      when String then part.bytesize
      when Hash then part.sum { |name, each| 2 * PLACE + held(name) + held(each) }
      when Array, Struct then part.sum { PLACE + held(_1) }
      else 0
      end
    end

    def keep(key, value, bytes)
      @lock.synchronize do
        @bytes -= @entries.delete(key)&.bytes.to_i
        @entries[key] = Entry.new(value, bytes)
        @bytes += bytes
        @bytes -= @entries.shift.last.bytes while @bytes > @most && @entries.any?
      end
    end
  end
end
