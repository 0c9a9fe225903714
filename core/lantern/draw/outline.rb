# frozen_string_literal: true

module Lantern
  module Draw
    # The form itself: its edges, its rails and crossbars, and the cut through its band. Lines are
    # SVG path data, exact arcs and all.
    module Outline
      module_function

      def form(form, scale)
        each = form.differs? ? form.members : [form]
        {
          "base" => form.base.to_s,
          "closed" => form.closed?,
          "members" => form.members.size,
          "middle" => line(form.path, 0.0, scale),
          "face" => scale.number(form.face),
          "inside" => each.map { line(_1.path, -_1.half_face, scale) }.join,
          "outside" => each.map { line(_1.path, _1.half_face, scale) }.join,
          "marks" => [*form.parts.flat_map { beside(_1, each.first, scale) }, *each.flat_map { band(_1, scale) }],
          "parts" => form.parts.map { part(_1, scale) }
        }
      end

      # How thin a solid band's edge is drawn, against its face.
      EDGE = 0.015

      # How the form looks, the undermost first: a band, or the parts of a joined form that differ, each with its own.
      # What is `coated` takes the colour of a coat, when it has one.
      def band(form, scale)
        if form.base == :wire
          wide = form.section.rail_radius * 2
          return [mark("crossbars", crossbars(form, scale), wide * 0.8, scale, coated: true),
            mark("rails", form.section.rails.map { |x, _| rail(form, x, scale) }.join, wide, scale, coated: true),
            *([mark("ties", ties(form, scale), wide * 0.8, scale)] if form.ties)]
        end
        middle, join = line(form.path, 0.0, scale), form.path.pointed? ? "miter" : "round"
        [mark("band", middle, form.face, scale, cap: "butt", join:),
          mark("band", middle, form.face * (1 - 2 * EDGE), scale, paint: form.base.to_s, cap: "butt", join:,
            coated: true), *(twigs(form, scale) if form.base == :vine)]
      end

      # How long a tie stands out to either side of its rail, in inches; where twigs lie across a band of vine, and how
      # thick one is, both as shares of half its face (from memory).
      TIE = 0.4
      TWIGS = [-0.6, -0.2, 0.2, 0.6].freeze
      TWIG = 0.06
      private_constant :TIE, :TWIGS, :TWIG

      # The ties that are twisted on to its rails already, evenly on each.
      def ties(form, scale)
        form.section.rails.flat_map { |rail, _|
          (0...form.ties).map { |i|
            along = form.path.length * (i + 0.5) / form.ties
            "M#{[rail - TIE, rail + TIE].map { scale.text(*form.path.beside(along, _1)) }.join("L")}"
          }
        }.join
      end

      def twigs(form, scale)
        [mark("twigs", TWIGS.map { line(form.path, _1 * form.half_face, scale) }.join, TWIG * form.half_face, scale,
          cap: "butt")]
      end

      # A rib, or a stem with its edge.
      def beside(part, band, scale)
        thin = (band.base == :wire) ? band.section.rail_radius * 2 : band.face * 0.04
        path = line(part.path, 0.0, scale)
        return [mark("rib", path, thin, scale)] unless part.diameter
        # A frame's stem is a core of its own.
        paint = (band.base == :wire) ? "foam" : band.base.to_s
        [mark("stem", path, part.diameter, scale, cap: "butt"),
          mark("stem", path, [part.diameter - 2 * thin, 0].max, scale, paint:, cap: "butt")]
      end

      def mark(key, path, width, scale, paint: "wire", cap: "round", join: "round", coated: false)
        {"key" => key, "path" => path, "width" => scale.number(width), "paint" => paint, "cap" => cap, "join" => join,
         "coated" => coated || nil}.compact
      end

      # The cut through the band: its hull, its rails, and the hull again with the covering on.
      def section(form, lies, scale)
        thick = lies.map(&:thick).max || 0.0
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

      # A rail lies inside the edge, and loops only where the edge does.
      def rail(form, across, scale)
        edge = across.negative? ? -form.half_face : form.half_face
        line(form.path, across, scale, looks: form.path.strands.any? { _1.loops?(edge) })
      end

      # A rib or a stem: the line along it, and how thick it is.
      def part(part, scale) = {"kind" => part.kind.to_s, "line" => line(part.path, 0.0, scale),
                               "width" => (scale.number(part.diameter) if part.diameter)}.compact

      # The line beside a path, strand after strand, as SVG path data.
      # @param looks [Boolean] whether it is looked for loops
      def line(path, across, scale, looks: true) = path.strands.map { strand(_1, across, scale, looks) }.join

      # One line beside one strand of a path. At a corner the wide side goes on to a point or round on an arc, and
      # the tight side ends where its lines meet.
      def strand(path, across, scale, looks)
        edge = Form::Silhouette.edge(path, across).points if looks && path.loops?(across)
        return "M#{edge.map { scale.text(*_1) }.join("L")}Z" if edge
        return polygon(path, across, scale) if path.closed? && path.pieces.none?(Arc)
        parts = path.parallel(across)
        parts = path.pieces.map { [_1, 0.0, _1.length] } if parts.empty?
        x, y = start(path, parts, across)
        drawn = "M#{scale.text(x, y)}"
        index = path.pieces.each_with_index.to_h.compare_by_identity
        parts.each do |piece, from, to|
          begins = piece.beside(from, across)
          if (begins[0] - x).abs + (begins[1] - y).abs > 1e-4
            drawn << corner(path, index[piece] - 1, begins, across, scale)
          end
          x, y = piece.beside(to, across)
          drawn << (piece.is_a?(Arc) ? arc(piece, from, to, across, scale) : "L#{scale.text(x, y)}")
        end
        path.closed? ? drawn << "Z" : drawn
      end

      # A bend that turns less than this needs no arc of its own, in radians.
      FLAT = 0.05

      # The same for straight pieces alone, which an outline brought in has hundreds of: on the tight
      # side of a corner the edge turns where the sides' parallels meet.
      def polygon(path, across, scale)
        before = path.pieces.last
        corners = path.pieces.each_with_index.map do |piece, i|
          (x, y), (ax, ay), (bx, by) = piece.from, before.direction(0), piece.direction(0)
          turn, along = ax * by - ay * bx, ax * bx + ay * by
          before = piece
          if turn * across <= 0 && along > -0.99 || turn.abs < FLAT && along > 0
            next scale.text(x + (ay + by) * across / (1 + along), y - (ax + bx) * across / (1 + along))
          end
          next path.corner_points(i - 1, across).map { scale.text(*_1) }.join("L") if path.pointed?
          "#{scale.text(x + ay * across, y - ax * across)}A#{scale.number(across.abs)} #{scale.number(across.abs)} 0 " \
          "0 #{across.positive? ? 1 : 0} #{scale.text(x + by * across, y - bx * across)}"
        end
        "M#{corners.join("L")}Z"
      end

      # A closed line begins where it ends, so that its last corner is drawn first.
      def start(path, parts, across)
        piece, from, to = path.closed? ? parts.last : parts.first
        piece.beside(path.closed? ? to : from, across)
      end

      Arc = Form::Arc

      # From the end of one piece's edge to the beginning of the next, where they part at a corner: to a point or on
      # an arc about the corner on the wide side, straight on the tight one.
      def corner(path, index, begins, across, scale)
        there = scale.text(*begins)
        turns = path.corner_points(index, across)
        return "L#{[*turns.map { scale.text(*_1) }, there].join("L")}" if turns.empty? || path.pointed?
        radius = scale.number(across.abs)
        "A#{radius} #{radius} 0 0 #{across.positive? ? 1 : 0} #{there}"
      end

      # An arc of half a circle or more is drawn in parts: one arc of path data cannot go all round.
      def arc(piece, from, to, across, scale)
        radius = scale.number((piece.radius + (piece.sweep.positive? ? across : -across)).abs)
        parts = ((to - from) / piece.radius / 2.5).ceil
        (1..parts).map { |i|
          "A#{radius} #{radius} 0 0 #{piece.sweep.positive? ? 1 : 0} " \
          "#{scale.text(*piece.beside(from + (to - from) * i / parts, across))}"
        }.join
      end

      def crossbars(form, scale)
        return "" unless form.section.rails.size > 1
        reach = form.section.rails.last[0]
        (0...form.sections).map { |i|
          along = square(form, form.path.length * i / form.sections)
          "M#{[-reach, reach].map { scale.text(*form.path.beside(along, _1)) }.join("L")}"
        }.join
      end

      # Where a bar stands square across: there, or beside the corner that it would fall on.
      def square(form, along)
        ends = form.stretches.legs.flat_map { |leg|
          [-form.path.length, 0.0, form.path.length].map { |round| [leg.from + round, leg.to + round] }
        }
        ends.map { |from, to| along.clamp(from, to) }.min_by { (_1 - along).abs }
      end

      def hull(section, grown, scale)
        scale.points(section.front.trace(grown, step: section.girth / 24, least: 6) + section.back.trace(grown,
          step: section.girth / 24, least: 6))
      end

      def bounds(numbers)
        xs, ys = numbers.each_slice(2).to_a.transpose
        [xs.min, ys.min, xs.max, ys.max]
      end

      private_class_method :band, :beside, :mark, :part, :strand, :rail, :polygon, :start, :corner, :arc,
        :crossbars, :square, :hull, :bounds
    end
  end
end
