# frozen_string_literal: true

module Lantern
  module Form
    # Forms as shops sell them, to begin with. All sizes are from memory, and labels lie: measure the
    # one in hand.
    module Shelf
      RINGS = {8 => 4, 12 => 7, 14 => 8, 16 => 10, 18 => 12, 24 => 17}.freeze
      FORMS = [
        *RINGS.map { |outside, inside|
          ["Wire ring, #{outside} in",
            {"base" => "wire", "shape" => "ring", "outside" => "#{outside} in", "inside" => "#{inside} in",
             "rails" => (outside < 12) ? 3 : 4}]
        },
        ["Wire ring with ties, 12 in", {"base" => "wire", "shape" => "ring", "outside" => "12 in", "inside" => "8 in",
                                        "rails" => 2, "ties" => 18}],
        ["Foam ring, 12 in, round", {"base" => "foam", "shape" => "ring", "outside" => "12 in", "inside" => "8 1/2 in",
                                     "section" => "round"}],
        ["Foam ring, 12 in, flat back", {"base" => "foam", "shape" => "ring", "outside" => "12 in", "inside" => "8 in",
                                         "section" => "half_round"}],
        ["Vine ring, 18 in", {"base" => "vine", "shape" => "ring", "outside" => "18 in", "inside" => "12 in"}],
        ["Board ring, 14 in", {"base" => "board", "shape" => "ring", "outside" => "14 in", "inside" => "8 in"}],
        ["Wire heart, 14 in", {"base" => "wire", "shape" => "heart", "width" => "14 in", "height" => "14 in",
                               "face" => "2 1/2 in", "rails" => 3}],
        ["Wire clover, 16 in", {"base" => "wire", "shape" => "clover", "width" => "16 in", "face" => "1 1/2 in",
                                "rails" => 2}],
        ["Wire gourd, 16 in", {"base" => "wire", "shape" => "gourd", "width" => "16 in", "height" => "13 in",
                               "face" => "1 1/2 in", "rails" => 2}],
        ["Foam cane, 18 in", {"base" => "foam", "shape" => "cane", "width" => "8 in", "height" => "18 in",
                              "face" => "1 1/2 in", "section" => "round"}],
        ["Wire star, 16 in", {"base" => "wire", "shape" => "star", "width" => "16 in", "height" => "15 in",
                              "face" => "1 1/2 in", "rails" => 2}],
        ["Foam egg, 12 in", {"base" => "foam", "shape" => "egg", "width" => "9 in", "height" => "12 in",
                             "face" => "1 1/2 in", "section" => "half_round"}]
      ].freeze

      module_function

      # @return [Array<Hash>] for the API: `name` and `form`, as a plan document holds it
      def declare = FORMS.map { |name, form| {"name" => name, "form" => form} }
    end
  end
end
