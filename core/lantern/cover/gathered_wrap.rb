# frozen_string_literal: true

module Lantern
  module Cover
    # A wide strip bunched in the hand and wound like a narrow one: full, soft, and the form needs no
    # covering of its own first.
    class GatheredWrap < SpiralWrap
      covering :gathered_wrap, title: "Gathered wrap", takes: %i[ribbon fabric mesh],
        summary: "A wide strip bunched in the hand, wound full and soft."

      spread 0.08 # from memory
      hands :gathered, :test_fit
      shows bunch: :lying
      laid :gathered

      # Flat width over covered width: between 1.5 and 2.5 (common practice).
      # Less than one and a half is hardly gathered (common practice).
      gives :fullness, to: 1.5, says: "a fullness of %s"

      option :fullness, :number, default: 2.0, least: 1.0, most: 6.0, label: "Fullness",
        help: "Flat width against the width it covers: 1.5 is easy, 2.5 is full."

      # Cloth is usually torn wider for this (from memory).
      def width = strip_width || material.width || Rational(6)

      # Bunched, it covers so much less.
      def lying = width / fullness.to_r

      def bunching = "bunch the strip in your hand to about #{text(lying)}, "

      private

      def lying_working = [line(:lying, "The strip, bunched", pencil("%l ÷ %n", width, fullness), text(lying))]

      def sheer_over_form = nil

      def twisting = nil

      # It is bunched on purpose.
      def too_wide = nil
    end
  end
end
