# frozen_string_literal: true

module Lantern
  # Things that are known by a key, each made known by the file that declares it. Whoever asks for one that
  # nobody declared is told so at once, so that a slip of the pen ends where it was made.
  #
  #   SHAPES = Registry.new("shape")
  #   SHAPES.know(:ring, Ring)
  #   SHAPES.fetch(:rign)   # raises Registry::Unknown: There is no shape “rign”; did you mean “ring”?
  class Registry
    # Raised for a key that nobody declared.
    Unknown = Class.new(KeyError)

    # Raised when a key is declared a second time.
    Taken = Class.new(ArgumentError)

    include Enumerable

    # @param word [String] what its things are called in messages
    def initialize(word)
      @word = word
      @things = {}
    end

    # @return [Object] the thing, so that a declaration can end with it
    # @raise [Taken]
    def know(key, thing)
      raise Taken, "There are two #{@word}s called “#{key}”." if @things.key?(key.to_sym)
      @things[key.to_sym] = thing
    end

    # @return [Object]
    # @raise [Unknown]
    def fetch(key)
      @things.fetch(key.to_sym) { raise Unknown, "There is no #{@word} “#{key}”#{meant(key)}" }
    end

    # What goes by a name that stands in a document.
    # @return [Object, nil] nil for what is no name at all, too
    def find(text) = text.is_a?(String) ? @things.find { |key, _| key.to_s == text }&.last : nil

    # Takes a thing out again; for specs that declare one of their own.
    def forget(key) = @things.delete(key.to_sym)

    # @return [Array<Symbol>] in the order in which they were declared
    def keys = @things.keys

    # @yieldparam thing [Object]
    def each(&) = @things.each_value(&)

    # @return [Hash{Symbol=>Object}]
    def to_h = @things.dup

    private

    def meant(key)
      near = DidYouMean::SpellChecker.new(dictionary: @things.keys).correct(key).first
      near ? "; did you mean “#{near}”?" : "."
    end
  end
end
