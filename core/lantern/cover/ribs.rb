# frozen_string_literal: true

module Lantern
  module Cover
    # Strips along a form's ribs: a gourd's, or a star's arms.
    class Ribs < Covering
      covering :ribs, title: "Strips along the ribs", takes: %i[ribbon fabric mesh rope],
        summary: "A strip along every rib."
      counts :pieces, :strips_to_cut
      hands :tack
      laid :line

      spread 0.03 # from memory

      option :count, :count, most: 24, label: "Ribs to cover", default_says: "all of them"
      option :which, :list, most: 24, fine: true, label: "Which ribs", default_says: "from the middle outwards",
        of: Plan::Field::Count.new(:rib, most: 24, label: "A rib")
      strips_from_cloth most: 60, default_says: "the ribbon’s own, or 1 in from cloth"

      figure :pieces, :count, "Strips to cut", from: :count
      figure :length, :length, "All strips, end to end"
      figure :piece_length, :length, "The longest"

      vary :count, takes: :more, says: "The most ribs", unit: "ribs"

      # Tucked at each end (common practice).
      TUCK = Rational(1, 2)

      def check
        super
        refuse("method", "This form has no ribs: a gourd and a star have.") if form.ribs.empty?
        which.each_with_index do |number, i|
          next if number <= form.ribs.size
          refuse("which.#{i}", "This form has #{form.ribs.size} ribs; there is no rib #{number}.")
        end
        refuse("count", "This form has #{form.ribs.size} ribs, not #{count}.") if count > form.ribs.size
      end

      def count = which.any? ? which.uniq.size : super || form.ribs.size

      def width = material.diameter || strip_width || material.width || Rational(1)

      # The ribs that get a strip: those that are named, or from the middle outwards.
      def covered
        @covered ||= if which.any?
          which.uniq.sort.map { form.ribs[_1 - 1] }
        else
          form.ribs.each_with_index.sort_by { |_, i| [(2 * i - form.ribs.size + 1).abs, i] }
            .first(count).sort_by(&:last).map(&:first)
        end
      end

      def lengths = covered.map { up_to_mark(_1.length + 2 * TUCK) }

      def needs
        lengths.tally.map { |length, alike|
          Place::Need.pieces(material: material.id, what: "strips", length:,
            count: alike, width: (width if material.sheets?), grain:)
        }
      end

      def length = lengths.sum

      def piece_length = lengths.max

      def working
        covered.each_with_index.map { |rib, i|
          line(:"rib_#{i + 1}", "Rib #{i + 1}",
            pencil("%l + 2 × %l, up to the mark", rib.length, TUCK), text(lengths[i]))
        } +
          [line(:length, "All", Place::Unit.fetch(:strips).says(count), long_text(lengths.sum))]
      end

      # Which rib takes which strip, by their numbers from the left.
      def whose
        return "#{text(lengths.first)} each." if lengths.uniq.one?
        by_length = lengths.each_with_index.group_by(&:first).transform_values { |ribs| ribs.map { _2 + 1 } }
        "#{by_length.map { |length, ribs| "#{text(length)} on rib#{"s" if ribs.size > 1} #{Measure::Words.list(ribs)}" }
          .join(", ")}, #{(form.shape == :star) ? "clockwise from the top" : "from the left"}."
      end

      def steps = [step("ribs", "Glue a strip along each rib", "#{whose} From one end to the other, both ends tucked " \
        "under. A hollow-woven ribbon, or one cut on the bias, follows the curve best.",
        look: "Does every strip lie along the middle of its rib, flat at both ends?",
        count:, unit: :ribs, lays: :strips, minutes: 1 + count * 2.0)]

      def fixings = {glue: lengths.sum.to_f}

      def lies = [Place::Lie::Line.new(layer: id, unit: :strips, materials: [material], width: width.to_f,
        front: covered.map { {points: _1.path.trace(0.0, step: _1.length / 24)} })]
    end
  end
end
