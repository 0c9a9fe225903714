# frozen_string_literal: true

require "delegate"

module Lantern
  class Layer
    # One layer on joined forms whose parts differ: worked on each part by itself, and added up. What is counted or
    # adds up is the sum of all; what one turn is like is told of the first part.
    class OnEveryPart < SimpleDelegator
      # Figures that are of the whole covering.
      SUMS = %i[length area].freeze

      # @param layers [Array<Layer>] the same layer, a part each
      def initialize(layers)
        super(layers.first)
        @layers = layers
      end

      # It is a layer of that kind to whoever asks.
      def class = __getobj__.class

      def check = @layers.each(&:check)

      def settle = @layers.each(&:settle)

      def required = @layers.flat_map(&:required)

      def figures
        each = @layers.map(&:figures)
        self.class.figures.select { |figure| each.any? { _1.key?(figure.key) } }.to_h do |figure|
          numbers = each.filter_map { _1[figure.key] }
          adds = figure.kind == :count || SUMS.include?(figure.key)
          [figure.key, adds ? numbers.sum : numbers.first]
        end
      end

      def working = @layers.each_with_index.flat_map { |layer, i|
        layer.working.map { _1.with(key: :"part_#{i + 1}_#{_1.key}", says: "Part #{i + 1}: #{_1.says}") }
      }

      def faults = @layers.flat_map(&:faults).uniq

      def found = @found ||= @layers.flat_map(&:found).uniq(&:code)

      def course
        @course ||= @layers.each_with_index.flat_map { |layer, i|
          layer.course.map { _1.with(id: "#{_1.id}-part-#{i + 1}", says: "Part #{i + 1}. #{_1.says}") }
        }
      end

      def minutes = course.sum(&:minutes)

      def fixings = @layers.map(&:fixings).reduce { |all, more| all.merge(more) { _2 + _3 } }

      %i[gaps templates].each { |list| define_method(list) { @layers.flat_map(&list) } }

      # Each part's own, told apart.
      def lies
        @layers.each_with_index.flat_map { |layer, i|
          layer.in_place.map { |lie| i.zero? ? lie : lie.with(key: :"#{lie.key}_part_#{i + 1}") }
        }
      end

      def in_place = @in_place ||= lies.freeze

      def bytes = @layers.sum(&:bytes)

      def closes = @layers.flat_map { _1.closes || [] }.then { _1.empty? ? nil : _1 }

      def accepts = @layers.filter_map(&:accepts).max

      def thickness = @layers.map(&:thickness).max
    end
  end
end
