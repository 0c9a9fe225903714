# frozen_string_literal: true

require "digest"
require "json"
require "sequel"
require_relative "../workers/runner"
require "tmpdir"
require_relative "archive"
require_relative "backups"
require_relative "ledger"
require_relative "../tenancy/dataset"
require_relative "../database/errors"
require_relative "clean_up"
require_relative "transactions"

module Server
  # What is kept of one workshop: its wreaths and its stash. Every row has a version; whoever saves says which version
  # they had before them, and is told when it is no longer the latest.
  class Store
    # Raised when somebody else saved first. `current` is the row as it now is.
    class Outdated < Problem.of(409, "Somebody saved this in the meantime. Nothing of either is lost: choose which " \
      "to keep.", at: "version")
      attr_reader :current

      def initialize(current)
        @current = current
        super()
      end

      def to_h = super.merge("current" => current)
    end

    # Raised when a wreath was cut with others, and only all of them can be taken back.
    Together = Problem.of(409, "It was cut together with the other wreaths of its occasion: take it back there.")

    Missing = Problem.of(404, "There is nothing here; it may have been deleted.")

    Taken = Problem.of(422, "Something else has this name already.", at: "id")

    Finished = Problem.of(409, "So many were not cut for: the others are finished, and in the notebook. To make it " \
      "again, copy the wreath and cut for the copy. Nothing was changed.", at: "count")

    NothingToBuy = Problem.of(409, "What is on hand is enough: nothing has to be bought for it. Nothing was changed.")

    Settled = Problem.of(409, "This was done already, perhaps on another screen. Nothing was changed.")

    MIGRATIONS = File.expand_path("../migrations", __dir__)

    # Brings the tables of a database to where this version wants them; what is there already is kept as a file
    # first. Every statement can be made again, so that a kill between any two leaves nothing that stands in the way.
    # @param backups [String, nil] the directory for that file; nil to make none
    def self.migrate(database, backups: nil)
      database.extend(Transactions)
      Sequel.extension :migration
      return if Sequel::Migrator.is_current?(database, MIGRATIONS)
      keep_before_upgrade(database, backups) if backups && database.table_exists?(:wreaths)
      Sequel::Migrator.run(database, MIGRATIONS)
    end

    # A file for every workshop, as it was before its tables change. Of so many that they are a guild's, the database
    # has backups of its own.
    def self.keep_before_upgrade(database, backups)
      # An upgrade to workshops that was cut short has them in some tables only, and is not done.
      if database[:schema_info].get(:version).to_i < WORKSHOPS
        return Backups.new(backups, Archive.new(database, nil)).make("before-upgrade") if database[:wreaths].any?
        return
      end
      numbers = database[:wreaths].distinct.limit(GUILD).select_map(:workshop_id)
      return if numbers.size >= GUILD
      numbers.each do |number|
        archive = Archive.new(TenantDataset.new(database, number), nil)
        Backups.new(Backups.folder(backups, number), archive).make("before-upgrade")
      end
    end
    private_class_method :keep_before_upgrade

    # Since this version of the tables there are workshops.
    WORKSHOPS = 16

    # So many workshops are a guild, whose backups are those of its database.
    GUILD = 200

    # @return [Sequel::Database] with what is everybody's
    attr_reader :database

    # @return [TenantDataset] with what is this workshop's
    attr_reader :own

    attr_reader :settings, :kept, :pictures, :uploads, :wreaths, :materials, :forms, :ledger, :occasions, :archive,
      :places, :bench, :notebook, :backups, :revisions

    # @param database [Sequel::Database]
    # @param answers [TaskRunner] whom it asks what a plan comes to
    # @param backups [String, nil] the directory where backups of its own go
    # @param workshop [Integer] whose it is
    # @param most [Hash{Symbol=>Integer}] as of {TenantDataset}
    # @param ready [Boolean] whether the tables are known to be as this version wants them
    def initialize(database, answers: TaskRunner.new, backups: nil, workshop: TenantDataset::FIRST, most: {},
      ready: false)
      @database, @answers, @folder, @most = database, answers, backups, most
      Store.migrate(database, backups:) unless ready
      @own = TenantDataset.new(database, workshop, most:)
      @settings, @kept, @pictures, @bench = Settings.new(@own), Kept.new(@own), Pictures.new(@own), Bench.new(@own)
      @ledger, @revisions = Ledger.new(@own), Revisions.new(@own)
      @uploads = Uploads.new(@own)
      @materials = Materials.new(@own, @ledger)
      @forms = Forms.new(@own, answers)
      @places = Places.new(@own, @pictures, answers)
      @wreaths = Wreaths.new(@own, @materials, @forms, @ledger, answers)
      @archive = Archive.new(@own, @ledger)
      @backups = Backups.new(backups ? Backups.folder(backups, workshop) : Dir.tmpdir, @archive)
      @notebook = Notebook.new(@own, @wreaths, @materials, @ledger, @bench, answers)
      @occasions = Occasions.new(@own, @wreaths, @materials, @forms, @ledger, answers)
    end

    # The same of another workshop.
    # @param workshop [Integer]
    # @param most [Hash{Symbol=>Integer}]
    # @return [Store]
    def of(workshop, most: @most)
      return self if workshop == @own.workshop && most == @most
      Store.new(@database, answers: @answers, backups: @folder, workshop:, most:, ready: true)
    end

    # Runs the block, which asks the database.
    # @param again [Boolean] whether it changes nothing
    # @raise [DatabaseErrors::Unavailable]
    def translating_errors(again: false, &asked) = DatabaseErrors.translate(@database, again:, &asked)

    # Runs the block once in the life of this workshop, as one change; for the demo.
    def once(name)
      @own.atomically do
        next if @own[:settings].where(name:).any?
        yield
        @own[:settings].insert(name:, value: "done")
      end
    end

    # Whether that was done in the life of this workshop.
    def done?(name) = @own[:settings].where(name:).any?

    # Runs the block as one change, once for every name that a request brings; whoever brings it again within a day
    # is given the same answer.
    # @param name [String] the request's own, which no other has
    # @param route [String] what was asked, so that a name that is used twice for different things is seen
    # @yieldreturn [(Integer, String)] a status and a body
    # @return [(Integer, String)]
    # @raise [Settled] when the name was used for something else
    def once_for(name, route)
      @own.atomically do
        requests = @own[:requests]
        # Whoever comes second waits here until the first is done.
        requests.insert_ignore.insert(name:, route:)
        before = requests.where(name:).for_update.first
        raise Settled unless before[:route] == route
        next before.values_at(:status, :body) if before[:status]
        yield.tap { |status, body| requests.where(name:).update(status:, body:) }
      end
    end

    # For what replaces everything, names of requests too, and so notes its own afterwards: the answer that was given
    # to it within a day, or what the block does now.
    # @param name [String] the request's own
    # @yieldreturn [String] a body
    # @return [String]
    def once_replaced(name, route)
      key = Digest::SHA256.hexdigest("#{route} #{name}")
      @own[:requests].where(name: key).get(:body) ||
        yield.tap { |body| @own[:requests].insert_ignore.insert(name: key, route:, status: 200, body:) }
    end

    # Takes an action of the ledger back, and with it whatever it did elsewhere.
    # @raise [Ledger::Undone, Ledger::TooLittle]
    def undo(action)
      if (id = @occasions.cut_by(action)) then @occasions.uncut(id)
      elsif (id = @wreaths.cut_by(action)) then @wreaths.uncut(id, nil)
      else @ledger.undo(action)
      end
    end

    # Lets go of what is old enough, in all workshops.
    def tidy = CleanUp.new(@database).call
  end
end

require_relative "binned"
require_relative "bench"
require_relative "forms"
require_relative "settings"
require_relative "kept"
require_relative "materials"
require_relative "notebook"
require_relative "occasions"
require_relative "pictures"
require_relative "places"
require_relative "revisions"
require_relative "uploads"
require_relative "wreaths"
