# frozen_string_literal: true

module Lantern
  module Place
    class Lie
      # A loop that is held at both ends and stands up between them: an item is its corners, in order round it.
      class Cushion < Panel
        lie :cushion
      end
    end
  end
end
