# frozen_string_literal: true

module Lantern
  module Draw
    # The form itself: its edges, its rails and crossbars, and the cut through its band. Lines are
    # SVG path data, exact arcs and all.
    module Outline
      module_function

      def form(form, scale)
        half = form.half_face
        {
          "base" => form.base.to_s,
          "closed" => form.closed?,
          "middle" => line(form.path, 0.0, scale),
          "face" => scale.number(form.face),
          "inside" => line(form.path, -half, scale),
          "outside" => line(form.path, half, scale),
          "rails" => form.section.rails.map { |x, _| line(form.path, x, scale) },
          "rail_width" => scale.number(form.section.rail_radius * 2),
          "crossbars" => crossbars(form, scale),
          "parts" => form.parts.map { part(_1, scale) }
        }
      end

      # The cut through the band: its hull, its rails, and the hull again with the covering on.
      def section(form, lies, scale)
        thick = lies.map { (_1.kind == :cord) ? _1.width : 0.0 }.max || 0.0
        section = form.section
        outer = hull(section, thick, scale)
        {
          "hull" => hull(section, 0.0, scale),
          "covered" => (outer if thick.positive?),
          "rails" => section.rails.map { scale.point(_1) },
          "rail_radius" => scale.number(section.rail_radius),
          "bounds" => bounds(outer),
          "solid" => section.kind != :wire
        }.compact
      end

      # A rib or a stem: the line along it, and how thick it is.
      def part(part, scale) = {"kind" => part.kind.to_s, "line" => line(part.path, 0.0, scale), "width" => (scale.number(part.diameter) if part.diameter)}.compact

      # The line beside a path, strand after strand, as SVG path data.
      def line(path, across, scale) = path.strands.map { strand(_1, across, scale) }.join

      # One line beside one strand of a path. At a corner the wide side goes round on an arc, and
      # the tight side of two straight pieces ends where its lines meet.
      def strand(path, across, scale)
        return straight_outline(path, across, scale) if across.nonzero? && path.closed? && path.pieces.none?(Arc)
        start = path.beside(0, across)
        before = path.closed? ? path.pieces.last : nil
        steps = path.pieces.flat_map do |piece|
          joint = before ? corner(before, piece, across, scale) : []
          before = piece
          joint + (piece.is_a?(Arc) ? arc(piece, across, scale) : straight(piece, across, scale))
        end
        start = path.pieces.last.beside(path.pieces.last.length, across) if path.closed?
        "M#{scale.points([start]).join(" ")}#{steps.join}#{"Z" if path.closed?}"
      end

      # The same for a path of straight pieces alone.
      def straight_outline(path, across, scale)
        steps = [path.pieces.last, *path.pieces].each_cons(2).map do |before, after|
          from, to = before.beside(before.length, across), after.beside(0, across)
          meeting = meeting_point(before, after, from, to, across)
          next "L#{scale.points([meeting]).join(" ")}" if meeting
          "L#{scale.points([from]).join(" ")}#{corner(before, after, across, scale).join}"
        end
        "#{steps.join.sub("L", "M")}Z"
      end

      # Where two edge lines meet on the tight side of their corner; nil on the wide side.
      def meeting_point(before, after, from, to, across)
        (ax, ay), (bx, by) = before.direction(0), after.direction(0)
        return if turn(before, after) * across >= 0
        along = ((to[0] - from[0]) * by - (to[1] - from[1]) * bx) / turn(before, after)
        [from[0] + ax * along, from[1] + ay * along]
      end

      Arc = Form::Arc

      # From the end of one piece's edge to the beginning of the next, where they part at a corner: on
      # an arc on the wide side, straight on the tight one.
      def corner(before, after, across, scale)
        from, to = before.beside(before.length, across), after.beside(0, across)
        return [] if Math.hypot(to[0] - from[0], to[1] - from[1]) < 1e-4
        there = scale.points([to]).join(" ")
        return ["L#{there}"] unless turn(before, after) * across > 0
        radius = scale.number(across.abs)
        ["A#{radius} #{radius} 0 0 #{across.positive? ? 1 : 0} #{there}"]
      end

      # The sine of the turn from one piece to the next, positive where the outside is the wide side.
      def turn(before, after)
        (ax, ay), (bx, by) = before.direction(before.length), after.direction(0)
        ax * by - ay * bx
      end

      # An arc of half a circle or more is drawn in parts: one arc of path data cannot go all round.
      def arc(piece, across, scale)
        side = piece.sweep.positive? ? 1 : -1
        radius = piece.radius + side * across
        parts = (piece.sweep.abs / 2.5).ceil
        (1..parts).map do |i|
          angle = piece.start + piece.sweep * i / parts
          to = [piece.centre[0] + radius * Math.cos(angle), piece.centre[1] + radius * Math.sin(angle)]
          "A#{scale.number(radius)} #{scale.number(radius)} 0 0 #{(side > 0) ? 1 : 0} #{scale.points([to]).join(" ")}"
        end
      end

      def straight(piece, across, scale)
        dx, dy = piece.direction(0)
        ["L#{scale.points([[piece.to[0] + dy * across, piece.to[1] - dx * across]]).join(" ")}"]
      end

      def crossbars(form, scale)
        return [] unless form.base == :wire && form.section.rails.size > 1
        reach = form.section.rails.last[0]
        (0...form.sections).map do |i|
          along = form.path.length * i / form.sections
          scale.points([form.path.beside(along, -reach), form.path.beside(along, reach)])
        end
      end

      def hull(section, grown, scale)
        scale.points(section.front.trace(grown, step: section.girth / 24, least: 6) + section.back.trace(grown, step: section.girth / 24, least: 6))
      end

      def bounds(numbers)
        xs, ys = numbers.each_slice(2).to_a.transpose
        [xs.min, ys.min, xs.max, ys.max]
      end

      private_class_method :part, :strand, :straight_outline, :meeting_point, :corner, :turn, :arc, :straight, :crossbars, :hull, :bounds
    end
  end
end
