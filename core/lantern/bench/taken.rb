# frozen_string_literal: true

module Lantern
  module Bench
    # What a step takes up, said as it is measured out: `material` is its id, `name` what its maker calls it.
    Taken = Value.define(:material, :name, :says)

    class Taken
      class << self
        # What of a layer's needs each of its steps takes up: the step that counts them off or lays them, else the
        # first of the layer.
        # @param steps [Array<Place::Step>] of one layer; one may say itself what it takes
        # @param needs [Array<Place::Need>] of the same
        # @return [Hash{String=>Array<Place::Need>}] by the steps' ids
        def shared_out(steps, needs)
          needs.group_by { |need| (steps.find { |step| of?(step, need) } || steps.first)&.id }
        end

        # @param need [Place::Need]
        # @param times [Integer] for so many wreaths
        # @return [Taken]
        def of(need, plan, times: 1)
          material = plan.material(need.material)
          new(material: material.id, name: material.name, says: says(need, material, plan.units, times))
        end

        # @param fixing [Fixing] what something is fixed with
        # @return [Taken]
        def fixing(fixing)
          new(material: fixing.material&.id, name: fixing.material&.name || "Besides", says: fixing.says)
        end

        private

        def of?(step, need)
          return step.takes.include?(need) if step.takes
          names = [step.unit&.many, Place::Unit::ALL.find(step.lays.to_s)&.many].compact
          names.any? { |name| need.what == name || need.what.start_with?("#{name} ", "#{name},") }
        end

        # What is only fixed on has its material's name beside it.
        def counted(parts, need, material)
          things = Place::Unit.fetch(:things)
          return "#{Place::Unit.amount(parts)} to fix on" if need.what == things.many
          one, many = [need.one, need.what].map { _1.delete_suffix(", #{material.name}") }
          Place::Unit.so_many(parts, one, many)
        end

        def says(need, material, units, times)
          return "#{Measure::Length.long_text(need.length * times, units:)} for the #{need.what}" if need.run?
          parts = need.count * times
          count = parts.ceil
          called = ((count == 1) ? need.one : need.what).delete_suffix(", #{material.name}")
          return counted(parts, need, material) if need.items?
          size = [need.width, need.length].compact.map { Measure::Length.text(_1, units:) }.join(" by ")
          "#{count} #{called}, #{size}#{" each" unless count == 1}"
        end
      end

      # @return [Hash] ready for JSON
      def to_h = {"material" => material, "name" => name, "says" => says}.compact
    end
  end
end
