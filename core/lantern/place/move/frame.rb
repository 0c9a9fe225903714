# frozen_string_literal: true

module Lantern
  module Place
    class Move
      # One small picture of a move, {WIDE} by {HIGH}, with its sentence. In sentence and labels `{tail|the tail}`
      # stands for a measure of the step that is shown, or for the words behind the stroke where it has no such measure.
      Frame = Value.define(:says, :marks, :labels)

      class Frame
        WIDE, HIGH = 160, 120
        MEASURE = /\{(?<key>[a-z_]+)(?:\|(?<else>[^}]*))?\}/

        # @param text [String]
        # @param measures [Hash{String=>String}] as steps show them
        # @return [String]
        def self.filled(text, measures)
          text.gsub(MEASURE) { measures[$~[:key]] || $~[:else] || "" }.squeeze(" ").strip
        end

        # @param sketch [Sketch]
        def initialize(says:, sketch:) = super(says:, marks: sketch.marks, labels: sketch.labels)

        # @return [Array<String>] keys of the measures that it can show
        def measures = [says, *labels.map(&:says)].flat_map { |text| text.scan(MEASURE).map(&:first) }.uniq

        # @return [Hash] ready for JSON
        def to_h = {"says" => says, "marks" => marks.map(&:to_h), "labels" => labels.map(&:to_h)}
      end
    end
  end
end
