# frozen_string_literal: true

module Lantern
  module Door
    # What a friend says who sees a wreath on a door: whether it is lost on it, whether it stands out, whether there is
    # room for it, whether the hook holds it, and what is seen from behind.
    class Friend
      # A difference of colours (CIEDE2000) below which a wreath is hardly to be seen across a street, and above which
      # it stands out well (both from memory: held against twelve doors).
      HARDLY, WELL = 12, 25

      # @param hung [Hung]
      # @param sizes [Sizes]
      # @param stash [Array<Plan::Material>] what else there is
      def initialize(hung, sizes, stash)
        @hung, @sizes, @stash = hung, sizes, stash
        @place, @work = hung.place, hung.work
      end

      # @return [Array<Hash>] `code`, `says`, `well` where nothing is wrong, `more` behind it, and what would do: a
      #   `form`, `layers` with the options that change, a layer to `add`
      def to_a = [size, colour, room, hook, behind].compact

      # The same wreath of another material than the one of which most is seen, so as the stash has one.
      # @return [Array<Hash>] two at most: what it `says` and the `layers` with the option that changes
      def colours
        others.uniq { _1[:material].colour }.first(2).map { {"says" => _1[:material].name, "layers" => _1[:layers]} }
      end

      private

      def size
        wide, = @place.wide
        return unless wide
        share = @hung.across / wide
        across, of = "#{text(@hung.across)} across", "#{Measure::Words.percent(share)} of this door’s width"
        more = "A third to a half looks right (from memory)."
        small, large = share < Sizes::LEAST * 0.95, share > Sizes::MOST * 1.05
        return said("size", "#{across} is #{of}: it sits well.", well: true, short: "sits well", more:) unless
          small || large
        other = small ? @sizes.to(wide * Sizes::LEAST, :ceil) : @sizes.to(wide * Sizes::MOST, :floor)
        said("size", "#{across} is #{of}: #{small ? "it is lost on it" : "it is too much for it"}.",
          short: small ? "lost on it" : "too much", more:,
          form: other && other["form"], do: other && "Make it #{other["says"]}")
      end

      def colour
        return unless @place.paint
        apart = seen.apart(paint) or return
        more = "Where black and white are 100 apart, its colours and the paint are #{apart.round} apart: less than " \
          "#{HARDLY} is hardly to be seen from across the street, #{WELL} and more stands out (from memory)."
        return said("colour", "It stands out well from this colour.", well: true, more:) if apart >= WELL
        return said("colour", "It can be seen against this colour, though it does not stand out.", well: true, more:) if
          apart >= HARDLY
        said("colour", "Against this colour it is hardly to be seen.", more:, **brighter(apart))
      end

      # The one of the others that stands out most, where it stands out more.
      def brighter(apart)
        best = others.first
        return {} unless best && best[:apart] > [apart, HARDLY].max
        {do: "Take #{best[:material].name}", layers: best[:layers]}
      end

      # Materials like the one of which most is seen, in its place: those that stand out most first.
      def others
        @others ||= begin
          main = @work.plan.material(seen.most)
          named = main ? @work.layers.select { _1.said.material == main.id } : []
          alike = named.any? ? [*@work.plan.materials, *@stash].select { alike?(_1, main) } : []
          alike.map { |material|
            {material:, apart: seen.apart(paint, {main.id => material}) || 0.0,
             layers: named.to_h { [_1.id, {"material" => material.id}] }}
          }.sort_by { -_1[:apart] }
        end
      end

      def seen = @seen ||= Colours.new(@work)

      # Of a door whose colour nobody knows: grey.
      def paint = @paint ||= Measure::Colour.of(@place.paint || "#808080")

      def alike?(other, main)
        other.id != main.id && other.kind == main.kind && other.colour && other.colour != main.colour &&
          other.width == main.width && other.diameter == main.diameter
      end

      def room
        return unless @place.gap
        deep, gap = text(@hung.deep), text(@place.gap)
        return said("room", "It stands #{deep} out from the door, and there is room for #{gap}.", well: true) if
          @hung.deep <= @place.gap + Hung::EIGHTH
        said("room", "It stands about #{deep} out from the door; before the storm door there is room for #{gap}: it " \
          "would be pressed flat, or keep the door from closing.",
          more: "The band with its covering; loops, knots and folds as far as they reach beyond the form, a bow half " \
            "as far as its loops are long (from memory).")
      end

      def hook
        return unless @place.holds && @hung.weighs.positive?
        return unless @hung.weighs > @place.holds
        said("hook",
          "What is fixed on it alone weighs #{@hung.weighs.round} g; the hook holds #{@place.holds.round} g.",
          more: "The form and its covering come to that: put the whole wreath on a kitchen scale.")
      end

      def behind
        return unless @place.glass?
        backs = @work.layers.grep(Hang::Backing)
        if backs.any?
          return said("behind", "Through the glass its back is seen: #{backs.first.material.name}.", well: true)
        end
        cloth = @work.plan.materials.find { Hang::Backing.takes.include?(_1.kind) && _1.sheets? }
        add = cloth && {"method" => "backing", "material" => cloth.id}
        said("behind", "Through the glass its back is seen, and nothing covers it.", add:, do: add && "Cover its back")
      end

      def said(code, says, well: false, **more)
        {"code" => code, "says" => says, "well" => well, **more.compact.transform_keys(&:to_s)}
      end

      def text(inches) = @hung.text(inches)
    end
  end
end
