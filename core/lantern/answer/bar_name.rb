# frozen_string_literal: true

module Lantern
  module Answer
    # What the lengths and sheets of a cutting are called: "remnant 44", "package 2", "packages 2 to 5".
    class BarName
      # @param cutting [Cut::Cutting]
      # @param units [String]
      def initialize(cutting, units)
        @cutting = cutting
        @material = cutting.material
        @units = units
      end

      # @param index [Integer] its place among the bars
      # @return [String]
      def of(bar, index)
        return "#{@material.sheets? ? "new sheet" : "package"} #{packages[index]}" if bar.source == :offer
        return "what is on hand" if @material.counted?
        return "sheet on hand #{bar.index + 1}" if @material.sheets?
        "remnant #{Measure::Length.in_units(bar.length, @units)}"
      end

      def lengthwise? = @material.lengthwise?

      # What a stack of bars cut alike is called on the cut sheet.
      # @param alike [Array<(Cut::Bar, Integer)>]
      # @return [String]
      def of_all(alike)
        bar, first = alike.first
        return "remnant" if bar.source == :on_hand && @material.lengthwise?
        return of(bar, first) if alike.one? || bar.source == :on_hand
        "#{@material.sheets? ? "new sheets" : "packages"} #{packages[first]} to #{packages[alike.last[1]]}"
      end

      private

      # How many packages were opened up to each bar.
      def packages
        @packages ||= @cutting.bars.reduce([]) do |numbers, bar|
          numbers << (numbers.last || 0) + ((bar.source == :offer) ? 1 : 0)
        end
      end
    end
  end
end
