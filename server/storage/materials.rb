# frozen_string_literal: true

require_relative "shelf"

module Server
  class Store
    # The stash: what the maker owns or buys. What is on hand of it, the ledger knows.
    class Materials < Shelf
      include Binned

      def initialize(database, ledger)
        super(database)
        @ledger = ledger
        ledger.checked_by { |ids| keepable(ids) }
      end

      def all(units = nil)
        stock = @ledger.stock
        rows.order(:kind, :name, :id).map { |row|
          about = {"id" => row[:slug], "kind" => row[:kind], "name" => row[:name], "offers" => [], "on_hand" => []}
          listed(row, units: units || row[:units], material: about, lengths: {}, pieces: []) { show(row, units, stock) }
        }
      end

      # @return [Hash{String=>Hash}] every row by its material's own id, with the lots on hand
      def by_slug
        stock = @ledger.stock
        rows.all.to_h { [_1[:slug], _1.merge(stock: stock.fetch(_1[:id], []))] }
      end

      # @return [Array<String>] all ids that materials have
      def ids = rows.select_map(:slug)

      # @return [Hash{String=>(Hash, String)}] what is kept of these, with their units
      def documents(ids) = rows.where(slug: ids).select_hash(:slug, %i[document units])
        .transform_values { |document, units| [JSON.parse(document), units] }

      # Keeps others from changing these materials' lots until the transaction ends.
      # @return [Hash{String=>Integer}] rows by their materials' ids
      def locked_ids(slugs) = rows.where(slug: slugs).order(:id).for_update.select_hash(:slug, :id)

      # @raise [Taken, Problem]
      def add(material, units)
        read = Lantern::Plan::Material.check(material, units:)
        @database.atomically do
          id = rows.insert(values(read, material, units))
          @ledger.correct(id, lots(id, read))
          find(id)
        end
      rescue Sequel::UniqueConstraintViolation
        raise Taken
      end

      # @raise [Missing, Outdated, Taken, Problem]
      def change(id, version, material, units)
        read = Lantern::Plan::Material.check(material, units:)
        @database.atomically do
          @ledger.lock([id])
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
      # @raise [Problem]
      def take_in(documents, units, dry:)
        done = {"added" => 0, "changed" => 0, "same" => 0}
        @database.atomically do
          # A try that finds others at work is tried again.
          done.transform_values! { 0 }
          rows.order(:id).for_update.select_map(:id)
          known = by_slug
          documents.each { |document| done[take(document, known[document["id"]], units)] += 1 }
          raise Sequel::Rollback if dry
        end
        done
      end

      # Takes over what a shop asks for materials that are in the stash.
      # @param offers [Hash{String=>Array<Hash>}] by a material's id
      # @return [Integer] how many have changed
      def price(offers)
        @database.atomically do
          rows.where(slug: offers.keys).order(:id).for_update.all.count do |row|
            document = JSON.parse(row[:document])
            next if document["offers"] == offers[row[:slug]]
            update(row[:id], row[:version], document: JSON.generate(document.merge("offers" => offers[row[:slug]])))
          end
        end
      end

      # So many pieces of one size more or less.
      # @param kind [String] one of {Ledger::KINDS}
      # @param piece [Object] as it would stand in the material's `on_hand`
      # @raise [Missing, Ledger::TooLittle, Problem]
      def move(id, kind, piece, change, units)
        @database.atomically do
          @ledger.lock([id])
          row = row(id)
          read = Lantern::Plan::Material.check(JSON.parse(row[:document]).merge("on_hand" => [piece]), units:)
          lot = lots(id, read).first or
            raise Problem.at("piece", "Say how many there are: at least one.")
          count = read.counted? ? lot.count * (change <=> 0) : change
          @ledger.write(kind, [{material_id: id, kind:, change: count, **@ledger.sides_on_hand(lot)}])
          find(id)
        end
      end

      # What cutting does, as entries of the ledger. What is cut is cut from a lot that is on hand, whose size
      # a plan in other units only has rounded.
      # @param moves [Array<Lantern::Cut::Move>]
      # @param ids [Hash{String=>Integer}] rows by their materials' ids
      # @return [Array<Hash>]
      def entries_of(moves, ids)
        moves.filter_map do |move|
          next unless ids[move.material]
          lot = Ledger::Lot.of(ids[move.material], move.to_h, move.change)
          {kind: move.kind.to_s, material_id: lot.material_id, change: lot.count,
           **((move.kind == :cut) ? @ledger.sides_on_hand(lot) : lot.sides)}
        end
      end

      # A roll that turned out to hold a join: one length becomes two.
      # @param piece [Object] the whole length
      # @param at [Object] where the join is, from either end
      # @raise [Missing, Ledger::TooLittle, Problem]
      def splice(id, piece, at, units)
        @database.atomically do
          @ledger.lock([id])
          read = Lantern::Plan::Material.check(JSON.parse(row(id)[:document]).merge("on_hand" => [piece, at]), units:)
          unless read.lengthwise?
            raise Problem.at("piece", "Only what is sold by length can hold a join.")
          end
          whole, part = lots(id, read)
          sides = @ledger.sides_on_hand(whole)
          unless part.length < sides[:length]
            raise Problem.at("at", "The join must lie within the length.")
          end
          one = {material_id: id, kind: "corrected"}
          @ledger.write("corrected", [{**one, **sides, change: -1}, {**one, length: part.length, change: 1},
            {**one, length: sides[:length] - part.length, change: 1}])
          find(id)
        end
      end

      # @return [Array<Hash>] what came and went of a material, the latest first
      def entries(id, units)
        row = row(id)
        counted = Lantern::Plan::Kind.fetch(row[:kind]).counted?
        @ledger.entries(id).map do |entry|
          size = entry.values_at(:width, :end_width, :length).reject(&:zero?)
            .map { Lantern::Measure::Length.exact_text(Rational(_1, Ledger::PER_INCH), units:) }
          {"id" => entry[:id], "action" => entry[:action_id], "kind" => entry[:kind], "change" => entry[:change],
           "size" => counted ? "" : size.join(" by "),
           "wreath" => entry[:wreath_id], "wreath_name" => entry[:wreath_name],
           "at" => entry[:at].utc.strftime("%Y-%m-%dT%H:%M:%SZ"),
           "can_undo" => [1, true].include?(entry[:undone]) ? false :
           !%w[undone cut].include?(entry[:action_kind])}.compact
        end
      end

      # A plan's material as the stash now has it, in the plan's units; the plan's own when it is not from the stash.
      def fresh(material, stash, units)
        row = material.is_a?(Hash) && stash[material["id"]]
        row ? in_units(row, row[:stock], units) : material
      end

      private

      def table = :materials

      # What is in the bin gives its name free.
      def leaving(row) = {slug: "~#{row[:id]}", deleted_slug: row[:slug]}

      def returning(row) = {slug: row[:deleted_slug], deleted_slug: nil}

      # Whether what is on hand of these can be kept: whatever is kept can be shown again.
      # @raise [Problem]
      def keepable(ids)
        stock = @ledger.stock(ids)
        rows.where(id: ids).each do |row|
          Lantern::Plan::Material.check(in_units(row, stock.fetch(row[:id], []), nil), units: row[:units])
        rescue Lantern::Plan::Refused => refused
          raise Problem.at("on_hand", "What would be on hand of #{row[:name]} cannot be kept: " \
            "#{refused.problems.first.says} Nothing was changed.")
        end
      end

      def take(document, row, units)
        return add(document, units) && "added" unless row
        # What was found by practising stands in no row of a file.
        document = JSON.parse(row[:document]).slice("tried").merge(document)
        before = in_units(row, row[:stock], units)
        return "same" if same?(before, document, units)
        change(row[:id], row[:version], document, units)
        "changed"
      end

      # Whether two documents say the same, however they write it; in what order the lengths lie does not matter.
      def same?(before, document, units)
        one, other = [before, document].map do |each|
          read = Lantern::Plan::Material.check(each, units:)
          read.with(on_hand: read.on_hand.sort_by(&:inspect))
        end
        one == other
      rescue Lantern::Plan::Refused
        false
      end

      def values(read, material, units)
        {slug: read.id, kind: read.kind.to_s, name: read.name, units:,
         document: JSON.generate(material.except("on_hand"))}
      end

      def lots(id, read)
        return [Ledger::Lot.of(id, {}, read.on_hand.sum)].reject { _1.count.zero? } if read.counted?
        read.on_hand.map { Ledger::Lot.of(id, _1.is_a?(Hash) ? _1 : {length: _1}) }
      end

      # A material's document in these units, with the lots that are on hand.
      def in_units(row, lots, units)
        document = Lantern::Plan::Units.change_material(JSON.parse(row[:document]), from: row[:units],
          to: units || row[:units])
        document.merge("on_hand" => lots.flat_map { |lot| pieces(lot, units || row[:units]) })
      end

      def pieces(lot, units)
        return [lot.count] if lot.length.zero?
        said = ->(size) { Lantern::Measure::Length.in_units(Rational(size, Ledger::PER_INCH), units) }
        [lot.width.zero? ? said.call(lot.length) : lot.sides.reject { |_, size| size.zero? }
          .to_h { |side, size| [side.to_s, said.call(size)] }] * lot.count
      end

      def show(row, units = nil, stock = @ledger.stock([row[:id]]))
        document = in_units(row, stock.fetch(row[:id], []), units)
        stamps(row).merge("units" => units || row[:units], "material" => document,
          **Lantern::Plan::Material.understood(document, units: units || row[:units]))
      end
    end
  end
end
