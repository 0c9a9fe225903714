# frozen_string_literal: true

module Lantern
  # What a wreath hangs by, and what covers its back.
  module Hang
    # A layer of the back.
    # @abstract
    class Hanging < Layer
      stage :hang

      class << self
        alias_method :hanging, :known_as
      end
    end
  end
end
