# frozen_string_literal: true

require_relative "transform"

module Server
  module Svg
    # Reads the path data of SVG (`M0 0 L10 0 A5 5 0 0 1 10 10 Z`) as points along it: straight lines
    # by their ends, curves and arcs in so many steps.
    # Source: Scalable Vector Graphics (SVG) 1.1, chapter 8 and appendix F.6 (arcs).
    class PathData
      # Raised for what is no path data; says where it stops making sense.
      Unreadable = Class.new(StandardError)

      # Steps to a curve; an arc takes as many to a quarter of a circle.
      STEPS = 40
      # An arc of a smaller radius is as good as a straight line.
      SMALLEST = 1e-9

      TOKEN = /[MmLlHhVvCcSsQqTtAaZz]|#{Transform::NUMBER}/
      TAKES = {"M" => 2, "L" => 2, "H" => 1, "V" => 1, "C" => 6, "S" => 4, "Q" => 4, "T" => 2, "A" => 7, "Z" => 0}
        .freeze

      # @return [Array<Array<(Float, Float)>>] each subpath as its points
      # @raise [Unreadable]
      def self.read(text) = new(text).subpaths

      attr_reader :subpaths

      def initialize(text)
        @subpaths = []
        @at = @begin = [0.0, 0.0]
        commands(text) { |letter, given| follow(letter, given) }
      end

      private

      # Yields every command with its numbers; a command goes on for as long as numbers follow.
      def commands(text)
        tokens = flags_apart(text).scan(TOKEN)
        until tokens.empty?
          letter = tokens.shift
          raise Unreadable, "a number stands where a command should" unless letter.match?(/[A-Za-z]/)
          takes = TAKES.fetch(letter.upcase)
          loop do
            given = tokens.shift(takes)
            if given.size < takes || given.any? { _1.match?(/\A[A-Za-z]\z/) }
              raise Unreadable, "“#{letter}” lacks a number"
            end
            numbers = given.map(&:to_f)
            raise Unreadable, "a number is larger than any drawing" if numbers.any? { _1.abs > Transform::LARGEST }
            yield letter, numbers
            letter = {"M" => "L", "m" => "l"}.fetch(letter, letter)
            break if takes.zero? || tokens.empty? || tokens.first.match?(/\A[A-Za-z]\z/)
          end
        end
      end

      # The two flags of an arc may stand without spaces: `a5 5 0 0110 10`.
      def flags_apart(text)
        text.gsub(/[Aa][^A-DF-Za-df-z]*/) do |arc|
          number = Transform::NUMBER
          between, flag = "[\\s,]*", "([01])[\\s,]*"
          radii_and_turn = "(#{number}#{between})(#{number}[\\s,]+)(#{number}[\\s,]+)"
          arc.gsub(/#{radii_and_turn}#{flag}#{flag}(#{number}#{between})(#{number})/) { $~.captures.join(" ") }
        end
      end

      def follow(letter, given)
        kind = letter.upcase
        given = absolute(kind, given) if letter != kind
        case kind
        when "M" then @subpaths << [@at = @begin = given]
        when "L" then line(given)
        when "H" then line([given[0], @at[1]])
        when "V" then line([@at[0], given[0]])
        when "C" then curve(*given.each_slice(2))
        when "S" then curve(reflected("CS"), *given.each_slice(2))
        when "Q" then quadratic(*given.each_slice(2))
        when "T" then quadratic(reflected("QT"), given)
        when "A" then arc(*given)
        when "Z" then @at = @begin
        end
        @last = kind
      end

      def absolute(kind, given)
        x, y = @at
        case kind
        when "H" then [given[0] + x]
        when "V" then [given[0] + y]
        when "A" then given.first(5) + [given[5] + x, given[6] + y]
        else given.each_slice(2).flat_map { |dx, dy| [x + dx, y + dy] }
        end
      end

      # A subpath that goes on after it was closed begins anew where it began.
      def add(points)
        raise Unreadable, "it does not begin with “M”" if @subpaths.empty?
        @subpaths << [@begin] if @last == "Z"
        @subpaths.last.concat(points)
        @at = points.last
      end

      def line(to) = add([to])

      def reflected(after)
        return @at unless @handle && after.include?(@last.to_s)
        [2 * @at[0] - @handle[0], 2 * @at[1] - @handle[1]]
      end

      def curve(one, two, to)
        from = @at
        add((1..STEPS).map { |step|
          t = step.fdiv(STEPS)
          u = 1 - t
          [0, 1].map { |axis|
            u**3 * from[axis] + 3 * u**2 * t * one[axis] + 3 * u * t**2 * two[axis] + t**3 *
            to[axis]
          }
        })
        @handle = two
      end

      def quadratic(handle, to)
        from = @at
        curve(*[from, to].map { |point| [0, 1].map { |axis| point[axis] + (handle[axis] - point[axis]) * 2 / 3 } }, to)
        @handle = handle
      end

      # From ends to centre, as appendix F.6.5 has it.
      def arc(rx, ry, tilt, large, sweep, x, y)
        from, to = @at, [x, y]
        rx, ry = rx.abs, ry.abs
        return line(to) if [rx, ry].min < SMALLEST || from == to
        cos, sin = Math.cos(tilt * Math::PI / 180), Math.sin(tilt * Math::PI / 180)
        dx, dy = (from[0] - x) / 2, (from[1] - y) / 2
        px, py = cos * dx + sin * dy, -sin * dx + cos * dy
        grow = Math.sqrt([1, (px / rx)**2 + (py / ry)**2].max)
        rx *= grow
        ry *= grow
        rest = [(rx * ry)**2 - (rx * py)**2 - (ry * px)**2, 0].max / ((rx * py)**2 + (ry * px)**2)
        factor = Math.sqrt(rest) * ((large == sweep) ? -1 : 1)
        cx, cy = factor * rx * py / ry, -factor * ry * px / rx
        start = Math.atan2((py - cy) / ry, (px - cx) / rx)
        turn = (Math.atan2((-py - cy) / ry, (-px - cx) / rx) - start) % (2 * Math::PI)
        turn -= 2 * Math::PI if sweep.zero?
        middle = [cos * cx - sin * cy + (from[0] + x) / 2, sin * cx + cos * cy + (from[1] + y) / 2]
        steps = (turn.abs / (Math::PI / 2) * STEPS).ceil.clamp(1, 4 * STEPS)
        points = (1..steps).map do |step|
          angle = start + turn * step / steps
          ex, ey = rx * Math.cos(angle), ry * Math.sin(angle)
          [middle[0] + cos * ex - sin * ey, middle[1] + sin * ex + cos * ey]
        end
        add(points[0..-2] + [to])
      end
    end
  end
end
