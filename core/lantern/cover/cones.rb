# frozen_string_literal: true

module Lantern
  module Cover
    # Squares or rectangles rolled into cones or pinched into petals, set side by side round the form,
    # layer on layer.
    class Cones < Covering
      covering :cones, title: "Cones and petals", takes: %i[fabric mesh],
        summary: "Squares rolled into cones, set round the form in layers."
      counts :pieces, :squares_to_cut
      hands :cone
      shows size: :width
      laid :panel

      spread 0.05 # from memory

      # 6 in squares; nineteen or twenty go round a 14 in board ring (common practice).
      option :width, :length, default: Rational(6), most: 48, label: "Width of a square"
      option :height, :length, default: Rational(6), most: 48, label: "Height of a square"
      option :base_width, :length, most: 24, label: "A cone takes", default_says: "three tenths of its width, a guess",
        help: "How much of the form one takes where it sits."
      option :layers, :count, default: 2, most: 4, label: "Layers"
      option :spare, :number, fine: true, default: 0.05, least: 0.0, most: 1.0, label: "Spares",
        help: "As a share of all."

      runs_along

      figure :pieces, :count, "Squares to cut"
      figure :repeats, :count, "Cones in the first layer", from: :first_layer
      figure :piece_length, :length, "Each square"
      figure :pitch, :length, "A cone takes", from: :base_width
      figure :length, :length, "All squares, end to end"

      gives :spare, to: 0.0, says: "%s spares", percent: true

      vary :layers, takes: :more, says: "The most layers", unit: "layers"

      # From memory: a rolled square's mouth lies flat on about three tenths of its width.
      BASE_SHARE = Rational(3, 10)
      # In the second layer two thirds as wide, as high as the first (common practice: 4 x 6 after 6 x 6).
      NEXT_WIDTH = Rational(2, 3)

      def check
        super
        if base_width > form.run
          refuse("base_width",
            "A cone that takes #{text(base_width)} is wider than the whole round, #{text(form.run)}.")
        end
        refuse_crowd(each_layer.sum, "base_width", "cones")
      end

      def base_width = super || width * BASE_SHARE

      # Cones in each layer: round the middle of the band, then one for every two.
      def each_layer = (0...layers).map { |i|
        i.zero? ? (form.run / base_width - 1e-9).ceil :
              ((form.run / base_width - 1e-9).ceil / 2.0**i).floor
      }

      def widths = (0...layers).map { |i| up_to_mark(width * NEXT_WIDTH**i) }

      def with_spares = each_layer.map { (_1 * (1 + spare) - 1e-9).ceil }

      def pieces = with_spares.sum

      def first_layer = each_layer.first

      def piece_length = up_to_mark(height)

      def length = pieces * height

      def needs
        with_spares.each_with_index.filter_map do |count, i|
          if count.positive?
            pieces_of(:pieces, of: " for layer #{i + 1}", material: material.id, length: piece_length,
              width: (widths[i] if material.sheets?), count:)
          end
        end
      end

      def working
        [
          line(:first_layer, "First layer", pencil("%l ÷ %l, rounded up", form.run, base_width), first_layer.to_s),
          *each_layer.each_with_index.drop(1).map { |count, i|
            line(:"layer_#{i + 1}",
              "Layer #{i + 1}, one for every two",
              pencil("%n ÷ #{2**i}, rounded down; %l × %l each", first_layer, widths[i], height),
              count.to_s)
          },
          line(:spares, "With spares", "#{percent(spare)} more of each, rounded up", pieces.to_s)
        ]
      end

      def findings
        [*(unless said?(:base_width)
             finding(:note, "guess", "What a cone takes of the form is a guess: roll three, set them side by side, " \
               "measure, and say so.")
           end),
          *(if layers == 1
              finding(:note, "bare_between",
                "One layer leaves the form in sight between the cones; a second closes it.",
                try: {"layers" => 2})
            end)]
      end

      def steps
        # A minute and a half a cone, and three to begin (from memory).
        each_layer.each_with_index.map { |count, i|
          step("layer#{i + 1}",
            (i.zero? ? "Roll the cones and set them round" : "Roll and set layer #{i + 1} of the cones"),
            "Roll each, glue its seam, pinch the foot flat. Set #{count} of them " \
            "round#{" in the gaps of the layer below" if i.positive?}.", count:, unit: :cones, lays: :"cones_#{i + 1}",
            takes: [required[i]].compact,
            minutes: count * 1.5 + (i.zero? ? 3 : 0))
        }
      end

      # Inches of bead on the foot of one (from memory); its seam takes as much as it is high.
      FOOT = 1.0

      def fixings = {glue: each_layer.sum * (height.to_f + FOOT)}

      def lies = each_layer.each_with_index.map { |count, i|
        Place::Loops.cones(form, id:, material:, count:, layer: i,
          height: height.to_f, mouth: [widths[i].to_f * 0.45, form.outside_run / [count, 1].max * 1.1].min)
      }
    end
  end
end
