# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # Whatever stands there, as it is: it is read elsewhere, or not at all.
      class Anything < Field
        def read(value, _at, _reading) = value
      end
    end
  end
end
