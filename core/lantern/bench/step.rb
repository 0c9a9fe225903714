# frozen_string_literal: true

module Lantern
  module Bench
    # One step at the bench. `count` things of `unit` are counted off, where there is something to count.
    Step = Value.define(:id, :title, :says, :count, :unit, :minutes) do
      def initialize(id:, title:, says:, count: nil, unit: nil, minutes: 1) = super

      def to_h = {"id" => id, "title" => title, "says" => says, "count" => count, "unit" => unit, "minutes" => minutes.round(1)}.compact
    end
  end
end
