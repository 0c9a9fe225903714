# frozen_string_literal: true

module Lantern
  class Layer
    # What a layer answers of what it is composed of; one that is made at once has no parts.
    # @see Trim::Pieces::Enlarging
    module Composed
      # How many times as large it may be made, rising; nothing for what has its size from the form.
      # @return [Array<Rational>]
      def enlargements = []

      # Its parts as a plan would say them, those that are usual too.
      # @return [Array<Hash>] ready for JSON
      def composition = []
    end
  end
end
