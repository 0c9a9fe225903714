# frozen_string_literal: true

module Lantern
  module Answer
    # A wreath in a line: what covers it, on what form, whether the stash is enough, and its first figures.
    class Summary
      # As many figures stand in the line.
      FIGURES = 2

      # @param work [Work]
      def initialize(work)
        @work = work
        @plan = work.plan
      end

      # @return [Hash] ready for JSON
      def to_h
        form = "#{@work.form.base} #{@work.form.shape}"
        {"says" => "#{layers} on a #{form}#{", #{size}" if size}", "to_buy" => bill["to_buy"],
         "short" => !@work.enough?, "figures" => figures.map { "#{_1["figure"]} #{_1["says"]}" },
         "minutes" => @work.course.minutes.round, "form" => shape, "counted" => counted}
      end

      private

      def bill = @bill ||= @work.bill.to_h

      def layers = @work.layers.any? ? @work.layers.map { _1.class.title }.join(", ") : "No covering yet"

      def shape = Form.shapes.fetch(@plan.form.sizes[:shape]).title.downcase

      # Across all of it, as a drawing says it.
      def size
        whole = @work.form.dimensions.find { !_1[:inset] && !_1[:across] && !_1[:follows] }
        whole && Measure::Length.text(whole[:length], units: @plan.units)
      end

      # What is counted at the bench, by step.
      def counted = @work.course.steps.select(&:count).to_h { |step|
        [step.id, {"one" => step.unit.one, "count" => step.count}]
      }

      def figures = Tape.new(@work).figures.select { %w[count needed].include?(_1["key"]) }.first(FIGURES)
    end
  end
end
