# frozen_string_literal: true

module Lantern
  module Plan
    # One named place in a plan document: what may stand there, and what it means to a maker.
    # The documents are read by fields, the API publishes them and the screens draw their controls
    # from them, so a field is declared once, where its meaning is known.
    #
    # @abstract a subclass says what it is called in declarations and how it reads a value
    class Field
      # @return [String] its name, as a document has it
      attr_reader :key

      attr_reader :name, :label, :help, :default, :default_says, :where

      # @param name [Symbol] the key in the document
      # @param label [String] what the screens call it
      # @param help [String] one line, for somebody who meets it for the first time
      # @param required [Boolean] whether leaving it out is a problem
      # @param default [Object] what it is when left out
      # @param fine [Boolean] whether most makers will never touch it
      # @param default_says [String] where the default comes from, when it is worked out
      # @param where [Hash{Symbol=>Array<Symbol>}, #call, nil] for which values of another field beside it it means
      #   anything, or what answers that; the screens show it for those alone
      def initialize(name, label: nil, help: nil, required: false, default: nil, default_says: nil, fine: false,
        where: nil)
        @name, @key = name, name.to_s.freeze
        @label = label || name.to_s.tr("_", " ").capitalize
        @help = help
        @required = required
        @default = default
        @default_says = default_says
        @fine = fine
        @where = where
      end

      def required? = @required

      # Reads the value that stands in a document.
      # @return [Object, nil] nil when it was refused
      def read(value, at, reading) = raise(NotImplementedError, self.class.name)

      # What a document may hold here when nothing stands there.
      def absent(at, reading)
        required? ? reading.refuse(at, missing) : default
      end

      # @return [Hash] the declaration, for the API
      def declare
        {"name" => name.to_s, "kind" => kind, "label" => label, "help" => help, "required" => required?,
         "default" => declared_default, "default_says" => default_says, "fine" => (true if @fine),
         "where" => declared_where}.merge(limits).compact
      end

      private

      def kind = self.class.name.split("::").last.downcase

      def missing = "#{label} is missing."

      def declared_default = default

      def declared_where
        where = @where.respond_to?(:call) ? @where.call : @where
        where&.to_h { |name, values| [name.to_s, values.map(&:to_s)] }
      end

      def limits = {}
    end
  end
end
