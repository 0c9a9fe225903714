# frozen_string_literal: true

require_relative "shelf"

module Server
  class Store
    # Wreaths: plans with a name. A plan need not be workable to be kept.
    class Wreaths < Shelf
      def initialize(database, materials, ledger)
        super(database)
        @materials = materials
        @ledger = ledger
      end

      def all
        stash, ticks = @materials.by_slug, @database[:ticks].select_hash_groups(:wreath_id, :place)
        made = @database[:makes].group_and_count(:wreath_id).as_hash(:wreath_id, :count)
        rows.order(:id).map { |row| show(row, stash, ticks.fetch(row[:id], []), made.fetch(row[:id], 0)) }
      end

      # The wreaths of an occasion that are still to be cut, or were cut with it; those cut by themselves
      # have had their material.
      # @param cut_action [Integer, nil] that of the occasion
      # @return [Array<Hash>]
      def on_occasion(id, cut_action)
        stash = @materials.by_slug
        rows.where(occasion_id: id, cut_action:).order(:id).map { show(_1, stash, []) }
      end

      # Notes that the wreaths of an occasion were cut, each with the stash as it was.
      def cut_together(id, action) = on_occasion(id, nil)
        .each { |wreath|
        update(wreath["id"], wreath["version"], plan: JSON.generate(wreath["plan"]),
          cut_action: action)
      }

      # Notes that they were not.
      def uncut_together(action) =
        rows.where(cut_action: action).each { |row| update(row[:id], row[:version], cut_action: nil) }

      def add(plan) = insert(name: name(plan), plan: JSON.generate(plan))

      # @raise [Missing, Outdated]
      def change(id, version, plan) = update(id, version, name: name(plan), plan: JSON.generate(plan))

      # Takes what the cut sheet says out of the stash, remnants back in; the plan keeps the stash as
      # it was.
      # @param sheet [Array] the cut sheet that was cut by; when the stash has changed so that it would
      #   be another one, nothing is taken
      # @raise [Missing, Outdated, Settled, Ledger::TooLittle, Lantern::Plan::Refused]
      def cut(id, version, sheet)
        @database.transaction do
          row = rows.for_update.first(id:) || raise(Missing)
          raise Outdated.new(show(row)) unless row[:version] == version
          raise Settled if row[:cut_action]
          # Nothing is read before the lock, so that what is read after it is the latest.
          ids = @materials.locked_ids(Array(JSON.parse(row[:plan])["materials"]).filter_map { _1["id"] })
          plan = show(row)["plan"]
          raise Ledger::TooLittle unless Lantern.work(plan)["cut_sheet"] == sheet
          action = @ledger.write("cut", @materials.entries_of(Lantern::Work.read(plan).moves, ids),
            wreath: row.slice(:id, :name))
          update(id, version, plan: JSON.generate(plan), cut_action: action)
        end
      end

      # Puts back what was taken.
      # @raise [Missing, Outdated, Settled, Together, Ledger::TooLittle]
      def uncut(id, version)
        @database.transaction do
          row = rows.for_update.first(id:) || raise(Missing)
          raise Settled unless row[:cut_action]
          raise Together if @database[:occasions].where(cut_action: row[:cut_action]).any?
          @ledger.undo(row[:cut_action])
          back = update(id, version, cut_action: nil)
          # Those that were cut with it on an occasion that is no more are taken back with it.
          uncut_together(row[:cut_action])
          back
        end
      end

      # Notes that a cut is made, or that it is not.
      # @raise [Missing]
      def tick(id, place, done)
        row(id)
        if done then @database[:ticks].insert_ignore.insert(wreath_id: id, place:)
        else @database[:ticks].where(wreath_id: id, place:).delete
        end
        find(id)
      end

      private

      def table = :wreaths

      # The plan as it was saved, with what the stash now says of its materials; once it is cut, with
      # what the stash said then.
      def show(row, stash = nil, ticks = nil, made = nil)
        plan = JSON.parse(row[:plan])
        plan = plan.merge("materials" => fresh(plan, stash || @materials.by_slug)) unless row[:cut_action]
        ticks ||= @database[:ticks].where(wreath_id: row[:id]).select_map(:place)
        made ||= @database[:makes].where(wreath_id: row[:id]).count
        stamps(row).merge("name" => row[:name], "plan" => plan, "cut" => !row[:cut_action].nil?, "ticks" => ticks,
          "occasion" => row[:occasion_id], "made" => made)
      end

      def fresh(plan, stash) =
        Array(plan["materials"]).map { |material| @materials.fresh(material, stash, plan["units"]) }

      def name(plan)
        name = plan["name"].is_a?(String) ? plan["name"].strip[0, 200] : ""
        name.empty? ? "Untitled wreath" : name
      end
    end
  end
end
