# frozen_string_literal: true

module Lantern
  module Ask
    class Advice
      # One thing that is said: of which material, what it saves, the change that makes it so (layer by layer; of which
      # wreath, on an occasion), and what the look is before and after.
      Piece = Value.define(:code, :material, :saves, :says, :try, :wreath, :look) do
        def initialize(saves: BigDecimal(0), try: nil, wreath: nil, look: [], **given) = super
      end

      class Piece
        # @return [Hash] ready for JSON
        def to_h(table)
          {"key" => [code, material].compact.join("."), "code" => code, "material" => material,
           "saves" => (table.money_text(saves) if saves.positive?), "says" => says, "try" => try,
           "wreath" => (wreath if table.several?), "look" => (look if look.any?)}.compact
        end
      end
    end
  end
end
