# frozen_string_literal: true

module Lantern
  module Form
    # A cross, seen as the band round its outline.
    class Cross < Boxed
      shape :cross, title: "Cross", typical: {width: 12, height: 16, face: 1.25}
      box corners: true
      size :arm, label: "Width of an arm, over all", default_says: "a third of the width"

      def check_own
        unless arm.between?(2 * face, [width, height].min - 2 * face)
          refuse("arm", "An arm of #{text(arm)} must be wider than two faces (#{text(2 * face)}) and narrower than " \
            "the cross (#{text([width, height].min)}).")
        end
      end

      def trace(width, height)
        w, h, a = width / 2, height / 2, (arm - face) / 2
        Tracing.polygon([[-a, -h], [a, -h], [a, -a], [w, -a], [w, a], [a, a], [a, h], [-a, h], [-a, a], [-w, a],
          [-w, -a], [-a, -a]])
      end

      private

      def arm = (sizes[:arm] || width / 3).to_f
    end
  end
end
