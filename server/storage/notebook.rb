# frozen_string_literal: true

require_relative "shelf"

module Server
  class Store
    # The notebook: what each finished wreath took against what was planned, and what that teaches.
    class Notebook < Shelf
      def initialize(database, wreaths, materials, ledger, bench, answers)
        super(database)
        @wreaths, @materials, @ledger, @bench, @answers = wreaths, materials, ledger, bench, answers
      end

      # @return [Array<Hash>] the latest first
      def all
        late = @bench.late(rows.select(:id))
        rows.reverse(:id).select(*COLUMNS).map { |row| shown(row, late) }
      end

      # Takes what came late for a make into it, or leaves it.
      # @return [Hash] the make
      # @raise [Missing]
      def settle_late(id, take)
        @database.atomically do
          row = rows.where(id:).for_update.first || raise(Missing)
          late = @bench.late([id])[id]
          rows.where(id:).update(**with_late(row, late), version: row[:version] + 1) if late && take
          @bench.settle_late(id)
          show(row(id))
        end
      end

      # The short form at the end of a make, filled in from the counts.
      # @param count [Integer] how many were finished
      # @return [Hash] a line for each of its `materials`; how many are `finished` of those that were cut together, and
      #   how many more there may be at `most`
      # @raise [Missing, Problem]
      def form(wreath_id, count = 1)
        share = @database.atomically { @wreaths.share(wreath_id) }
        of = {count: count.clamp(1, share[:quantity]), before: share[:settled]}
        {"materials" => @answers.call(:finish_form, @wreaths.find(wreath_id)["plan"], @bench.state(wreath_id)["counts"],
          of), "finished" => share[:settled], "most" => share[:quantity] - share[:settled]}
      end

      # Ends a make: it goes into the notebook, what was used more or less than planned into the ledger, as a share of
      # what was cut. All finishes of a cut together are at most as many wreaths as were cut.
      # @param said [Hash] `used` by material, `count` of wreaths, `note`, `photo` as a data address or by the name
      #   of a picture that is kept
      # @return [Hash] the make
      # @raise [Missing, Settled, Finished, Problem]
      def finish(wreath_id, said)
        photo = safe_photo(said["photo"].to_s)
        wreath, state, count = @wreaths.find(wreath_id), @bench.state(wreath_id), said["count"] || 1
        share = @database.atomically { @wreaths.share(wreath_id) }
        finished = @answers.call(:finished, wreath["plan"], said["used"] || {}, state["seconds"],
          {count:, before: share[:settled]})
        @database.atomically do
          # What was worked out holds only for the same cut, and as many finished of it.
          raise Settled unless share == @wreaths.share(wreath_id)
          raise Finished if count > share[:quantity] - share[:settled]
          wreath = @wreaths.find(wreath_id)
          id = rows.insert(wreath_id:, wreath_name: wreath["name"], plan: JSON.generate(wreath["plan"]),
            lines: JSON.generate(finished[:lines]), minutes: state["seconds"].values.sum / 60,
            steps: JSON.generate(finished[:steps]), note: said["note"].to_s.strip[0, 4000], count:,
            photo: photo && Sequel.blob(photo.bytes), photo_type: photo&.type)
          @bench.close(wreath_id, id)
          settle(wreath, finished[:over], share[:cut], count) if share[:cut]
          show(row(id))
        end
      end

      # @return [(String, String)] its type and its bytes
      # @raise [Missing]
      def photo_of(id) = rows.where(id:).exclude(photo: nil).get(%i[photo_type photo]) || raise(Missing)

      # What finished makes teach, covering by covering and material by material.
      # @return [Array<Hash>] ready for JSON
      def learned
        lines = rows.order(:id).select_map(:lines).flat_map { JSON.parse(_1) }
          .select { _1["planned"].positive? && _1["used"].positive? }
        lines.group_by { _1.values_at("method", "material") }.filter_map do |(method, material), same|
          covering = Lantern::Plan::Methods.find(method) or next
          ratios = same.map { (_1["used"] / _1["planned"]).clamp(0.2, 5.0) }
          learned = Lantern::Measure::Learned.from(method, material, ratios, spread: [covering.spread, 0.01].max)
          {"method" => method, "title" => covering.title, "material" => material, "name" => same.last["name"],
           "factor" => learned.factor, "spread" => learned.spread, "makes" => learned.makes,
           "ratios" => ratios.map { _1.round(4) }, "says" => learned.says, "lesson" => learned.lesson?}
        end
      end

      # Whether what plans promised was kept: every length that was made, against what its plan had expected.
      # @return [Hash] ready for JSON
      def calibration
        made = rows.order(:id).select_map(%i[plan lines]).flat_map do |plan, lines|
          taken = Array(JSON.parse(plan)["learned"])
          JSON.parse(lines).select { _1["planned"].positive? && _1["used"].positive? }.filter_map { made(_1, taken) }
        end
        calibration = Lantern::Measure::Calibration.new(made)
        {"points" => calibration.points, "says" => calibration.says}
      end

      # Minutes of steps lie so far about the sum when nobody measured them (from memory).
      PACE_SPREAD = 0.25

      # How long coverings really took, for every minute of their sum.
      # @return [Array<Hash>] ready for JSON
      def paces
        made = rows.order(:id).select_map(:steps).map { |steps| JSON.parse(steps).select { _1["expected"].to_f > 0 } }
        made.flat_map { |steps| steps.group_by { _1["method"] }.to_a }.group_by(&:first)
          .filter_map do |method, makes|
            covering = Lantern::Plan::Methods.find(method) or next
            ratios = makes.map { |_, steps| (steps.sum { _1["took"] } / steps.sum { _1["expected"] }).clamp(0.1, 10.0) }
            pace = Lantern::Measure::Learned.from(method, "minutes", ratios, spread: PACE_SPREAD)
            {"method" => method, "title" => covering.title, "factor" => pace.factor, "makes" => pace.makes,
             "percent" => ((pace.factor - 1) * 100).round, "lesson" => pace.lesson?}
          end
      end

      private

      def safe_photo(said)
        return if said.empty?
        return @answers.call(:safe_picture, said, "photo") unless said.match?(/\A\h{64}\z/)
        kept = @database[:pictures].first(id: said) or
          raise Problem.at("photo", "This photo is not kept any more: choose it anew.")
        Photo::Safe.new(*kept.values_at(:type, :bytes))
      end

      def shown(row, late)
        listed(row, wreath: row[:wreath_id], wreath_name: row[:wreath_name], lines: [], minutes: row[:minutes],
          steps: [], note: row[:note], photo: false, made_at: stamps(row)["updated_at"], count: 1) { show(row, late) }
      end

      # A make with the time that came late.
      def with_late(row, late)
        steps = JSON.parse(row[:steps]).map do |step|
          more = late["seconds"].fetch(step["key"], 0) / 60.0
          step.merge("took" => (step["took"] + more).round(1))
        end
        {steps: JSON.generate(steps), minutes: row[:minutes] + late["seconds"].values.sum / 60}
      end

      # What came late, in words: how many more at which step, and how long.
      def late_says(row, late)
        titles = titles_of(row)
        minutes = late["seconds"].values.sum / 60
        counts = late["counts"].select { |_, count| count.positive? }
        counted = counts.map { |step, count| "#{count} at “#{titles[step]}”" }
        [*counted, *("#{minutes} min" if minutes.positive?)].join(", ")
      end

      # What steps are called: by themselves where they took any time, else by the layer that they are of.
      def titles_of(row)
        layers = Array(JSON.parse(row[:plan])["layers"]).to_h { [_1["id"], _1["method"]] }
        own = JSON.parse(row[:steps]).to_h { [_1["key"], _1["title"]] }
        Hash.new { |_, step|
          own[step] || Lantern::Plan::Methods.find(layers[step.split(".").first])&.title || step.capitalize
        }
      end

      # By what was learned, when its plan had taken that up; else by the covering's own spread.
      def made(line, taken)
        covering = Lantern::Plan::Methods.find(line["method"]) or return
        return if covering.spread.zero?
        own = taken.find { _1["method"] == line["method"] && _1["material"] == line["material"] } || {}
        Lantern::Measure::Calibration::Made.new(ratio: line["used"].fdiv(line["planned"]),
          mean: own.fetch("factor", 1.0).to_f, spread: [own.fetch("spread", covering.spread).to_f, 0.005].max)
      end

      COLUMNS = %i[id wreath_id wreath_name plan lines minutes steps note photo_type version count round
        created_at updated_at].freeze
      private_constant :COLUMNS

      def table = :makes

      # What was used beyond the cut sheet comes off the longest remnant, what was not used comes back.
      def settle(wreath, over, cut, share)
        ids = @materials.locked_ids(over.keys)
        plan = Lantern::Plan::Document.read(wreath["plan"])
        smallest = (plan.smallest_remnant * Ledger::PER_INCH).round
        entries = over.select { |material, _| ids[material] }.flat_map do |material, more|
          next counted(ids[material], more.to_i) if plan.material(material).counted?
          difference(ids[material], (more * Ledger::PER_INCH).round, smallest)
        end
        @ledger.write("corrected", entries, wreath: {id: wreath["id"], name: wreath["name"]}, settles: cut, share:)
      end

      # Of what is counted, one by one; no more than is there.
      def counted(material_id, more)
        return (more.zero? ? [] : [{material_id:, kind: "returned", change: -more}]) if more <= 0
        there = @ledger.stock([material_id]).fetch(material_id, []).sum(&:count)
        taken = [more, there].min
        taken.zero? ? [] : [{material_id:, kind: "cut", change: -taken}]
      end

      def difference(material_id, more, smallest)
        return (-more >= smallest) ? [{material_id:, kind: "returned", length: -more, change: 1}] : [] if more <= 0
        lot = @ledger.stock([material_id]).fetch(material_id, []).select { _1.length >= more }.max_by(&:length) or
          return []
        rest = lot.length - more
        [{material_id:, kind: "cut", change: -1, **lot.sides},
          ({material_id:, kind: "remnant", length: rest, change: 1} if rest >= smallest)].compact
      end

      def show(row, late = @bench.late([row[:id]]))
        said = late[row[:id]]&.then { late_says(row, _1) }.to_s
        stamps(row).merge("wreath" => row[:wreath_id], "wreath_name" => row[:wreath_name],
          "lines" => JSON.parse(row[:lines]), "minutes" => row[:minutes], "steps" => JSON.parse(row[:steps]),
          "note" => row[:note], "count" => row[:count] || 1, **(said.empty? ? {} : {"late" => said}),
          "photo" => !row[:photo_type].nil?, "made_at" => row[:created_at].utc.strftime("%Y-%m-%dT%H:%M:%SZ"))
      end
    end
  end
end
