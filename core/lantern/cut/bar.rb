# frozen_string_literal: true

module Lantern
  module Cut
    # One length opened: where it comes from (`:on_hand` or `:offer`, and which), how long it is,
    # its cuts in order, and what is left. Inches.
    Bar = Value.define(:source, :index, :length, :cuts, :left)

    class Bar
      # So many cuts of one length, one after another; for a run, what this bar gives it.
      Cut = Value.define(:what, :length, :count, :shape) do
        def run? = shape == :run
      end
    end
  end
end
