# frozen_string_literal: true

module Lantern
  module Form
    # A cross: two straight bands, the one lying across the other. With the width of an arm said it is another form, one
    # band round the outline of a cross.
    class Cross < Boxed
      shape :cross, title: "Cross", typical: {width: 12, height: 16, face: 1.25}
      box corners: true
      size :crossing, label: "Where they cross, below the top", default_says: "half the width, or the middle"
      size :arm, fine: true, label: "Width of an arm, over all", default_says: "two bands that cross",
        help: "Only of a frame that goes round the outline of a cross."

      def self.open?(form) = form["arm"].nil?

      def check_own
        outlined? ? check_arm : check_crossing
      end

      def path = outlined? ? super : @path ||= sized_by_string(crossed)

      def findings
        outlined? ? [] : [note("crossed_bands", "The upright lies below, the arms over it: cover each by itself, " \
          "then tie or glue them where they cross.")]
      end

      def trace(width, height)
        w, h, a = width / 2, height / 2, (sizes[:arm].to_f - face) / 2
        Tracing.polygon([[-a, -h], [a, -h], [a, -a], [w, -a], [w, a], [a, a], [a, h], [-a, h], [-a, a], [-w, a],
          [-w, -a], [-a, -a]])
      end

      private

      def outlined? = !sizes[:arm].nil?

      # The upright from the top down, the arms from the left; both end square.
      def crossed
        level = crossing - height / 2
        Joined.new([[[0.0, -height / 2], [0.0, height / 2]], [[-width / 2, level], [width / 2, level]]]
          .map { Tracing.lines(_1) })
      end

      # Three arms of one length where it is higher than wide (common practice).
      def crossing = (sizes[:crossing] || [width, height].min / 2).to_f

      def check_crossing
        return if crossing.between?(face / 2, height - face / 2)
        refuse("crossing", "The bands cannot cross #{text(crossing)} below the top of a cross #{text(height)} high " \
          "and #{text(face)} across.")
      end

      def check_arm
        arm = sizes[:arm].to_f
        return if arm.between?(2 * face, [width, height].min - 2 * face)
        refuse("arm", "An arm of #{text(arm)} must be wider than two faces (#{text(2 * face)}) and narrower than " \
          "the cross (#{text([width, height].min)}).")
      end
    end
  end
end
