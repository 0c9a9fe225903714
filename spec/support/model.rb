# frozen_string_literal: true

# A wreath in three dimensions, of its own: from what a drawing shows of a form (the line of its middle and the hull of
# its section) rope and strips are laid as curves of points, and measured by adding up chords. It shares no code with
# the core.
class Model
  STEP = 0.04
  # A bend sharper than this between two pieces of the middle is a corner, radians.
  SHARP = 0.02

  # A stretch of the middle between corners, as points with the way it runs there.
  Leg = Struct.new(:points, :ways)
  # Over a corner: where turns pivot, and the far edge as points.
  Fan = Struct.new(:pivot, :edge)

  attr_reader :face

  # @param form [Hash] of a worked plan's drawing
  # @param hull [Array<Float>] x and y by turns
  def initialize(form, hull, pointed:)
    @face, @pointed = form["face"], pointed
    @hull = wrapped(hull.each_slice(2).to_a)
    @strands = form["middle"].scan(/M[^M]+/).map { lines_of(_1) }
  end

  # Length of so thick a rope coiled tight inside, and how many coils; what a fan leaves open is `open` at the most.
  def coiled(thick, open)
    around = grown(thick / 2)
    laid = stretches.map do |leg, fan|
      crowded = leg_steps(leg).sum(&:min)
      count = (crowded / thick + 1e-6).floor
      over = fan ? (length(fan.edge) / (thick + open) - 1e-6).ceil : 0
      [count, over, leg_length(leg, around, count, :min), fan_length(fan, around, over)]
    end
    [laid.sum { _1[0] + _1[1] }, laid.sum { _1[2] + _1[3] }]
  end

  # Length of a strip that advances so much at the wide edge, and its turns.
  def wound(advance)
    wide = stretches.sum { |leg, fan| leg_steps(leg).sum(&:max) + (fan ? length(fan.edge) : 0) }
    turns = @strands.sum { |strand|
      own = stretches_of(strand).sum { |leg, fan| leg_steps(leg).sum(&:max) + (fan ? length(fan.edge) : 0) }
      (own / advance - 1e-6).ceil
    }
    pitch = wide / turns
    total = stretches.sum { |leg, fan|
      leg_length(leg, @hull, leg_steps(leg).sum(&:max) / pitch, :max) +
        (fan ? fan_length(fan, @hull, length(fan.edge) / pitch) : 0)
    }
    [turns, total]
  end

  # The share of the front that such coils hide, evenly laid and without fillers: looked at on a grid.
  def hidden(thick, open)
    spans = stretches.flat_map do |leg, fan|
      crowded = leg_steps(leg).map(&:min).reduce([0.0]) { |all, step| all << all.last + step }
      count = (crowded.last / thick + 1e-6).floor
      on_leg = (0...count).map { |k|
        i = crowded.bsearch_index { _1 >= (k + 0.5) / count * crowded.last } || crowded.size - 1
        [-1, 1].map { |side| beside(leg.points, side * face / 2)[i] }
      }
      next on_leg unless fan
      over = (length(fan.edge) / (thick + open) - 1e-6).ceil
      steps = fan.edge.each_cons(2).map { |a, b| away(a, b) }
      on_leg + (0...over).map { |k| [fan.pivot, along(fan.edge, steps, (k + 0.5) / over * steps.sum)] }
    end
    looks = grid
    looks.count { |point| spans.any? { |from, to| off(point, from, to) <= thick / 2 } }.fdiv(looks.size)
  end

  private

  # Points spread evenly over the legs and the wedges of the corners.
  def grid
    every = 0.17
    stretches.flat_map do |leg, fan|
      rows = (face / every).ceil
      across = (0...rows).map { -face / 2 + (_1 + 0.5) * face / rows }
      on_leg = across.flat_map { |far| spread(beside(leg.points, far), every) }
      next on_leg unless fan
      left, right = fan.edge.map(&:first).minmax
      top, bottom = fan.edge.map(&:last).minmax
      wedge = [fan.pivot, *fan.edge]
      box = ([left, fan.pivot[0]].min..[right, fan.pivot[0]].max).step(every).to_a
        .product(([top, fan.pivot[1]].min..[bottom, fan.pivot[1]].max).step(every).to_a)
      on_leg + box.select { |x, y| within?(wedge, x, y) }
    end
  end

  # Not quite evenly, lest they keep step with the coils.
  def spread(points, every)
    far = 0.0
    number = 0
    points.each_cons(2).filter_map do |a, b|
      far += away(a, b)
      next if far < every * (0.5 + (number * 0.618) % 1)
      far = 0.0
      number += 1
      b
    end
  end

  def within?(corners, x, y)
    [*corners, corners.first].each_cons(2).count { |(ax, ay), (bx, by)|
      (ay > y) != (by > y) && x < ax + (y - ay) * (bx - ax) / (by - ay)
    }.odd?
  end

  def off((x, y), (ax, ay), (bx, by))
    dx, dy = bx - ax, by - ay
    share = (((x - ax) * dx + (y - ay) * dy) / (dx**2 + dy**2)).clamp(0.0, 1.0)
    Math.hypot(ax + share * dx - x, ay + share * dy - y)
  end

  def away(a, b) = Math.hypot(a[0] - b[0], a[1] - b[1])

  def length(points) = points.each_cons(2).sum { |a, b| away(a, b) }

  # What a string pulled tight round points lies on (Andrew's monotone chain).
  def wrapped(points)
    sorted = points.uniq.sort
    [sorted, sorted.reverse].flat_map do |way|
      way.each_with_object([]) { |point, chain|
        chain.pop while chain.size > 1 && bends_in?(chain[-2], chain[-1], point)
        chain << point
      }[...-1]
    end
  end

  def bends_in?(a, b, c) = (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]) <= 1e-12

  # Path data as pieces, each of points close together.
  def lines_of(data)
    at = nil
    pieces = data.scan(/([MLAZ])([^MLAZ]*)/).filter_map do |command, numbers|
      values = numbers.scan(/-?[\d.]+(?:e-?\d+)?/).map(&:to_f)
      to = values.last(2)
      from, at = at, to unless command == "Z"
      case command
      when "L" then straight(from, to)
      when "A" then bent(from, to, values[0], values[4])
      end
    end
    pieces = pieces.reject { length(_1) < 1e-6 }
    closing = away(pieces.first.first, pieces.last.last)
    pieces << straight(pieces.last.last, pieces.first.first) if data.include?("Z") && closing > 0.001
    joined(pieces, data.include?("Z"))
  end

  def straight(from, to)
    count = (away(from, to) / STEP).ceil.clamp(1, nil)
    (0..count).map { |i| from.zip(to).map { |a, b| a + (b - a) * i / count } }
  end

  # An arc of no more than half a circle.
  def bent(from, to, radius, clockwise)
    middle = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2]
    half = away(from, to) / 2
    off = Math.sqrt([radius**2 - half**2, 0].max)
    side = clockwise.zero? ? 1 : -1
    centre = [middle[0] + side * off * (to[1] - from[1]) / (2 * half),
      middle[1] - side * off * (to[0] - from[0]) / (2 * half)]
    begins, ends = [from, to].map { Math.atan2(_1[1] - centre[1], _1[0] - centre[0]) }
    sweep = (ends - begins) % (2 * Math::PI)
    sweep -= 2 * Math::PI if clockwise.zero?
    count = (sweep.abs * radius / STEP).ceil.clamp(2, nil)
    (0..count).map { |i|
      angle = begins + sweep * i / count
      [centre[0] + radius * Math.cos(angle), centre[1] + radius * Math.sin(angle)]
    }
  end

  # Pieces that go on into one another without a corner, together.
  def joined(pieces, closed)
    runs = pieces.slice_when { |a, b| turn(a, b).abs > SHARP }
      .map { |run| run.reduce { |all, piece| all + piece.drop(1) } }
    corner = closed && turn(pieces.last, pieces.first).abs > SHARP
    if closed && !corner && runs.size > 1
      last = runs.pop
      runs[0] = last + runs[0].drop(1)
      corner = true
    end
    {runs:, closed:, corner:}
  end

  def way(a, b) = [(b[0] - a[0]) / away(a, b), (b[1] - a[1]) / away(a, b)]

  def turn(before, after)
    (ax, ay), (bx, by) = way(before[-2], before[-1]), way(after[0], after[1])
    Math.atan2(ax * by - ay * bx, ax * bx + ay * by)
  end

  # Points beside a run, so far to the outside (left of the way).
  def beside(run, across)
    run.each_index.map { |i|
      dx, dy = way(run[[i - 1, 0].max], run[[i + 1, run.size - 1].min])
      [run[i][0] + dy * across, run[i][1] - dx * across]
    }
  end

  def stretches = @stretches ||= @strands.flat_map { stretches_of(_1) }

  # Every run, cut back where its tight edge meets its neighbour's, with the fan after it.
  def stretches_of(strand)
    runs = strand[:runs]
    cuts = runs.map { [0, _1.size - 1] }
    pairs = runs.each_index.to_a.each_cons(2).to_a
    pairs << [runs.size - 1, 0] if strand[:corner]
    fans = pairs.to_h do |i, j|
      side = turn(runs[i], runs[j]).positive? ? 1 : -1
      back, ahead, pivot = meeting(beside(runs[i], -side * face / 2), beside(runs[j], -side * face / 2))
      cuts[i][1] = [cuts[i][1], back].min
      cuts[j][0] = [cuts[j][0], ahead].max
      [i, [side, back, ahead, pivot, j]]
    end
    runs.each_index.map do |i|
      from, to = cuts[i]
      [Leg.new(runs[i][from..[to, from].max]), fans[i] && fan(runs, cuts, i, *fans[i])]
    end
  end

  # Where two tight edges cross: how far back on the one, how far on on the other, and the point. The crossing nearest
  # to the corner counts.
  def meeting(before, after)
    before.each_cons(2).with_index.reverse_each do |(a, b), i|
      after.each_cons(2).with_index do |(c, d), j|
        crossing = cross(a, b, c, d)
        return [i, j + 1, crossing] if crossing
        break if j > before.size
      end
    end
    [before.size - 1, 0, before.last]
  end

  def cross(a, b, c, d)
    rx, ry, sx, sy = b[0] - a[0], b[1] - a[1], d[0] - c[0], d[1] - c[1]
    round = rx * sy - ry * sx
    return if round.abs < 1e-15
    t = ((c[0] - a[0]) * sy - (c[1] - a[1]) * sx) / round
    u = ((c[0] - a[0]) * ry - (c[1] - a[1]) * rx) / round
    [a[0] + t * rx, a[1] + t * ry] if t.between?(0, 1) && u.between?(0, 1)
  end

  def fan(runs, cuts, i, side, _back, _ahead, pivot, j)
    before, after = beside(runs[i], side * face / 2), beside(runs[j], side * face / 2)
    tip = point_between(before, after, runs[j][0])
    Fan.new(pivot, before[cuts[i][1]..] + tip + after[0..cuts[j][0]])
  end

  # Where the far edges meet in a point, or an arc about the corner.
  def point_between(before, after, corner)
    unless @pointed
      from, to = [before.last, after.first].map { Math.atan2(_1[1] - corner[1], _1[0] - corner[0]) }
      turn = (to - from + Math::PI) % (2 * Math::PI) - Math::PI
      return (1..31).map { |k|
        angle = from + turn * k / 32
        [corner[0] + face / 2 * Math.cos(angle), corner[1] + face / 2 * Math.sin(angle)]
      }
    end
    (dx, dy), (ex, ey) = way(before[-2], before[-1]), way(after[1], after[0])
    a, b = before.last, after.first
    round = dx * ey - dy * ex
    far = ((b[0] - a[0]) * ey - (b[1] - a[1]) * ex) / round
    [[a[0] + dx * far, a[1] + dy * far]]
  end

  # How long both edges are, step by step.
  def leg_steps(leg)
    @leg_steps ||= {}.compare_by_identity
    @leg_steps[leg] ||= begin
      edges = [face / 2, -face / 2].map { beside(leg.points, _1).each_cons(2).map { |a, b| away(a, b) } }
      edges[0].zip(edges[1])
    end
  end

  # The curve round the hull, so much outside it.
  def grown(by)
    middle = @hull.transpose.map { _1.minmax.sum / 2 }
    spin = @hull.each_index.sum { |i|
      (ax, ay), (bx, by_) = [@hull[i - 1], @hull[i]].map { |x, y| [x - middle[0], y - middle[1]] }
      ax * by_ - ay * bx
    }
    out = spin.positive? ? 1 : -1
    @hull.each_index.flat_map do |i|
      ways = [[@hull[i - 1], @hull[i]], [@hull[i], @hull[(i + 1) % @hull.size]]].map { |a, b| way(a, b) }
      normals = ways.map { |dx, dy| Math.atan2(-dx * out, dy * out) }
      turn = (normals[1] - normals[0] + Math::PI) % (2 * Math::PI) - Math::PI
      (0..6).map { |k|
        angle = normals[0] + turn * k / 6
        [@hull[i][0] + by * Math.cos(angle), @hull[i][1] + by * Math.sin(angle)]
      }
    end
  end

  # So many turns along a leg, pressed together on one of its edges: the length of all their chords.
  def leg_length(leg, around, count, edge)
    return 0.0 if count <= 0 || leg.points.size < 2
    far = leg_steps(leg).reduce([0.0]) { |all, step| all << all.last + step.public_send(edge) }
    closed = [*around, around.first].each_cons(2).flat_map { |a, b| straight(a, b)[...-1] } + [around.first]
    shares = closed.each_cons(2).reduce([0.0]) { |all, (a, b)| all << all.last + away(a, b) }
    shares = shares.map { _1 / shares.last }
    at = 0
    before = nil
    total = 0.0
    (0..count.ceil).each do |turn|
      closed.each_index do |i|
        wanted = (turn + shares[i]) / count * far.last
        break if wanted > far.last + 1e-9
        at += 1 while at < far.size - 2 && far[at + 1] < wanted
        share = ((wanted - far[at]) / [far[at + 1] - far[at], 1e-12].max).clamp(0.0, 1.0)
        x, y = leg.points[at].zip(leg.points[at + 1]).map { |a, b| a + (b - a) * share }
        dx, dy = way(leg.points[at], leg.points[at + 1])
        across, deep = closed[i]
        here = [x + dy * across, y - dx * across, deep]
        total += Math.sqrt(here.zip(before).sum { |a, b| (a - b)**2 }) if before
        before = here
      end
    end
    total
  end

  # So many turns over a corner: each from the pivot to the far edge, the section as much wider as that is.
  def fan_length(fan, around, count)
    return 0.0 if fan.nil? || count <= 0
    looks = 48
    steps = fan.edge.each_cons(2).map { |a, b| away(a, b) }
    far = (0...looks).map { |k| away(fan.pivot, along(fan.edge, steps, (k + 0.5) / looks * steps.sum)) }
    closed = around + [around.first]
    each = far.map { |reach| length(closed.map { |x, y| [wider(x, reach), y] }) }
    count * each.sum / looks
  end

  # Only what lies across the face is wider: the edges turn round as they do elsewhere.
  def wider(across, reach)
    inside = across.clamp(-face / 2, face / 2)
    inside * [reach / face, 1].max + across - inside
  end

  def along(points, steps, left)
    points.each_cons(2).zip(steps) do |(a, b), step|
      return a.zip(b).map { |p, q| p + (q - p) * left / step } if left <= step && step.positive?
      left -= step
    end
    points.last
  end
end
