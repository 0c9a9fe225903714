# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      # How many pieces there are, and where each sits: in one place, side by side; so far apart round the band; so many
      # a section; in every so-manieth of the form's ties; in the opening.
      class Places
        # Side by side, so much of their own size apart (from memory).
        BESIDE = 1.05

        # Which way the corners are of what it sits on: right, and down.
        CORNERS = {top_left: [-1, -1], top_right: [1, -1], bottom_left: [-1, 1], bottom_right: [1, 1]}.freeze

        # @param piece [Piece] whose options say it
        # @param form [Form::Band]
        # @param size [Numeric] across one of them
        def initialize(piece, form, size)
          @piece, @form, @size = piece, form, size
        end

        # @return [Integer]
        def count = @piece.count || @piece.fitting || 1

        # @return [String] where the number comes from
        def says = @piece.count ? "as you said" : @piece.fitting_says || "one"

        # Whether they are spread round the band, and not in one place.
        def round? = count > 1 && !middle? && @piece.said.options[:at].nil? && @piece.beneath.nil?

        # @return [Numeric] inches from one to the next, along the band
        def pitch = round? ? @form.run / count : @size * BESIDE

        # Where, in words.
        # @return [String]
        def where
          return "in the opening" if middle?
          return ties_says if @piece.every
          return "round the form, #{measured(pitch)} from one to the next, the first at 12 o’clock" if round?
          along = @piece.at.is_a?(Hash) && @piece.at[:along]
          along ? "#{measured(along)} from the start" : "at #{Form::Clock.text(hour)}"
        end

        # @return [Array<(Float, Float)>] the middle of each
        def points
          return [middle] * count if middle?
          right, down = off
          @points ||= (0...count).map { |i| @form.path.beside(along(i), across(i)).zip([right, down]).map(&:sum) }
        end

        # How each is turned: what lies crosswise goes along the band, everything else is upright.
        # @return [Array<Float>] radians
        def turns
          return [0.0] * count if !@piece.made.crosswise? || (!round? && !@piece.every)
          (0...count).map { |i| Math.atan2(*@form.path.direction(along(i)).reverse) }
        end

        # How far below the top of the inside edge it hangs.
        def drop = @piece.drop || (opening[3] - opening[1]).to_r.round(3) / 3

        # The line that it hangs by.
        def cord
          x = (opening[0] + opening[2]) / 2
          [[x, opening[1]], [x, opening[1] + drop.to_f]]
        end

        private

        # How far from the centre of what it sits on: half as wide and half as high as that is.
        def off
          ways = @piece.beneath && CORNERS[@piece.on_at] or return [0.0, 0.0]
          said = [@piece.beneath.options, *@piece.beneath.options[:parts]].find { _1[:size] } || {}
          wide = (said[:size] || @size).to_f
          ways.zip([wide, (said[:height] || wide * (said[:words] ? Parts::Item::BOARD : 1)).to_f])
            .map { |way, whole| way * whole / 2 }
        end

        def middle? = @piece.at == :middle

        # Hung on its cord, or glued across the middle.
        def middle
          x = (opening[0] + opening[2]) / 2
          [x, (@piece.cord || @piece.drop) ? opening[1] + drop.to_f : (opening[1] + opening[3]) / 2.0]
        end

        def opening = @form.opening.box

        def hour = @piece.at.is_a?(Numeric) ? @piece.at : 6.0

        def along(number)
          return (start + number * @form.path.length / count) % @form.path.length if round? && @form.closed?
          return (number + 0.5) * @form.path.length / count if round?
          place = middle_of_group + (number - (count - 1) / 2.0) * @size.to_f * BESIDE
          @form.closed? ? place % @form.path.length : place.clamp(0.0, @form.path.length)
        end

        # From twelve, clockwise; on an open form from its start.
        def start = @start ||= @form.closed? ? Form::Clock.along(@form, 12) : 0.0

        def middle_of_group
          said = @piece.at.is_a?(Hash) && @piece.at[:along]
          @middle_of_group ||= said ? (start + said.to_f) % (@form.path.length + 1e-9) : Form::Clock.along(@form, hour)
        end

        def across(number)
          return rail if @piece.every && @piece.rail
          inside, outside = sides
          return 0.0 unless inside
          ((number % (inside + outside)) < inside) ? -@form.half_face / 2 : @form.half_face / 2
        end

        def sides
          case @piece.sides
          when Hash then @piece.sides.values_at(:in, :out)
          when :alternate then [1, 1]
          end
        end

        def rails = @form.section.rails

        def rail
          number = {outer: rails.size, inner: 1}.fetch(@piece.rail) { @piece.rail.to_s.to_i }
          rails.any? ? rails.fetch(number.clamp(1, rails.size) - 1)[0] : 0.0
        end

        def ties_says
          which = "#{ordinal(@piece.every)} " unless @piece.every == 1
          "into every #{which}of the form’s #{rail_word}ties, the first at 12 o’clock"
        end

        def rail_word = {outer: "outer ", inner: "inner "}.fetch(@piece.rail, "")

        def ordinal(number) = (number == 2) ? "other" : "#{number}th"

        def measured(inches) = @piece.measured(inches)
      end
    end
  end
end
