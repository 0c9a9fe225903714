# frozen_string_literal: true

module Lantern
  module Plan
    class Field
      # A colour to draw with, as `#rrggbb`.
      class Colour < Field
        # Told apart at a glance, to begin with.
        USUAL = {"#2e4a7d" => "Indigo", "#d9932b" => "Marigold", "#b4532f" => "Rust", "#e3d8bf" => "Undyed",
                 "#7f9a5c" => "Moss", "#6d4a73" => "Plum", "#3f8f8a" => "Teal", "#8c8c86" => "Slate"}.freeze

        # @return [String, nil] in lower case
        def read(value, at, reading)
          return value.downcase if value.is_a?(String) && value.match?(/\A#\h{6}\z/)
          reading.refuse(at, "#{label} must be written like #c8a36a; #{reading.quote(value)} is not.")
        end

        private

        def limits = {"choices" => USUAL.map { |value, says| {"value" => value, "says" => says} }}
      end
    end
  end
end
