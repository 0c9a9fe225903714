# frozen_string_literal: true

require "json"
require "sequel"

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

    attr_reader :wreaths, :materials, :forms

    # @param database [Sequel::Database]
    def initialize(database)
      @database = database
      Sequel.extension :migration
      Sequel::Migrator.run(database, MIGRATIONS)
      @materials = Materials.new(database)
      @wreaths = Wreaths.new(database, @materials)
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
      def initialize(database, materials)
        super(database)
        @materials = materials
      end

      def all
        stash = @materials.by_slug
        rows.order(:id).map { show(_1, stash) }
      end

      def add(plan) = insert(name: name(plan), plan: JSON.generate(plan))

      # @raise [Missing, Outdated]
      def change(id, version, plan) = update(id, version, name: name(plan), plan: JSON.generate(plan))

      private

      def table = :wreaths

      # The plan as it was saved, with what the stash now says of its materials.
      def show(row, stash = @materials.by_slug)
        plan = JSON.parse(row[:plan])
        fresh = Array(plan["materials"]).map { |material| @materials.fresh(material, stash, plan["units"]) }
        stamps(row).merge("name" => row[:name], "plan" => plan.merge("materials" => fresh))
      end

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

    # The stash: what the maker owns or buys.
    class Materials < Shelf
      def all(units = nil) = rows.order(:kind, :name, :id).map { show(_1, units) }

      def by_slug = rows.all.to_h { [_1[:slug], _1] }

      # @raise [Taken, Lantern::Plan::Refused]
      def add(material, units)
        insert(values(material, units))
      rescue Sequel::UniqueConstraintViolation
        raise Taken
      end

      # @raise [Missing, Outdated, Taken, Lantern::Plan::Refused]
      def change(id, version, material, units)
        update(id, version, values(material, units))
      rescue Sequel::UniqueConstraintViolation
        raise Taken
      end

      # A plan's material as the stash now has it, in the plan's units; the plan's own when it is not from the stash.
      def fresh(material, stash, units)
        row = material.is_a?(Hash) && stash[material["id"]]
        row ? Lantern::Plan::Units.change_material(JSON.parse(row[:document]), from: row[:units], to: units) : material
      end

      private

      def table = :materials

      def values(material, units)
        read = Lantern::Plan::Material.check(material, units:)
        {slug: read.id, kind: read.kind.to_s, name: read.name, units:, document: JSON.generate(material)}
      end

      def show(row, units = nil)
        document = Lantern::Plan::Units.change_material(JSON.parse(row[:document]), from: row[:units], to: units || row[:units])
        stamps(row).merge("units" => units || row[:units], "material" => document, **Lantern::Plan::Material.understood(document, units: units || row[:units]))
      end
    end
  end
end
