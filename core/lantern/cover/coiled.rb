# frozen_string_literal: true

module Lantern
  module Cover
    # What coverings of rope wound round the band share: coils that touch on the crowded edge, what one takes,
    # and the gaps that fan out on the wide one.
    #
    # A covering that includes it says where among its options `closes_up` stands and where among its figures
    # `coil_figures`; {LegByLeg} counts the coils and says what one takes.
    module Coiled
      module Declared
        private

        # How soft the rope is, and the test piece that takes its place.
        def closes_up
          option :squash, :number, fine: true, default: 1.0, least: 0.3, most: 1.5, label: "Closing up",
            help: "How wide a coil lies against its own thickness: soft rope closes up, 1 is not at all. A guess: " \
              "measure ten coils."
          tested_by "Wind ten coils, measure, and these replace the sum."
        end

        # What every coil is like, and the gaps between them.
        def coil_figures
          figure :turns, :count, "Coils"
          figure :pitch, :length, "From coil to coil"
          figure :length_per_turn, :length, "One coil"
          figure :gap_wide, :length, "Gap at the wide edge"
          figure :gap_middle, :length, "Gap at the middle"
          figure :gap_crowded, :length, "Gap at the crowded edge"
        end
      end

      def self.included(covering) = covering.extend(Declared)

      # Each new rope is glued where the last ended, and both ends are tucked (common practice).
      JOIN = 1
      ENDS = 2
      # The gap that is not worth pointing at, as a share of the cord's thickness (from memory), and in inches: what
      # no tape shows.
      UNSEEN = 0.05
      LEAST_SEEN = 1 / 16r

      # @return [Float] inches
      def diameter = material.diameter.to_f

      # What a coil takes of the edge it is pressed against.
      def lying = measured_advance || diameter * squash

      # What coils have of the crowded edge. A thick rope turns about its own middle, which runs half its thickness
      # farther in; what is thin gives that much (common practice: fillers one in five to ten on a common frame).
      def room
        @room ||= if thick?
          half = form.half_face
          [form.crowded_run - form.path.crowded(half) + form.path.crowded(half + diameter / 2), 0.0].max
        else
          form.crowded_run
        end
      end

      # Against the tightest radius of the inside edge (from memory).
      THICK = 0.2

      def thick? = diameter > THICK * form.tightest_inside_radius

      def pitch = form.run / turns

      # What one coil goes round. The rope's own middle runs half its thickness outside the form, so once round
      # is pi d more.
      # Source: Steiner's formula for parallel curves.
      def round = form.girth + Math::PI * diameter

      def coil_need =
        run(material: material.id, what: "coils", length: coils + ends, join: JOIN, least: length_per_turn)

      # A second and a half for every inch, and three minutes to begin (from memory).
      def coil_minutes = coils * 1.5 / 60 + 3

      # A tack behind every few coils.
      def coil_glue = turns / 4 * 0.5 + 2.0

      def thickness = diameter

      def seen?(gap) = gap > [UNSEEN * diameter, LEAST_SEEN].max

      private

      def check_coils
        check_test_piece
        if turns < 1
          refuse("material", "Not one coil of #{material.name}, #{text(diameter)} thick, fits round the inside edge, " \
            "#{text(room)}.")
        end
        refuse_crowd(turns, "material", "coils")
      end

      def coil_working
        [
          line(:crowded_run, "Along the inside edge#{", half a cord farther in" if thick?}", "", text(room)),
          *fitting_working,
          line(:round, "Once round the band, and the cord’s own thickness",
            pencil("%l + π × %l", form.girth, diameter), text(round)),
          line(:length_per_turn, "One coil, moving on #{text(pitch)}", turn_sum, text(length_per_turn)),
          line(:coils, "Cord in the coils", pencil("%n × %l", turns, length_per_turn), long_text(coils)),
          line(:ends, ends_say, pencil("%n × %l", own_ends, 1), text(ends)),
          line(:gap_wide, "Gap at the outside edge", gap_sum, text(gap_wide))
        ]
      end

      def turn_sum = measured_turn ? "by your test piece" : pencil("√(%l² + %l²)", round, pitch)

      def coil_findings = [*(test_piece_finding if test_piece)]

      # Where it meets what is there already, one join does for both.
      def ends = ENDS / 2 * own_ends

      def ends_say = (own_ends == 2) ? "Both ends tucked" : "Ends tucked that nothing there meets"

      # Two cords of one name can differ, and pulling hard bends a light frame (common practice).
      def starting
        alike = "Check that all packages have the same thickness. " if material.on_hand.size + material.offers.size > 1
        wire = form.base == :wire
        "#{alike}Start at the back#{" on a crossbar" if wire}, the frayed end hidden." \
          "#{" Lay the cord, do not pull it: a light frame bends." if wire}"
      end
    end
  end
end
