# frozen_string_literal: true

module Lantern
  # The coverings: one file a method, each declaring its own options, figures, sum, findings, steps and the lie
  # of its strips.
  module Cover
    # A layer that covers the form.
    # @abstract
    class Covering < Layer
      stage :cover

      class << self
        alias_method :covering, :known_as
      end

      # How wide a place it may leave bare and still be what it promises; nil where nobody looks for bare places.
      # @return [Float, nil] inches
      def accepts = nil

      # What it says of a place that it leaves bare, and the options that mend it.
      # @param _corner [Boolean] whether the place is at a corner
      # @return [(String, Hash)]
      def mend(_corner) = ["close it there", nil]
    end
  end
end
