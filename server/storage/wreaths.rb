# frozen_string_literal: true

require_relative "from_elsewhere"
require_relative "history"
require_relative "shelf"

module Server
  class Store
    # Wreaths: plans with a name. A plan need not be workable to be kept.
    class Wreaths < Shelf
      include Binned
      include FromElsewhere

      # A plan need not be workable, but it must be one.
      # @raise [Problem]
      def self.showable(plan)
        refuse = ->(at, says) { raise Problem.at(at, says) }
        format = Lantern::Plan::Document::FORMAT
        refuse.call("format", "A wreath is kept as a plan: its format is “#{format}”.") unless plan["format"] == format
        refuse.call("version", "Plans of version 1 are kept here.") unless plan["version"] == 1
        refuse.call("units", "Units are “in” or “cm”.") unless %w[in cm].include?(plan["units"])
        refuse.call("form", "The form is an object with its sizes.") unless plan["form"].is_a?(Hash)
        %w[materials layers].each do |list|
          rows = plan.fetch(list, [])
          refuse.call(list, "The #{list} of a plan are a list.") unless rows.is_a?(Array)
          wrong = rows.index { !_1.is_a?(Hash) }
          refuse.call("#{list}.#{wrong}", "This is no object with named fields.") if wrong
        end
      end

      def initialize(database, materials, forms, ledger, answers)
        super(database)
        @materials = materials
        @forms = forms
        @ledger = ledger
        @answers = answers
        @history = History.new(database)
      end

      def all
        stash, ticks = @materials.by_slug, @database[:ticks].select_hash_groups(:wreath_id, :place)
        made = @database[:makes].group_and_count(:wreath_id).as_hash(:wreath_id, :count)
        begun = under_way.distinct.select_map(:wreath_id).to_set
        rows.order(:id).map { |row|
          listed(row, name: row[:name], plan: NO_PLAN, cut: !row[:cut_action].nil?, ticks: [], made: 0) {
            show(row, stash, ticks.fetch(row[:id], []), made.fetch(row[:id], 0), begun.include?(row[:id]))
          }
        }
      end

      # All of them as a list shows them, without their plans; with what is kept of each.
      # @param kept [Kept]
      # @return [Array<Hash>]
      def listed_with(kept)
        wreaths = all
        digests = wreaths.to_h { |each| [each["id"], kept.digest("summary", each["plan"])] }
        summaries = kept.of(digests.values)
        at = Bench.new(@database).places
        wreaths.map do |each|
          digest = digests.fetch(each["id"])
          {"at_bench" => false, **each.slice(*IN_A_LIST), "digest" => digest[0, 16],
           "picture" => kept.digest("thumbnail", each["plan"])[0, 16],
           "about" => about(each["plan"]), "bench" => at[each["id"]],
           "summary" => summaries[digest] && JSON.parse(summaries[digest])}.compact
        end
      end

      # The words that a plan is found by before it is worked: its form, its layers, what they are made of, what is
      # written on them, and the steps that the maker has put in.
      def about(plan)
        form = plan["form"].is_a?(Hash) ? plan["form"] : {}
        layers, materials, steps = %w[layers materials steps].map { |list| Array(plan[list]).grep(Hash) }
        methods = layers.filter_map { Lantern::Plan::Methods.find(_1["method"])&.title }
        [form["base"], form["shape"], *methods, *materials.map { _1["name"] },
          *(layers + steps).flat_map { _1.values_at(*WORDS) }].grep(String).join(" ")[0, 800]
      end

      # What of a layer or of a step of the maker's own is written in words.
      WORDS = %w[name written title says look].freeze
      private_constant :WORDS

      IN_A_LIST = %w[id version updated_at name cut occasion made at_bench put_away problem].freeze

      # Some of them, with their plans as they are now.
      # @param ids [Array<Integer>]
      # @return [Array<Hash>]
      def some(ids)
        stash = @materials.by_slug
        rows.where(id: ids).order(:id).map { show(_1, stash, [], 0, false) }
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
      def uncut_together(action) = all_rows.where(cut_action: action).order(:id).for_update.all
        .each { |row| all_rows.where(id: row[:id]).update(cut_action: nil, version: row[:version] + 1) }

      # @return [Hash] the wreath; what it names by an id that is another thing's in the stash has an id of its own
      #   then, and stands under `kept_apart`
      # @raise [Problem] when it could not be shown again
      def add(plan)
        Wreaths.showable(plan)
        plan, apart = apart(plan)
        @database.atomically { insert(name: name(plan), plan: JSON.generate(plan)) }.merge(apart)
      end

      # @return [Hash] as of {#add}
      # @raise [Missing, Outdated, Problem]
      def change(id, version, plan)
        Wreaths.showable(plan)
        before = row(id)
        plan, apart = apart(plan, JSON.parse(before[:plan]))
        @database.atomically do
          @history.note(before) unless before[:plan] == JSON.generate(plan)
          update(id, version, name: name(plan), plan: JSON.generate(plan))
        end.merge(apart)
      end

      # What it was before it was changed, the newest first.
      # @return [Array<Hash>]
      # @raise [Missing]
      def history(id) = @history.of(row(id)[:id])

      # Takes what the cut sheet says out of the stash, remnants back in; the plan keeps the stash as
      # it was.
      # @param sheet [Array] the cut sheet that was cut by; when the stash has changed so that it would
      #   be another one, nothing is taken
      # @raise [Missing, Outdated, Settled, Ledger::TooLittle, Problem]
      def cut(id, version, sheet)
        # Worked out before anything is locked; what has changed in the meantime is seen under the lock.
        before = find(id)
        raise Outdated.new(before) unless before["version"] == version
        raise Settled if before["cut"]
        worked, moves, rests = @answers.call(:cutting, before["plan"])
        raise Ledger::TooLittle unless worked == sheet
        @database.atomically do
          row = locked(id)
          raise Outdated.new(show(row)) unless row[:version] == version
          ids = @materials.locked_ids(moves.map(&:material).uniq)
          plan = show(row)["plan"]
          raise Ledger::TooLittle unless plan == before["plan"]
          action = @ledger.write("cut", @materials.entries_of(moves, ids), wreath: row.slice(:id, :name))
          @forms.keep(rests, action)
          update(id, version, plan: JSON.generate(plan), cut_action: action)
        end
      end

      # Puts into the stash what has to be bought for it, whole packages, as the sheet of what to buy has them.
      # @param only [Array<String>, nil] the materials that were bought, by their ids; all that have to be without it
      # @return [Hash] the wreath, and the number of the `action` that takes it back
      # @raise [Missing, Outdated, Settled, NothingToBuy, Problem]
      def buy(id, version, only: nil)
        before = find(id)
        raise Outdated.new(before) unless before["version"] == version
        raise Settled if before["cut"]
        _, moves, = @answers.call(:cutting, before["plan"])
        bought = moves.select { |move| move.kind == :bought && (only.nil? || only.include?(move.material)) }
        raise NothingToBuy if bought.empty?
        action = @database.atomically do
          row = locked(id)
          raise Outdated.new(show(row)) unless row[:version] == version && show(row)["plan"] == before["plan"]
          @ledger.write("bought", @materials.entries_of(bought, @materials.locked_ids(bought.map(&:material).uniq)),
            wreath: before.slice("id", "name").transform_keys(&:to_sym))
        end
        find(id).merge("action" => action)
      end

      # What a finish settles, once the wreath is locked: the cut it belongs to, how many it was cut for, and how many
      # of them are finished.
      # @return [Hash] `cut` (nil when it was not cut), `quantity` and `settled`
      def share(id)
        row = locked(id)
        quantity = JSON.parse(row[:plan])["quantity"]
        quantity = 1 unless quantity.is_a?(Integer) && quantity.positive?
        {cut: row[:cut_action], quantity:, settled: row[:cut_action] ? settled(row, quantity) : 0}
      end

      # The wreath that an action of the ledger cut, unless it was an occasion's.
      # @return [Integer, nil]
      def cut_by(action) = all_rows.where(cut_action: action, deleted_at: nil).get(:id)

      # Puts back what was taken.
      # @param version [Integer, nil] nil when it is taken back in the ledger
      # @raise [Missing, Outdated, Settled, Together, Ledger::TooLittle]
      def uncut(id, version)
        @database.atomically do
          row = locked(id)
          raise Outdated.new(show(row)) unless version.nil? || row[:version] == version
          raise Settled unless row[:cut_action]
          raise Together if @database[:occasions].where(cut_action: row[:cut_action], deleted_at: nil).any?
          # An earlier version could take it back in the ledger and leave the wreath as it was.
          @ledger.undo_cut(row[:cut_action])
          @forms.give_back(row[:cut_action])
          back = update(id, row[:version], cut_action: nil)
          # Those that were cut with it on an occasion that is no more are taken back with it.
          uncut_together(row[:cut_action])
          back
        end
      end

      # Puts a wreath away, out of the list, or brings it back.
      # @raise [Missing]
      def put_away(id, away)
        row(id)
        rows.where(id:).update(put_away: away)
        find(id)
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

      def locked(id) = rows.where(id:).for_update.first || raise(Missing)

      # Two things with one id are kept as two.
      # @param before [Hash] the plan as it was last kept
      # @return [(Hash, Hash)] the plan, and what is said of it
      def apart(plan, before = {})
        own = @materials.documents(Array(plan["materials"]).map { _1["id"].to_s })
        apart = Lantern::Plan::Apart.new(own, taken: own.empty? ? [] : @materials.ids)
        plan, ids = apart.call(plan, before: Array(before["materials"]).grep(Hash))
        return [plan, {}] if ids.empty?
        [plan, {"kept_apart" => plan["materials"].select { ids.value?(_1["id"]) }.map { _1.slice("id", "name") }}]
      end

      # A finish of before finishes said how many there were settled all that was cut.
      def settled(row, quantity)
        cut_at = @database[:actions].where(id: row[:cut_action]).select(:at)
        before = @database[:makes].where(wreath_id: row[:id], count: nil).where { created_at >= cut_at }.any?
        before ? quantity : @ledger.settled(row[:cut_action], row[:id])
      end

      # The plan as it was saved, with what the stash now says of its materials; once it is cut, with
      # what the stash said then.
      def show(row, stash = nil, ticks = nil, made = nil, begun = under_way.where(wreath_id: row[:id]).any?)
        plan = JSON.parse(row[:plan])
        plan = plan.merge("materials" => fresh(plan, stash || @materials.by_slug)) unless row[:cut_action]
        ticks ||= @database[:ticks].where(wreath_id: row[:id]).select_map(:place)
        made ||= @database[:makes].where(wreath_id: row[:id]).count
        stamps(row).merge("name" => row[:name], "plan" => plan, "cut" => !row[:cut_action].nil?, "ticks" => ticks,
          "occasion" => row[:occasion_id], "made" => made, "put_away" => row[:put_away],
          "at_bench" => begun)
      end

      # What was counted or gone to of makes that are not finished.
      def under_way = @database[:bench_events].where(make_id: nil, late: false, kind: %w[count go])

      # What is shown in the place of a plan that cannot be.
      NO_PLAN = {"format" => Lantern::Plan::Document::FORMAT, "version" => 1, "units" => "in",
                 "form" => {"base" => "wire", "shape" => "ring"}}.freeze
      private_constant :NO_PLAN

      # In the plan's units, when they are any.
      def fresh(plan, stash)
        return plan["materials"] || [] unless plan["materials"].is_a?(Array)
        units = %w[in cm].find { _1 == plan["units"] }
        plan["materials"].map { |material| @materials.fresh(material, stash, units) }
      end

      def name(plan)
        name = plan["name"].is_a?(String) ? plan["name"].strip[0, 200] : ""
        name.empty? ? "Untitled wreath" : name
      end
    end
  end
end
