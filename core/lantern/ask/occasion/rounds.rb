# frozen_string_literal: true

module Lantern
  module Ask
    module Occasion
      # The steps of all wreaths, one kind after another: everything is cut, then every form is coiled, then every bow
      # is tied. Each wreath's own steps keep their order.
      class Rounds
        # A kind of step, and whose it is: pairs of the wreath's number, from one, and its step.
        Round = Value.define(:key, :steps) do
          # What all its steps are called; where they differ, what the hands do.
          def title
            titles = steps.map { _2.title }.uniq
            titles.one? ? titles.first : steps.first.last.move.says
          end

          # @return [Hash] ready for JSON
          def to_h
            {"key" => key, "title" => title, "minutes" => steps.sum { _2.minutes }.round(1),
             "steps" => steps.map { |number, step|
               {"number" => number, "step" => step.id, "title" => step.title, "count" => step.count,
                "unit" => step.unit&.word(step.count)}.compact
             }}
          end
        end

        # @param works [Array<Work>]
        def initialize(works)
          @left = works.map.with_index(1) { |work, number| [number, work.course.steps.map { [kind(_1, work), _1] }] }
        end

        # A kind is done for all when all who still have it are there, what most have first; where they wait for one
        # another, by those who are.
        # @return [Array<Round>]
        def to_a
          @to_a ||= [].tap do |rounds|
            until (waiting = @left.reject { |_, steps| steps.empty? }).empty?
              heads = waiting.map { |_, steps| steps.first.first }.tally
              kind = heads.min_by { |each, many| [all_there?(waiting, each) ? 0 : 1, -many] }.first
              rounds << Round.new(key: "#{rounds.size + 1}.#{kind}", steps: taken(waiting, kind))
            end
          end
        end

        private

        # Steps of one kind are those of one covering, whatever the wreath; the maker's own are alone.
        def kind(step, work)
          layer = work.layers.find { _1.id == step.layer }
          layer ? "#{layer.class.method_name}.#{step.id.delete_prefix("#{layer.id}.")}" : step.id
        end

        def all_there?(waiting, kind)
          waiting.all? { |_, steps| steps.first.first == kind || steps.none? { |other, _| other == kind } }
        end

        def taken(waiting, kind)
          waiting.select { |_, steps| steps.first.first == kind }.map { |number, steps| [number, steps.shift.last] }
        end
      end
    end
  end
end
