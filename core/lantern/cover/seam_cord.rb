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
      along_seams

      figure :strips, :count, "Rounds", from: :rounds
      figure :length, :length, "Cord in all"

      vary :rounds, takes: :more, says: "The most rounds", unit: "rounds"

      JOIN = 1

      def thick = (material.diameter || material.thickness_or_guess).to_f

      # Each round lies its own thickness farther out, and is cut short in corners that turn inwards.
      # Source: parallel curves (Steiner), and offsetting with trimming.
      def round_length(round) = form.seams.sum { |path, edge| path.edge(edge + out(round)) } + by_string

      # How far the middle of a round lies from the edge.
      def out(round) = thick * (round + 0.5)

      # What a string along the outside says more than the sizes do.
      def by_string = form.closed? ? form.outside_run - form.path.edge(form.half_face) : 0.0

      def seams = form.seams.size

      def length = (0...rounds).sum { round_length(_1) + seams * JOIN }

      def needs = [run(material: material.id, what: "seam", length:, join: JOIN, least: 6)]

      def working
        [line(:round, "Along the seam", "the edge, and half the cord’s own thickness out", text(round_length(0))),
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

      def steps = [step("seam", "Lay #{material.name} along the seam",
        "A short run of glue at a time; the ends meet behind, at the bottom.", count: rounds, unit: :rounds,
        minutes: 1 + length / 12)]

      def fixings = {glue: length}

      def lies
        items = (0...rounds).to_a.product(form.seams).map { |round, (path, edge)|
          {points: seam(path, edge + out(round))}
        }
        [Place::Lie::Line.new(layer: id, unit: :rounds, materials: [material],
          width: (material.diameter || material.width).to_f, front: items, back: items)]
      end

      private

      # The line beside a path, closed where that is, its inner corners trimmed.
      def seam(path, across)
        return path.trace(across) unless path.closed?
        points = Form::Silhouette.edge(path, across).points
        [*points, points.first]
      end
    end
  end
end
