# frozen_string_literal: true

module Server
  class Store
    # Where a wreath stands at the bench. A device sends what happened, each with a name of its own, and
    # sends it again until it is told that it arrived; what arrived before counts once. So a count is the
    # sum of what happened, and two devices on one wreath agree.
    class Bench
      # How often it is tried again when another is sending the same.
      TRIES = 8

      # @param database [Sequel::Database]
      def initialize(database)
        @database = database
      end

      # @param events [Array<Hash>] `event`, `step`, `kind` (`count`, `go` or `time`) and `amount`
      # @return [Hash] where the wreath now stands
      # @raise [Missing]
      def take(id, events)
        tries = 0
        begin
          @database.whole do
            exists(id)
            note(id, events)
          end
        rescue Sequel::UniqueConstraintViolation
          # Another is sending the same at this moment, or something else was given the same number.
          retry if (tries += 1) < TRIES
          raise
        end
        state(id)
      end

      # @return [Hash] counts and seconds by step, the step that somebody went to last, and how many were
      #   finished before this one
      # @raise [Missing]
      def state(id)
        exists(id)
        sums = ->(kind) {
          unfinished(id).where(kind:).group(:step).select_hash(:step,
            Sequel.function(:sum, :amount).as(:total)).transform_values { [_1.to_i, 0].max }
        }
        {"counts" => sums.call("count"), "seconds" => sums.call("time"),
         "place" => unfinished(id).where(kind: "go").reverse(:id).get(:step), "finished" => finished(id)}
      end

      # @return [Integer] how many of a wreath were finished
      def finished(id) = @database[:makes].where(wreath_id: id).count

      # What happened belongs to a finished make; the next one begins at nought.
      def close(id, make) = unfinished(id).update(make_id: make)

      private

      # Nothing that is refused is passed over: it could be an event that nobody else has.
      def note(id, events)
        known = @database[:bench_events].where(event: events.map { _1["event"] }).select_map(:event)
        rows = events.uniq { _1["event"] }.reject { known.include?(_1["event"]) }.map { |event|
          {wreath_id: id, event: event["event"], step: event["step"], kind: event["kind"],
           amount: event["amount"] || 0}
        }
        @database[:bench_events].multi_insert(rows) if rows.any?
      end

      def unfinished(id) = @database[:bench_events].where(wreath_id: id, make_id: nil)

      def exists(id) = @database[:wreaths].where(id:, deleted_at: nil).any? || raise(Missing)
    end
  end
end
