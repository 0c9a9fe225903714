# frozen_string_literal: true

module Lantern
  module Door
    # The same wreath larger and smaller, its band as wide as before.
    class Sizes
      # From a third to a half of a door's width looks right (from memory).
      LEAST, MOST = 1/3r, 1/2r
      # What is tried where nobody knows how wide the door is.
      OTHERWISE = [3/4r, 4/3r].freeze
      # What differs by less is no other size; by so little of a step, no other step: that is how thick a ribbon is.
      ALIKE, SLACK = 0.1, 0.1
      # Forms come by the inch, or by two centimetres (common practice).
      STEPS = {"in" => 1r, "cm" => 2 / 2.54r}.freeze

      # @param document [Hash] a plan
      # @param work [Work] the same, read
      # @param across [Float] how wide it is, in inches
      def initialize(document, work, across)
        @document, @work, @across = document, work, across
      end

      # @param wide [Numeric, nil] how wide the door is, in inches
      # @return [Array<Hash>] at most one that is smaller and one that is larger: its `form`, as a plan has it, and how
      #   wide that `says` it is
      def beside(wide)
        sizes = wide ? [LEAST, MOST].map { wide * _1 } : OTHERWISE.map { @across * _1 }
        # No smaller than the least, no larger than the most.
        sizes.zip(%i[ceil floor]).reject { |size, _| (size / @across - 1).abs < ALIKE }.filter_map { to(*_1) }
      end

      # @param size [Numeric] inches across, with everything on it
      # @param rounded [Symbol] to the next form that there is: `:ceil` or `:floor`
      # @return [Hash, nil] nil where there is no such form, or it is as large already
      def to(size, rounded)
        return unless sized
        # What sticks out beyond the form does so at any size.
        form = @work.plan.form.sizes[sized].to_f
        slack = (rounded == :ceil) ? -SLACK : SLACK
        grown = ((form + size - @across) / step + slack).public_send(rounded) * step
        return if grown <= 0 || (grown - form).abs < step / 2
        changed = scaled(grown.to_r / form.to_r)
        Work.read(@document.merge("form" => changed)).layers
        {"says" => Measure::Length.text(grown, units: units), "form" => changed}
      rescue Plan::Refused
        nil
      end

      private

      def units = @work.plan.units

      def step = STEPS.fetch(units)

      def sized = @sized ||= %i[outside width].find { @work.plan.form.sizes[_1] }

      def scaled(factor)
        sizes = @work.plan.form.sizes
        changed = %i[width height run outside].filter_map { |name| [name, sizes[name] * factor] if sizes[name] }.to_h
        changed[:inside] = changed[:outside] - (sizes[:outside] - sizes[:inside]) if sizes[:inside] && sizes[:outside]
        changed = changed.slice(*@document["form"].keys.map(&:to_sym))
        @document["form"].except("measured").merge(changed.to_h { |name, size| [name.to_s, written(size)] })
      end

      # To the quarter of an inch, or the millimetre.
      def written(size)
        (units == "cm") ? (size * 2.54r).round(1).to_f : (size * 4).round / 4.0
      end
    end
  end
end
