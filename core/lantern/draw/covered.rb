# frozen_string_literal: true

module Lantern
  module Draw
    # How much of what a covering means to close is hidden from the front, and where a maker would see it bare: from
    # where its pieces really lie, and from nothing else.
    class Covered
      # Looked at in rows a tenth of the strip apart, but no finer than the form's height in so many.
      STEPS = 10
      MOST_ROWS = 500
      # A bare place narrower than this nobody sees, inches (from memory).
      UNSEEN = 1 / 16.0
      # More bare places than this are told together.
      MANY = 9
      # What hides less of a form than this does not cover it, even where nobody looks for bare places (from memory).
      LEAST = 0.4

      # A place where the form shows: how wide, in the middle of what, and where that is said to be.
      Patch = Value.define(:wide, :at, :where, :corner) do
        def to_h(scale) = {"key" => where.tr(" ", "_"), "where" => where, "wide" => scale.number(wide),
                           "at" => scale.point(at)}
      end

      # @param layer [Layer] one that closes something
      def initialize(layer)
        @layer = layer
        @form = layer.form
      end

      # @return [Float, nil] the share that is hidden, 0..1; nil where it does not mean to close anything
      def share = @share ||= (hidden if closes?)

      # @return [Array<Patch>] wider than the covering accepts, the widest first
      def places
        return [] unless closes? && @layer.accepts
        @places ||= bare.places(seen).filter_map { |stretches| place(stretches) }
          .sort_by { |each| [-each.wide, each.at] }
      end

      # What lies on a covering is looked at on so many lines.
      FEW_LINES = 40

      # Looks, once, and forgets the lines it looked along, but for what it found bare.
      # @return [self]
      def settle
        share
        places
        @large, @high = whole.area, height if @whole
        @whole = @box = nil
        self
      end

      # Whether it is looked at on all of a form's front.
      # @param form [Form::Band]
      def whole_of?(form) = closed.equal?(form.areas)

      # The share that is hidden when other things lie on it, too.
      # @param patches [Array<Place::Stroke, Place::Polygon>] what they lie over
      # @return [Float] 0..1
      def share_with(patches)
        return share if patches.empty? || @large.nil? || @large.zero?
        coarse = bare.every([(@high / FEW_LINES / step).floor, 1].max)
        left = coarse.less(Rows.of_patches(patches, coarse.step))
        (share + (coarse.area - left.area) / @large).clamp(0.0, 1.0)
      end

      # How many bytes it takes, about (from memory).
      def bytes = 1_000 + 300 * places.size + (@bare&.bytes || 0)

      # @return [Plan::Finding, nil] what a maker would see bare, the widest place first, and the change that mends it
      def finding(units)
        return hardly_covered if closes? && @layer.accepts.nil? && share < LEAST
        widest = places.first or return
        mend, change = @layer.mend(widest.corner)
        others = places.size - 1
        shows = "#{Measure::Length.text(widest.wide, units:)} of the form shows"
        says = if others > MANY
          "In #{places.size} places the form shows, most #{widest.where}, " \
            "#{Measure::Length.text(widest.wide, units:)}: #{mend}."
        else
          "#{Measure::Words.sentence(widest.where)} #{shows}" \
            "#{", and at #{Measure::Words.count(others, "more place")}" if others.positive?}: #{mend}."
        end
        Plan::Finding.new(level: :warn, code: "bare", says:, at: "outside", try: change)
      end

      private

      # What bunches or stands out need not lie over everything; but no maker calls so little done.
      def hardly_covered
        Plan::Finding.new(level: :warn, code: "bare", at: "outside",
          says: "Only #{(share * 100).round} % of the form is hidden: more of them, or closer together, cover it.")
      end

      def closes? = !closed.nil?

      # What it means to close.
      def closed = @closed ||= @layer.closes

      def hidden
        return 1.0 if @layer.in_place.all?(Place::Lie::Wash)
        area = whole.area
        area.zero? ? 1.0 : (1 - bare.area / area).clamp(0.0, 1.0)
      end

      def whole
        @whole ||= closed.map { |area|
          Rows.of_outlines(area.filled, step).less(Rows.of_outlines(area.open, step))
        }.reduce(:and)
      end

      def bare = @bare ||= whole.less(Rows.of_patches(@layer.in_place.flat_map { _1.covers(:front) }, step))

      def step
        @step ||= [@layer.in_place.map(&:width).min.to_f / STEPS, height / MOST_ROWS].max
      end

      def height = box[3] - box[1]

      def box
        @box ||= begin
          xs, ys = closed.flat_map(&:filled).flatten(1).transpose
          [xs.min, ys.min, xs.max, ys.max]
        end
      end

      # From the moments of its stretches: how far it reaches across its longer way.
      def place(stretches)
        area = stretches.sum { _3 - _2 }
        return if narrow?(stretches, area)
        middle_x = stretches.sum { (_3 - _2) * (_2 + _3) / 2 } / area
        middle_y = stretches.sum { (_3 - _2) * _1 } / area
        across = across_of(stretches, middle_x, middle_y)
        ends = stretches.flat_map { |y, from, to| [from, to].map { [_1 - middle_x, y - middle_y] } }
        off, far = [across, [-across[1], across[0]]].map { |ax, ay|
          ends.map { |x, y| x * ax + y * ay }.minmax.then { _2 - _1 }
        }
        wide = [off, 2 * area * step / [far, step].max].min
        return if wide <= seen
        named([middle_x, middle_y], wide)
      end

      # Whether it can be no wider than what nobody sees: what is as long as its box has no more across it.
      def narrow?(stretches, area)
        high = stretches.last[0] - stretches.first[0]
        wide = stretches.map(&:last).max - stretches.map { _1[1] }.min
        2 * area * step / [high, wide, step].max <= seen
      end

      # The widest that is taken for closed.
      def seen = @seen ||= [@layer.accepts, UNSEEN].max + step

      # The way across it, of length one: that in which it spreads least.
      def across_of(stretches, middle_x, middle_y)
        xx = xy = yy = 0.0
        stretches.each do |y, from, to|
          wide, x = to - from, (from + to) / 2 - middle_x
          xx += wide * (x**2 + wide**2 / 12)
          xy += wide * x * (y - middle_y)
          yy += wide * ((y - middle_y)**2 + step**2 / 12)
        end
        along = Math.atan2(2 * xy, xx - yy) / 2
        [-Math.sin(along), Math.cos(along)]
      end

      # Where a maker would look for it: at which corner, or at which edge and hour.
      def named(at, wide)
        corner = corners.find { |x, y| Math.hypot(x - at[0], y - at[1]) < @form.face * 0.75 + wide }
        says = corner ? "at the point at #{hour(corner)}" : "#{edge(at)} at #{hour(at)}"
        Patch.new(wide:, at:, where: says, corner: !corner.nil?)
      end

      def corners = @corners ||= @form.stretches.fans.flat_map { |fan| [fan.at(0.5), fan.pivot] }

      def edge(at)
        spans = (0..EDGES).map { @form.stretches.span(@form.stretches.wide * _1 / EDGES) }
        near = spans.min_by { |span| Math.hypot(*span.at(0.5).zip(at).map { _1 - _2 }) }
        inner, outer = [near.inner, near.outer].map { |x, y| Math.hypot(x - at[0], y - at[1]) }
        return "outside" if outer < inner * 0.6
        (inner < outer * 0.6) ? "inside" : "on the face"
      end

      EDGES = 120
      private_constant :EDGES

      def hour(at)
        left, top, right, bottom = @form.path.box
        turn = Math.atan2(at[0] - (left + right) / 2, (top + bottom) / 2 - at[1]) % (2 * Math::PI)
        Form::Clock.text((turn * 6 / Math::PI).round % 12)
      end
    end
  end
end
