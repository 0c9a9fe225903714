# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      module Parts
        # A ribbon folded to and fro.
        class Fold < Part
          part :fold, title: "Folded to and fro", unit: :folded, measures: {folds: 8, fold_size: 4}

          def self.of_bow(bow) = {as: :fold, folds: bow.loops, fold_size: bow.loop_size}

          # Source: 2 x loops x size (common practice).
          def length = 2 * folds * fold_size

          def folds = super.to_i

          def sum = "2 × #{folds} × #{bare(fold_size)}"

          def told = "folded to and fro into #{folds} loops of #{text(fold_size)}: #{text(cut)}"

          def lies(_turn) = [[Place::Lie::Loop, both_sides(folds, fold_size.to_f * OPENED)]]
        end
      end
    end
  end
end
