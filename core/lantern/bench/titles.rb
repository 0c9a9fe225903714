# frozen_string_literal: true

module Lantern
  module Bench
    # No two steps of a wreath have one title: what tells two alike apart is said behind it, by its material, by its
    # place, or else which of them it is.
    class Titles
      # @param steps [Array<Place::Step>] in their order
      # @param layers [Array<Layer>]
      def initialize(steps, layers)
        @steps, @layers = steps, layers
      end

      # @return [Array<Place::Step>]
      def apart
        same = @steps.group_by(&:title).reject { |_, steps| steps.one? }
        return @steps if same.empty?
        told = same.flat_map { |title, steps| steps.zip(titles(title, steps)) }.to_h.compare_by_identity
        @steps.map { |step| told.key?(step) ? step.with(title: told[step]) : step }
      end

      private

      def titles(title, steps)
        apart = [of_material(title, steps), at_place(title, steps)]
        # Of several materials one says little.
        apart.reverse! if steps.any? { layer_of(_1)&.materials.to_a.size > 1 }
        apart.compact.first || numbered(title, steps)
      end

      def of_material(title, steps)
        names = steps.map { |step| layer_of(step)&.material&.name }
        names.map { "#{title}, #{_1}" } if names.all? && names.uniq.size == names.size &&
          names.none? { title.include?(_1) }
      end

      def at_place(title, steps)
        hours = steps.map { |step| layer_of(step)&.then { _1.at if _1.is_a?(Trim::Placed) } }
        return unless hours.all?(Numeric) && hours.uniq.size == hours.size
        hours.map { "#{title}, for #{Form::Clock.text(_1)}" }
      end

      ORDINALS = %w[first second third fourth fifth sixth].freeze
      private_constant :ORDINALS

      def numbered(title, steps)
        steps.each_index.map { |i| "#{title}, the #{ORDINALS.fetch(i) { "#{i + 1}th" }} time" }
      end

      def layer_of(step) = @layers.find { _1.id == step.layer }
    end
  end
end
