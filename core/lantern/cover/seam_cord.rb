# frozen_string_literal: true

module Lantern
  module Cover
    # Cord laid along the seam where one form is glued on another, or along any outside edge.
    class SeamCord < Covering
      covering :seam_cord, title: "Cord along the seam", takes: %i[rope ribbon],
        summary: "Cord along the outside edge, where one form meets another."
      counts :strips, :rounds
      hands :tack
      laid :line

      spread 0.02 # from memory

      option :rounds, :count, default: 1, most: 24, label: "Rounds"

      runs_along

      figure :strips, :count, "Rounds", from: :rounds
      figure :length, :length, "Cord in all"

      vary :rounds, takes: :more, says: "The most rounds", unit: "rounds"

      JOIN = 1

      def thick = (material.diameter || material.thickness_or_guess).to_f

      # Each round lies its own thickness farther out.
      # Source: parallel curves (Steiner).
      def round_length(round) = form.closed? ? form.outside_run + 2 * Math::PI * thick * (round + 0.5) :
        form.outside_run

      def length = (0...rounds).sum { round_length(_1) + JOIN }

      def needs = [run(material: material.id, what: "seam", length:, join: JOIN, least: 6)]

      def working
        [line(:round, "Along the seam", "the outside edge, and the cord’s own thickness", text(round_length(0))),
          line(:length, "All rounds, each with its join", "#{Place::Unit.fetch(:rounds).says(rounds)}, 1 to join each",
            text(length))]
      end

      # Beside one another, rounds are a covering of their own.
      def findings
        room = [(form.section.depth / thick).floor, 2].max
        return [] if rounds <= room
        [finding(:warn, "many_rounds", "#{Place::Unit.fetch(:rounds).says(rounds)} reach #{text(rounds * thick)} " \
          "past the seam; #{Place::Unit.fetch(:rounds).says(room)} hide it.", try: {"rounds" => room})]
      end

      def steps = [step("seam", "Lay the cord along the seam",
        "A short run of glue at a time; the ends meet behind, at the bottom.", count: rounds, unit: :rounds,
        minutes: 1 + length / 12)]

      # The line beside a strand, closed where the strand is.
      def seam(strand, across)
        points = strand.parallel(across).flat_map do |piece, from, to|
          steps = piece.curvature.zero? ? 1 : (piece.length / strand.length * 120).ceil.clamp(2, 120)
          (0..steps).map { piece.beside(from + (to - from) * _1 / steps, across) }
        end
        strand.closed? ? points << points.first : points
      end

      def fixings = {glue: rounds * form.run}

      def lies
        items = (0...rounds).to_a.product(form.path.strands)
          .map { |round, strand| {points: seam(strand, form.half_face + thick * (round + 0.5))} }
        [Place::Lie::Line.new(layer: id, unit: :rounds, materials: [material],
          width: (material.diameter || material.width).to_f, front: items, back: items)]
      end
    end
  end
end
