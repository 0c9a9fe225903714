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
    end
  end
end
