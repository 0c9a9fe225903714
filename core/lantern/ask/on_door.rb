# frozen_string_literal: true

module Lantern
  module Ask
    # A wreath on a door: where its drawing lies in the picture, how large it is there, and what a friend says of it.
    class OnDoor
      # @param asked [Hash] a `plan`, a `place` ({Door::Place}), `at` which pixel the middle of the form hangs, and
      #   whether it is seen from the `back`
      # @param stash [Array<Hash>] materials that are known besides the plan's own
      # @param cache [#fetch] of what was worked out before
      # @return [Hash] ready for JSON
      # @raise [Plan::Refused]
      def self.answer(asked, stash: [], cache: Cache::None)
        new(asked, Work.read(asked["plan"], cache:), stash).to_h
      end

      # @param work [Work] of the plan
      def initialize(asked, work, stash)
        @work, @plan, @stash = work, asked["plan"], stash
        @place = Door::Place.read(asked["place"] || {})
        @hung = Door::Hung.new(work, @place, at: at(asked["at"]), back: asked["back"] == true)
      end

      # @return [Hash] `matrix` from the drawing to the picture (three rows of three), the `corners` of its `box` there,
      #   `at` which pixel it hangs, `scale` pixels to an inch there, the `size` of the picture, the `panels` of a door
      #   that is drawn, its `shadow` (right, down and soft, in pixels), the `tape`, what a friend `says`, and other
      #   `sizes` and `colours` to hang beside it
      def to_h
        {"matrix" => @hung.matrix.map { |row| row.map { _1.round(9) } }, "box" => @hung.box,
         "corners" => @hung.corners.map { |corner| corner.map { _1.round(2) } }, "at" => @hung.at.map { _1.round(2) },
         "scale" => @hung.scale.round(4), "size" => @place.size, "panels" => @place.panels,
         "shadow" => @hung.shadow.map { (_1 * @hung.scale).round(2) },
         "tape" => tape, "door" => door, "says" => friend.to_a, "colours" => friend.colours,
         "sizes" => sizes.beside(@place.wide&.first)}.compact
      end

      private

      def at(pixel)
        return pixel if pixel.nil? || (pixel.is_a?(Array) && pixel.size == 2 && pixel.all?(Numeric))
        raise Plan::Refused.at("at", "Where it hangs is a pixel: how far to the right, and how far down.")
      end

      def friend = @friend ||= Door::Friend.new(@hung, sizes, known)

      def sizes = @sizes ||= Door::Sizes.new(@plan, @work, @hung.across)

      # What could be taken in the place of anything in the plan; what cannot be read of it is nothing.
      def known
        kinds = @work.plan.materials.map { _1.kind.to_s }.uniq
        @stash.select { _1["colour"] && kinds.include?(_1["kind"]) }.filter_map do |each|
          Plan::Material.check(each, units: @work.plan.units)
        rescue Plan::Refused
          nil
        end
      end

      def tape
        wide, = @place.wide
        across = wide ? "across, on a door of #{text(wide)}" : "across"
        deep = @place.gap ? "deep: there is room for #{text(@place.gap)}" : "deep"
        pay = @work.plan.money_says(@work.bill.to_h["to_pay"]&.then { BigDecimal(_1) } || @work.bill.to_buy)
        [{"figure" => text(@hung.across), "says" => across}, {"figure" => text(@hung.deep), "says" => deep},
          {"figure" => pay, "says" => "to pay"}]
      end

      def door
        wide, doubt = @place.wide
        return unless wide
        sure = doubt.zero? ? "as you said" : "give or take #{text([doubt, 1/8r].max)}"
        {"wide" => Measure::Length.in_units(wide, @work.plan.units), "says" => "#{text(wide)} wide", "sure" => sure}
      end

      def text(inches) = @hung.text(inches)
    end
  end
end
