# frozen_string_literal: true

module Server
  class Store
    # Where a wreath stands at the bench. A device sends what happened, each with a name of its own, and
    # sends it again until it is told that it arrived; what arrived before counts once. So a count is what happened,
    # one after the other and never below nought, and two devices on one wreath agree.
    #
    # Every event names the make that it belongs to, by how many were finished before it. What comes late for one that
    # is finished is offered to that one, and never counts for the next.
    class Bench
      # How often it is tried again when another is sending the same.
      TRIES = 8

      # @param database [Sequel::Database]
      def initialize(database)
        @database = database
      end

      # @param events [Array<Hash>] `event`, `step`, `kind` (`count`, `go` or `time`), `amount`, and the `make`, where
      #   it is known
      # @return [Hash] where the wreath now stands
      # @raise [Missing]
      def take(id, events)
        tries = 0
        begin
          @database.atomically { note(id, events, round(id, held: true)) }
        rescue Sequel::UniqueConstraintViolation
          # Another is sending the same at this moment, or something else was given the same number.
          retry if (tries += 1) < TRIES
          raise
        end
        state(id)
      end

      # @return [Hash] counts and seconds by step, the step that somebody went to last, how many wreaths were finished
      #   before this one, and the make that it is
      # @raise [Missing]
      def state(id)
        make = round(id)
        {"counts" => totals(id, "count"), "seconds" => totals(id, "time"),
         "place" => unfinished(id).where(kind: "go").reverse(:id).get(:step), "finished" => finished(id),
         "make" => make}
      end

      # @return [Integer] how many of a wreath were finished
      def finished(id) = @database[:makes].where(wreath_id: id).sum(Sequel.function(:coalesce, :count, 1)).to_i

      # What happened belongs to a finished make; the next one begins at nought.
      # @param make [Integer] the number of its row
      def close(id, make)
        @database[:makes].where(id: make).update(round: round(id))
        unfinished(id).update(make_id: make)
        @database[:wreaths].where(id:).update(round: Sequel[:round] + 1)
      end

      # Where all that are being made stand.
      # @return [Hash{Integer=>Hash}] the step that is being done and how many of it are counted, by wreaths
      def places
        events = @database[:bench_events].where(make_id: nil, late: false, kind: %w[count go]).order(:id)
        events.select_hash_groups(:wreath_id, %i[kind step amount]).transform_values do |all|
          step = (all.reverse.find { |kind, _| kind == "go" } || all.last)[1]
          counted = all.select { |kind, of, _| kind == "count" && of == step }
          {"step" => step, "count" => folded(counted.map { _1.drop(1) }).fetch(step, 0)}
        end
      end

      # What came for finished makes after they were finished.
      # @return [Hash{Integer=>Hash}] counts and seconds by step, by makes
      def late(makes)
        events = @database[:bench_events].where(make_id: makes, late: true).order(:id)
        events.select_hash_groups(:make_id, %i[kind step amount]).transform_values do |all|
          {"counts" => folded(all.select { _1[0] == "count" }.map { _1.drop(1) }),
           "seconds" => folded(all.select { _1[0] == "time" }.map { _1.drop(1) })}
        end
      end

      # Whoever was offered what came late has taken it, or left it.
      def settle_late(make) = @database[:bench_events].where(make_id: make, late: true).update(late: false)

      private

      def totals(id, kind) = folded(unfinished(id).where(kind:).order(:id).select_map(%i[step amount]))

      # One after the other, never below nought.
      def folded(events) = events.each_with_object({}) { |(step, amount), all|
        all[step] = [all.fetch(step, 0) + amount, 0].max
      }

      # Nothing that is refused is passed over: it could be an event that nobody else has.
      def note(id, events, now)
        known = @database[:bench_events].where(event: events.map { _1["event"] }).select_map(:event)
        rows = events.uniq { _1["event"] }.reject { known.include?(_1["event"]) }.map { |event|
          {wreath_id: id, event: event["event"], step: event["step"], kind: event["kind"],
           amount: event["amount"] || 0, **of_make(id, event["make"] || now, now)}
        }
        @database[:bench_events].multi_insert(rows) if rows.any?
      end

      # The make that an event belongs to: the one that is at the bench, or one that is finished. Where that has been
      # torn out of the notebook, it is kept for nobody.
      def of_make(id, make, now)
        return {make_id: nil, round: now, late: false} unless make < now
        {make_id: @database[:makes].where(wreath_id: id, round: make).get(:id), round: make, late: true}
      end

      def unfinished(id) = @database[:bench_events].where(wreath_id: id, make_id: nil, late: false)

      # How many makes of a wreath were finished.
      # @param held [Boolean] whether nobody may finish it meanwhile
      # @raise [Missing]
      def round(id, held: false)
        wreath = @database[:wreaths].where(id:, deleted_at: nil)
        (held ? wreath.for_share : wreath).get(:round) || raise(Missing)
      end
    end
  end
end
