# frozen_string_literal: true

require_relative "mariadb"
require_relative "store"

module Server
  # Everything that is kept, to a file and back, from the command line: whether the application runs or not.
  class Keeping
    # @param var [String] where the data live
    def initialize(var)
      @var = File.expand_path(var)
    end

    # @return [Integer] an exit status; a sentence is printed either way
    def backup(path)
      saying do
        reaching do |store|
          if path.end_with?(".gz")
            Backups.write(path) { |file| store.archive.each_line { file << _1 } }
          else
            whole(path) { |file| store.archive.each_line { file << _1 } }
          end
        end
        puts "Everything is in #{path}."
      end
    end

    # @return [Integer] as of {#backup}
    def restore(path)
      saying do
        done = File.open(path, "rb") { |file|
          reaching { |store| Backups.open(file) { store.backups.restore(_1) } }
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
    rescue Lantern::Plan::Refused => refused
      warn refused.problems.first.says
      2
    rescue SystemCallError => error
      warn "#{error.message.sub(/ @ .*/, "").capitalize}. Nothing was changed."
      1
    rescue MariaDB::Failed, Sequel::Error => error
      warn "The database could not be reached. #{error.message}"
      1
    end

    # The application's own database, started for as long as it is needed when it does not run.
    def reaching
      database = MariaDB.new(File.join(@var, "mariadb"))
      ran = database.running?
      database.start
      yield Store.new(database.connect("lantern"), backups: File.join(@var, "backups"))
    ensure
      database.stop if database && !ran
    end

    def whole(path)
      File.open("#{path}.new", "wb", 0o600) do |file|
        yield file
        file.fsync
      end
      File.rename("#{path}.new", path)
    ensure
      FileUtils.rm_f("#{path}.new")
    end
  end
end
