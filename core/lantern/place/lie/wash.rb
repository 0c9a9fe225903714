# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # A colour on the form itself: it hides nothing that was to be covered.
      class Wash < Lie
        lie :wash
        looks coat: true
      end
    end
  end
end
