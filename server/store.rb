# frozen_string_literal: true

require "json"
require "sequel"
require_relative "ledger"

module Server
  # What is kept: wreaths and the stash. Every row has a version; whoever saves says which version
  # they had before them, and is told when it is no longer the latest.
  class Store
    # Raised when somebody else saved first. `current` is the row as it now is.
    class Outdated < StandardError
      attr_reader :current

      def initialize(current)
        @current = current
        super("It was changed in the meantime.")
      end
    end

    # Raised when the database does not answer.
    Away = Class.new(StandardError)

    # Raised when there is no such row (any more).
    Missing = Class.new(StandardError)

    # Raised when a material's id or a form's name is taken.
    Taken = Class.new(StandardError)

    MIGRATIONS = File.join(__dir__, "migrations")

    # Raised when a wreath was cut already, or was not cut at all.
    Settled = Class.new(StandardError)

    attr_reader :wreaths, :materials, :forms, :ledger

    # @param database [Sequel::Database]
    def initialize(database)
      @database = database
      Sequel.extension :migration
      Sequel::Migrator.run(database, MIGRATIONS)
      @ledger = Ledger.new(database)
      @materials = Materials.new(database, @ledger)
      @wreaths = Wreaths.new(database, @materials, @ledger)
      @forms = Forms.new(database)
    end

    # Runs the block; when the database is gone, lets go of every connection to it, so that the next
    # call finds it again once it is back.
    # @raise [Away]
    def reaching
      yield
    rescue Sequel::DatabaseError => error
      raise unless error.is_a?(Sequel::DatabaseConnectionError) || error.is_a?(Sequel::DatabaseDisconnectError) || error.wrapped_exception.is_a?(Trilogy::ConnectionError)
      @database.disconnect
      raise Away
    end

    # Runs the block once in the life of this database, as one change; for the demo.
    def once(name)
      @database.transaction do
        next if @database[:settings].where(name:).any?
        yield
        @database[:settings].insert(name:, value: "done")
      end
    end

    # What wreaths and materials share: rows with versions.
    class Shelf
      def initialize(database)
        @database = database
      end

      # @raise [Missing]
      def find(id) = show(row(id))

      # @param version [Integer] the version that was before whoever deletes
      # @raise [Missing, Outdated]
      def delete(id, version)
        changed = rows.where(id:, version:).delete
        raise Outdated.new(find(id)) if changed.zero?
      end

      private

      def rows = @database[table]

      def row(id) = rows.first(id:) || raise(Missing)

      def insert(values) = find(rows.insert(values))

      # Saves only over the version it was made from.
      def update(id, version, values)
        changed = rows.where(id:, version:).update(**values, version: version + 1, updated_at: Sequel::CURRENT_TIMESTAMP)
        raise Outdated.new(find(id)) if changed.zero?
        find(id)
      end

      def stamps(row) = {"id" => row[:id], "version" => row[:version], "updated_at" => row[:updated_at].utc.strftime("%Y-%m-%dT%H:%M:%SZ")}
    end

    # Wreaths: plans with a name. A plan need not be workable to be kept.
    class Wreaths < Shelf
      def initialize(database, materials, ledger)
        super(database)
        @materials = materials
        @ledger = ledger
      end

      def all
        stash, ticks = @materials.by_slug, @database[:ticks].select_hash_groups(:wreath_id, :place)
        rows.order(:id).map { show(_1, stash, ticks.fetch(_1[:id], [])) }
      end

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
          action = @ledger.write("cut", moves(plan, ids), wreath: row.slice(:id, :name))
          update(id, version, plan: JSON.generate(plan), cut_action: action)
        end
      end

      # Puts back what was taken.
      # @raise [Missing, Outdated, Settled, Ledger::TooLittle]
      def uncut(id, version)
        @database.transaction do
          row = rows.for_update.first(id:) || raise(Missing)
          raise Settled unless row[:cut_action]
          @ledger.undo(row[:cut_action])
          update(id, version, cut_action: nil)
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

      def moves(plan, ids)
        Lantern::Cut::Move.all(plan).filter_map do |move|
          next unless ids[move.material]
          {material_id: ids[move.material], kind: move.kind.to_s, change: move.change, length: (move.length * Ledger::PER_INCH).round, width: (move.width * Ledger::PER_INCH).round}
        end
      end

      # The plan as it was saved, with what the stash now says of its materials; once it is cut, with
      # what the stash said then.
      def show(row, stash = nil, ticks = nil)
        plan = JSON.parse(row[:plan])
        plan = plan.merge("materials" => fresh(plan, stash || @materials.by_slug)) unless row[:cut_action]
        ticks ||= @database[:ticks].where(wreath_id: row[:id]).select_map(:place)
        stamps(row).merge("name" => row[:name], "plan" => plan, "cut" => !row[:cut_action].nil?, "ticks" => ticks)
      end

      def fresh(plan, stash) = Array(plan["materials"]).map { |material| @materials.fresh(material, stash, plan["units"]) }

      def name(plan)
        name = plan["name"].is_a?(String) ? plan["name"].strip[0, 200] : ""
        name.empty? ? "Untitled wreath" : name
      end
    end

    # The maker's own forms, measured once and kept under a name.
    class Forms < Shelf
      def all = rows.order(:name).map { show(_1) }

      # @raise [Taken, Lantern::Plan::Refused] when it is no form that can be
      def add(name, form, units)
        Lantern.work("format" => Lantern::Plan::Document::FORMAT, "version" => 1, "units" => units, "form" => form)
        insert(name: name.strip[0, 120], units:, document: JSON.generate(form))
      rescue Sequel::UniqueConstraintViolation
        raise Taken
      end

      private

      def table = :forms

      def show(row) = stamps(row).merge("name" => row[:name], "units" => row[:units], "form" => JSON.parse(row[:document]))
    end

    # The stash: what the maker owns or buys. What is on hand of it, the ledger knows.
    class Materials < Shelf
      def initialize(database, ledger)
        super(database)
        @ledger = ledger
      end

      def all(units = nil)
        stock = @ledger.stock
        rows.order(:kind, :name, :id).map { show(_1, units, stock) }
      end

      # @return [Hash{String=>Hash}] every row by its material's own id, with the lots on hand
      def by_slug
        stock = @ledger.stock
        rows.all.to_h { [_1[:slug], _1.merge(stock: stock.fetch(_1[:id], []))] }
      end

      # Keeps others from changing these materials' lots until the transaction ends.
      # @return [Hash{String=>Integer}] rows by their materials' ids
      def locked_ids(slugs) = rows.where(slug: slugs).order(:id).for_update.select_hash(:slug, :id)

      # @raise [Taken, Lantern::Plan::Refused]
      def add(material, units)
        read = Lantern::Plan::Material.check(material, units:)
        @database.transaction do
          id = rows.insert(values(read, material, units))
          @ledger.correct(id, lots(id, read))
          find(id)
        end
      rescue Sequel::UniqueConstraintViolation
        raise Taken
      end

      # @raise [Missing, Outdated, Taken, Lantern::Plan::Refused]
      def change(id, version, material, units)
        read = Lantern::Plan::Material.check(material, units:)
        @database.transaction do
          update(id, version, values(read, material, units))
          @ledger.correct(id, lots(id, read))
          find(id)
        end
      rescue Sequel::UniqueConstraintViolation
        raise Taken
      end

      # Takes in a list of materials, all or none: those whose ids are known are changed.
      # @param dry [Boolean] only to say what it would do
      # @return [Hash] how many are new, changed, and the same as before
      # @raise [Lantern::Plan::Refused]
      def take_in(documents, units, dry:)
        done = {"added" => 0, "changed" => 0, "same" => 0}
        @database.transaction(rollback: dry ? :always : nil) do
          known = by_slug
          documents.each { |document| done[take(document, known[document["id"]], units)] += 1 }
        end
        done
      end

      # So many pieces of one size more or less.
      # @param kind [String] one of {Ledger::KINDS}
      # @param piece [Object] as it would stand in the material's `on_hand`
      # @raise [Missing, Ledger::TooLittle, Lantern::Plan::Refused]
      def move(id, kind, piece, change, units)
        row = row(id)
        read = Lantern::Plan::Material.check(JSON.parse(row[:document]).merge("on_hand" => [piece]), units:)
        lot = lots(id, read).first
        count = read.counted? ? lot.count * (change <=> 0) : change
        length, width = @ledger.size_on_hand(lot)
        @ledger.write(kind, [{material_id: id, kind:, length:, width:, change: count}])
        find(id)
      end

      # @return [Array<Hash>] what came and went of a material, the latest first
      def entries(id, units)
        row = row(id)
        counted = Lantern::Plan::Material::LENGTHWISE.none? { _1.to_s == row[:kind] } && row[:kind] != "fabric"
        @ledger.entries(id).map do |entry|
          size = [entry[:width], entry[:length]].reject(&:zero?).map { Lantern::Measure::Length.exact_text(Rational(_1, Ledger::PER_INCH), units:) }
          {"id" => entry[:id], "action" => entry[:action_id], "kind" => entry[:kind], "change" => entry[:change], "size" => counted ? "" : size.join(" by "),
           "wreath" => entry[:wreath_id], "wreath_name" => entry[:wreath_name], "at" => entry[:at].utc.strftime("%Y-%m-%dT%H:%M:%SZ"),
           "can_undo" => [1, true].include?(entry[:undone]) ? false : !%w[undone cut].include?(entry[:action_kind])}.compact
        end
      end

      # A plan's material as the stash now has it, in the plan's units; the plan's own when it is not from the stash.
      def fresh(material, stash, units)
        row = material.is_a?(Hash) && stash[material["id"]]
        row ? in_units(row, row[:stock], units) : material
      end

      private

      def table = :materials

      def take(document, row, units)
        return add(document, units) && "added" unless row
        before = in_units(row, row[:stock], units)
        return "same" if before == document
        change(row[:id], row[:version], document, units)
        "changed"
      end

      def values(read, material, units)
        {slug: read.id, kind: read.kind.to_s, name: read.name, units:, document: JSON.generate(material.except("on_hand"))}
      end

      def lots(id, read)
        return [Ledger::Lot.new(material_id: id, length: 0, width: 0, count: read.on_hand.sum)].reject { _1.count.zero? } if read.counted?
        sizes = read.on_hand.map { _1.is_a?(Hash) ? _1.values_at(:length, :width) : [_1, 0] }
        sizes.map { |length, width| Ledger::Lot.new(material_id: id, length: (length * Ledger::PER_INCH).round, width: (width * Ledger::PER_INCH).round, count: 1) }
      end

      # A material's document in these units, with the lots that are on hand.
      def in_units(row, lots, units)
        document = Lantern::Plan::Units.change_material(JSON.parse(row[:document]), from: row[:units], to: units || row[:units])
        document.merge("on_hand" => lots.flat_map { |lot| pieces(lot, units || row[:units]) })
      end

      def pieces(lot, units)
        return [lot.count] if lot.length.zero?
        said = ->(size) { Lantern::Measure::Length.in_units(Rational(size, Ledger::PER_INCH), units) }
        [lot.width.zero? ? said.call(lot.length) : {"width" => said.call(lot.width), "length" => said.call(lot.length)}] * lot.count
      end

      def show(row, units = nil, stock = @ledger.stock([row[:id]]))
        document = in_units(row, stock.fetch(row[:id], []), units)
        stamps(row).merge("units" => units || row[:units], "material" => document, **Lantern::Plan::Material.understood(document, units: units || row[:units]))
      end
    end
  end
end
