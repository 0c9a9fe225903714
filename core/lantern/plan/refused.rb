# frozen_string_literal: true

module Lantern
  module Plan
    # Raised with every problem found in a plan, never just the first.
    Refused = Class.new(Problem)
  end
end
