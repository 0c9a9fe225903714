# frozen_string_literal: true

module Lantern
  # What comes after the covering: bows, and what is fixed on.
  module Trim
    # A layer that trims a covered form.
    # @abstract
    class Trimming < Layer
      stage :trim

      class << self
        alias_method :trimming, :known_as
      end
    end
  end
end
