# frozen_string_literal: true

require_relative "../tenancy/workshops"
require_relative "../database/private"
require_relative "../database/external"
require_relative "atomic_file"
require_relative "store"

module Server
  # Everything that is kept of a workshop, to a file and back, from the command line: whether the application runs or
  # not.
  class BackupCommand
    # @param var [String] where the data live
    # @param outside [String, nil] the address of another database than the private one
    # @param workshop [Integer]
    def initialize(var, outside: nil, workshop: TenantDataset::FIRST)
      @var, @outside, @workshop = File.expand_path(var), outside, workshop
    end

    # @return [Integer] an exit status; a sentence is printed either way
    def backup(path)
      saying do
        with_store do |store|
          if path.end_with?(".gz")
            Backups.write(path) { |file| store.archive.each_line { file << _1 } }
          else
            AtomicFile.open(path) { |file| store.archive.each_line { file << _1 } }
          end
        end
        puts "Everything is in #{path}."
        puts @others if @others
      end
    end

    # @return [Integer] as of {#backup}
    def restore(path)
      saying do
        done = File.open(path, "rb") { |file|
          with_store { |store| Backups.open(file) { store.backups.restore(_1) } }
        }
        rows = done["restored"]
        puts "Restored: #{rows["wreaths"]} wreaths, #{rows["materials"]} materials, #{rows["occasions"]} occasions. " \
          "What was there before is in #{File.join(@var, "backups", done["before"])}."
      end
    end

    private

    def saying
      yield
      0
    rescue PrivateDatabase::Failed, Sequel::Error => error
      warn "The database could not be reached. #{error.message}"
      1
    rescue Lantern::Problem => problem
      warn problem.problems.first.says
      2
    rescue SystemCallError => error
      warn "#{error.message.sub(/ @ .*/, "").capitalize}. Nothing was changed."
      1
    end

    # The application's own database, started for as long as it is needed when it does not run.
    def with_store
      database = @outside ? ExternalDatabase.new(@outside) : PrivateDatabase.new(File.join(@var, "mariadb"))
      ran = @outside || database.running?
      database.start
      store = Store.new(database.connect("lantern"), backups: File.join(@var, "backups"))
      there = Tenancy::Workshops.new(store.database).all
      unless there.include?(@workshop)
        raise Problem.at("", "There is no workshop #{@workshop}; there are #{there.join(", ")}.")
      end
      @others = "It is workshop #{@workshop}, one of #{there.size}: say another's number after the file." if there[1]
      yield store.of(@workshop)
    ensure
      database.stop if database && !ran
    end
  end
end
