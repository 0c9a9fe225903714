# frozen_string_literal: true

module Lantern
  module Ask
    # The end of a make: what each material was planned to take, what the counts say it took, and what it
    # really took, by covering, for the notebook to learn from. One wreath of several alike is finished, or more of
    # them at once.
    class Finish
      # @param document [Hash] a plan
      # @param count [Integer] how many were finished
      # @param before [Integer] how many of those that were cut together were finished before
      # @raise [Plan::Refused]
      def initialize(document, count: 1, before: 0)
        @work = Work.read(document)
        @plan = @work.plan
        @layers = @work.layers
        @count, @before = count, before
      end

      # One line for each material, filled in from what was counted at the bench.
      # @param counts [Hash{String=>Integer}] by step
      # @return [Array<Hash>] ready for JSON
      def form(counts)
        materials.map do |material|
          planned = share(material)
          used = planned * done(material, counts)
          {"material" => material.id, "name" => material.name, "counted" => material.counted?,
           "planned" => number(material, planned), "planned_says" => says(material, planned),
           "used" => says(material, used)}
        end
      end

      # What a make says of each covering and material: planned by the sum alone, without what was learned
      # before, and used, shared out by what each covering was planned to take.
      # @param used [Hash{String=>Object}] by material: a length as a document writes it, or a number
      # @return [Array<Hash>] `method`, `material`, `planned`, `used` (inches, or a number), `planned_says`, `used_says`
      # @raise [Plan::Refused] with every entry that cannot be read
      def lines(used)
        read = readings(used)
        materials.flat_map do |material|
          amount = read.fetch(material.id)
          next [] unless amount
          # What the steps use up without a covering naming it is no covering's to learn.
          whole = @layers.sum { total_of(_1.needs, material) } + total_of(@work.supplies.needs, material)
          @layers.filter_map do |layer|
            one = total_of(layer.needs, material)
            next unless one.positive? && whole.positive?
            planned = @count * one
            share = material.counted? ? planned * amount.fdiv(share(material)) : amount.to_f * one / whole
            {"method" => layer.class.method_name.to_s, "title" => layer.class.title, "material" => material.id,
             "name" => material.name,
             "planned" => planned.to_f.round(4), "used" => share.round(4), "planned_says" => says(material, planned),
             "used_says" => used_says(material, planned, share)}
          end
        end
      end

      # Nobody works ten times as fast as the sum: who did only clicked through (from memory).
      CLICKED = 0.1
      private_constant :CLICKED

      # What each step took, beside what it was planned to take; what was only clicked through took no time that teaches
      # anything.
      # @param seconds [Hash{String=>Integer}] by step
      # @return [Array<Hash>] `title`, `planned` and `took` in minutes, of the steps that took any time; of a layer’s,
      #   its `method` and what the sum alone had `expected`
      def steps(seconds)
        @work.course.steps.filter_map do |step|
          next if seconds.fetch(step.id, 0) / 60.0 <= CLICKED * @count * step.minutes
          layer = @layers.find { _1.id == step.layer }
          own = layer && {"method" => layer.class.method_name.to_s,
                          "expected" => (@count * step.minutes / layer.pace).round(2)}
          {"key" => step.id, "title" => step.title, "planned" => (@count * step.minutes).round(1),
           "took" => (seconds[step.id] / 60.0).round(1), **(own || {})}
        end
      end

      # How much more than planned was used of what is cut by length, or counted.
      # @return [Hash{String=>Rational}] inches, or a number, by material; negative when there was some left
      def over(used)
        read = readings(used)
        materials.reject(&:sheets?).to_h do |material|
          planned = share(material).to_r.round(4)
          [material.id, (read[material.id] || planned).to_r - planned]
        end
      end

      private

      def materials = @materials ||= @plan.materials.select { |material| total(material).positive? }

      # All that one wreath asks of a material: its layers, its steps, and the form itself.
      def total(material) = total_of(@work.asked.map(&:need), material)

      # What those that were finished now had of what was cut for all: of whole things, what the first so many take less
      # what those before them took, so that all shares together are what was cut.
      def share(material)
        return @count * total(material) unless material.counted?
        whole_ones(material, @before + @count) - whole_ones(material, @before)
      end

      # Half a stem takes a stem.
      def whole_ones(material, wreaths) = (total(material) * wreaths - 1e-9).ceil

      def total_of(needs, material) = needs.select { _1.material == material.id }.sum(&:total)

      # How much of what is counted off was counted, for the layers that a material is in.
      def done(material, counts)
        steps = @layers.select { |layer| total_of(layer.required, material).positive? }.flat_map(&:course)
          .select { |step| step.count && counts.fetch(step.id, 0).positive? }
        steps.empty? ? 1.0 : steps.sum { counts[_1.id] }.fdiv(steps.sum(&:count))
      end

      def readings(used)
        reading = Plan::Reading.new(units: @plan.units)
        read = materials.to_h do |material|
          said = used[material.id]
          field = material.counted? ? Plan::Field::Count.new(:used, least: 0, most: 1_000_000, label: material.name) :
            Plan::Field::Length.new(:used, zero: true, most: 1_000_000, label: material.name)
          [material.id, (said.nil? || said == "") ? nil : field.read(said, "used.#{material.id}", reading)]
        end
        raise Plan::Refused.new(reading.problems) if reading.problems.any?
        read
      end

      def number(material, amount) = material.counted? ? amount.ceil : Measure::Length.in_units(amount, @plan.units)

      # Of whole things as many times what was planned in whole ones.
      def used_says(material, planned, used)
        return says(material, used) unless material.counted?
        ((planned - 1e-9).ceil * used.fdiv(planned)).round.to_s
      end

      def says(material, amount) =
        material.counted? ? (amount - 1e-9).ceil.to_s : Measure::Length.long_text(amount, units: @plan.units)
    end
  end
end
