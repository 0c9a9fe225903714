# frozen_string_literal: true

module Lantern
  module Form
    # Two or more forms, placed, turned and mirrored into a new one: two canes crossed and tied make a heart, a ring
    # lies on a ring. Each may have a base and a face of its own. What is cut off an open part is not covered.
    class Composite < Shape
      # Two canes, hooks inward, their sticks crossing below.
      CANES = [
        {"shape" => "cane", "width" => "8 in", "height" => "18 in", "x" => "-0.4 in", "turn" => -35,
         "cut_start" => "2 in"},
        {"shape" => "cane", "width" => "8 in", "height" => "18 in", "x" => "0.4 in", "turn" => 35, "mirror" => true,
         "cut_start" => "2 in"}
      ].freeze
      MOST = MOST_PARTS

      shape :composite, title: "Joined forms", typical: {face: 1.5, parts: CANES}
      size :face, label: "Face", help: "Across the band of every part that says none of its own, from edge to edge."
      sizes << Reader::CORNERS

      # A part's own sizes; its place is the middle of the part, from the middle of the whole, right
      # and down.
      class PartReader < Plan::Field
        COMMON = [
          Plan::Field::Length.new(:x, signed: true, zero: true, most: 240, default: 0r, label: "To the right",
            help: "Of the middle; with a minus, to the left."),
          Plan::Field::Length.new(:y, signed: true, zero: true, most: 240, default: 0r, label: "Down",
            help: "Of the middle; with a minus, up."),
          Plan::Field::Number.new(:turn, least: -360.0, most: 360.0, default: 0.0, label: "Turned",
            help: "Degrees, clockwise."),
          Plan::Field::Switch.new(:mirror, default: false, label: "Mirrored"),
          Plan::Field::Switch.new(:over, default: false, label: "Lies on the parts before it",
            help: "Glued on, not tied beside them."),
          Plan::Field::Reference.new(:material, kinds: %i[form], label: "This part itself"),
          Plan::Field::Length.new(:cut_start, zero: true, most: 240, default: 0r, label: "Cut off its first end"),
          Plan::Field::Length.new(:cut_end, zero: true, most: 240, default: 0r, label: "Cut off its other end")
        ].freeze

        def read(value, at, reading)
          unless value.is_a?(Hash)
            return reading.refuse(at, "A part must be an object with named fields; #{reading.quote(value)} is none.")
          end
          Record.new(name, fields: fields_for(value), label:).read(value, at, reading)&.merge(at:)
        end

        # @return [Array<Plan::Field>] what a part of this shape is made of
        def fields_for(value)
          shape = value.is_a?(Hash) ? PartReader.shapes.find { |name, _| name.to_s == value["shape"] } : nil
          choice = Choice.new(:shape, choices: -> { PartReader.shapes.transform_values(&:title) }, required: true,
            label: "Shape")
          own = shape ? shape.last.sizes.reject { %i[face corners].include?(_1.name) } : []
          own += [FACE] unless own.any? { _1.name == :outside }
          base = Base::FIELDS.find { |name, _| value.is_a?(Hash) && name.to_s == value["base"] }
          [choice, *own, BASE, *base&.last, *COMMON]
        end

        FACE = Plan::Field::Length.new(:face, label: "Face of its own", default_says: "as the others")
        BASE = Plan::Field::Choice.new(:base, choices: Base::TITLES, label: "Base of its own",
          default_says: "as the others")

        def self.shapes = Form.shapes.except(:composite)

        private

        def limits = {"fields" => [FACE, BASE, *COMMON].map(&:declare)}
      end

      sizes << Plan::Field::List.new(:parts, least: 2, most: MOST, of: PartReader.new(:part, label: "A part"),
        label: "Parts", default_says: "two canes that make a heart")

      # Ends nearer than this share of the face to another part are tied to it (from memory).
      NEAR = 1.0
      # Where two parts cross is looked for among so many stretches of each.
      MOST_STRETCHES = 400
      private_constant :MOST_STRETCHES

      # The widest of them, where they differ.
      def face = @face ||= placed.map(&:face).max

      # Its parts, each as a form of its own.
      # @return [Array<Band>]
      def members
        placed.zip(said).map do |part, own|
          base = own[:base] ? own : sizes.merge(own.slice(:face))
          Band.new(base: base[:base], shape: own[:shape], path: part.path, face: part.face,
            section: Base.section(base, part.face, units: @units), sections: base[:sections] || 1, ties: base[:ties],
            measured: measured.slice(:girth))
        end
      end

      def check
        face
        placed.each do |part|
          next unless placed.any? { |other| !other.equal?(part) && other.over == part.over && same?(other, part) }
          refuse_part(part, :width, "The parts need a place of their own; this one lies exactly on another. One that " \
            "is glued on top is said to lie over the others.")
        end
        if measured.keys.any? { _1 != :girth }
          refuse("measured",
            "The runs of joined forms are not measured all at once; measure each part. Only the girth can be.")
        end
      end

      def path = @path ||= Joined.new(placed.map(&:path))

      def dimensions
        reaches = placed.map { _1.path.reach(_1.face / 2) }.transpose
        left, top, right, bottom = reaches[0].min, reaches[1].min, reaches[2].max, reaches[3].max
        [{about: "form.width", from: [left, bottom], to: [right, bottom], length: right - left, follows: true},
          {about: "form.height", from: [right, top], to: [right, bottom], length: bottom - top, follows: true}]
      end

      def findings
        [(note("tie_parts", "#{tying}#{taping}.") unless said.any? { _1[:over] } && ties.empty?),
          (note("glue_parts", "What lies on top is glued on at the seam, when both are covered.") if
            said.any? { _1[:over] }),
          *(if saved.positive?
              note("saved_by_cutting", "Cutting the ends off saves #{text(saved)} of length, " \
                "#{(100 * saved / (saved + path.length)).round} % of the covering.")
            end)].compact
      end

      def preparing
        [("Cut the ends off: #{text(saved)} altogether. File or tape them." if saved.positive?),
          ("Lay the parts as drawn and tie them where they meet, in #{places(ties.size)}." if ties.any?)].compact
      end

      # Where parts cross, or where an end of one lies on another.
      # @return [Array<(Float, Float)>]
      def ties
        @ties ||= placed.reject(&:over).combination(2)
          .flat_map { |one, other| crossings(one, other) + touching(one, other) + touching(other, one) }
          .each_with_object([]) { |point, kept| kept << point if kept.none? { near?(_1, point) } }
      end

      def joints = ties.size

      # The outside edges of what lies on top.
      def seams = placed.select(&:over).map { [_1.path, _1.face / 2] }.then { _1.empty? ? nil : _1 }

      # Run that is cut away, inches.
      def saved = placed.sum { _1.whole - _1.path.length }

      private

      def tying
        return "The parts do not meet anywhere: nothing holds them together" if ties.empty?
        "The parts meet in #{places(ties.size)}: tie each with wire or three cable ties"
      end

      def taping
        return unless cut_ends.positive?
        ", and tape over the #{(cut_ends == 1) ? "cut end" : "#{cut_ends} cut ends"}"
      end

      # One part in its place: its path, and how long it was before it was cut.
      Placed = Value.define(:path, :whole, :cut, :at, :face, :over)
      private_constant :Placed

      # What a maker said of the parts, or the two canes that are meant when nothing is said.
      def said
        return sizes[:parts] if sizes[:parts].any?
        reading = Plan::Reading.new(units: "in")
        CANES.map { PartReader.new(:part).read(_1, "form.parts", reading).merge(at: nil) }
      end

      def placed
        @placed ||= said.map do |part|
          shape = shape_of(part)
          whole = shape.path
          from, to = part.values_at(:cut_start, :cut_end).map(&:to_f)
          if whole.closed? && from + to > 0
            refuse_part(part, :cut_start,
              "There is nothing to cut off the end of a closed #{Form.shapes[part[:shape]].title.downcase}.")
          end
          if from + to >= whole.length
            refuse_part(part, :cut_start,
              "Cutting off #{text(from + to)} leaves nothing of a part #{text(whole.length)} long.")
          end
          kept = (from + to).zero? ? whole : whole.shortened(from, to)
          Placed.new(path: kept.placed(x: part[:x].to_f, y: part[:y].to_f, turn: part[:turn] * Math::PI / 180,
            mirror: part[:mirror]), whole: whole.length, cut: [from, to].count(&:positive?), at: part[:at],
            face: shape.face, over: part[:over])
        end
      end

      # What every part is across that says nothing of its own.
      def common_face = @common_face ||= sizes[:face] || girth_face

      def shape_of(part)
        klass = Form.shapes.fetch(part[:shape])
        usual = klass.sizes.to_h { [_1.name, _1.default] }
        across = part[:face] || common_face
        raise_unknown unless across || part[:shape] == :ring
        shape = klass.new({**usual, **sizes.slice(:base, :corners), **part.compact, face: across, shape: part[:shape],
          measured: nil}, units: @units)
        shape.check
        shape
      rescue Plan::Refused => refused
        raise refused if refused.problems.any? { _1.at.start_with?("form.parts") }
        raise Plan::Refused.new(refused.problems.map { |problem|
          Problem::Entry.new(
            at: problem.at.sub("form", part[:at] || "form"), says: problem.says
          )
        })
      end

      def same?(one, other) = one.path.pieces.size == other.path.pieces.size &&
        [0.0, 0.3].all? { |share|
          one.path.at(share * one.path.length).zip(other.path.at(share * other.path.length))
            .all? { |a, b| (a - b).abs < 1e-6 }
        }

      def crossings(one, other)
        sides = [one, other].map { stretches(_1) }
        sides[0].flat_map { |a, b| sides[1].filter_map { |c, d| Crossing.point(a, b, c, d) } }
      end

      # Free ends of one that lie on the other.
      def touching(one, other)
        return [] if one.path.closed?
        beside = stretches(other)
        face = [one.face, other.face].max
        [one.path.at(0), one.path.at(one.path.length)]
          .select { |point| beside.any? { |a, b| apart(point, a, b) <= face * NEAR } }
      end

      # A part's middle as straight stretches, short beside its face, but no more than so many.
      def stretches(part) =
        part.path.trace(0.0, step: [part.face / 8, part.path.length / MOST_STRETCHES].max).each_cons(2).to_a

      # How far a point lies from a stretch.
      def apart((x, y), (ax, ay), (bx, by))
        dx, dy = bx - ax, by - ay
        square = dx * dx + dy * dy
        share = square.zero? ? 0 : (((x - ax) * dx + (y - ay) * dy) / square).clamp(0, 1)
        Math.hypot(ax + share * dx - x, ay + share * dy - y)
      end

      def near?((x, y), (other_x, other_y)) = Math.hypot(other_x - x, other_y - y) < face

      def cut_ends = placed.sum(&:cut)

      def places(count) = (count == 1) ? "one place" : "#{count} places"

      def refuse_part(part, key, says)
        at = part.is_a?(Hash) ? part[:at] : part.at
        raise Plan::Refused.at([at || "form.parts", (key if at)].compact.join("."), says)
      end

      def raise_unknown = refuse("face", "Face is missing; a string round the band would do as well.")
    end
  end
end
