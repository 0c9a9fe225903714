# frozen_string_literal: true

require "fileutils"
require "tempfile"
require "time"
require "zlib"
require_relative "../http/problem"
require_relative "atomic_file"

module Server
  # Backups of its own: every day one, kept for fourteen days; one when a maker asks for it; and one before anything
  # that replaces everything, a restore or a new version's changes to the tables. Each is an archive, packed, and has
  # been read back whole before it takes its place.
  #
  # What a clock once said is not believed: of a kind as many as {KEPT} are kept that are not of the future, and
  # whatever is younger than so many days.
  class Backups
    KEPT = 14
    DAY = 86_400
    # A clock that is put right may go back by so much, in seconds.
    AHEAD = 300
    # Bytes of an archive, unpacked; and how a packed one begins.
    MOST = 8_000_000_000
    # What unpacks to more than this, and to so many times what it was packed into, was made to fill a disk: rows pack
    # to a tenth, photos hardly at all (measured).
    PLAIN = 10_000_000
    PACKS_TO = 100
    UNPACKED_AT_ONCE = 262_144
    PACKED = "\x1F\x8B".b
    NAME = /\A(daily|by-hand|before-restore|before-upgrade)-(\d{8}T\d{6}Z)\.jsonl\.gz\z/
    # What a process left behind that was ended while it wrote.
    LEFT_BEHIND = /\.part-(\d+)\z/
    FAILED = "failed"

    # @param directory [String]
    # @param archive [Archive]
    def initialize(directory, archive)
      @directory, @archive = directory, archive
      @failed = nil
    end

    # Writes one, whole and tried, or not at all.
    # @param kind [String] `daily`, `by-hand`, `before-restore` or `before-upgrade`
    # @param now [Time]
    # @return [String] its name
    # @raise [SystemCallError, Problem]
    def make(kind, now = Time.now)
      FileUtils.mkdir_p(@directory, mode: 0o700)
      sweep
      name = free_name(kind, now)
      Backups.write(File.join(@directory, name), tried: ->(file) { @archive.check_whole(file) }) do |file|
        @archive.each_line(now) { file << _1 }
      end
      thin(kind, now)
      name
    end

    # Makes today's, when it is a day since the last. One of the future is none: some clock was wrong.
    # @return [String, nil] its name, when one was made
    def daily(now = Time.now)
      last = list.find { _1["kind"] == "daily" && at(_1) < now + AHEAD }
      return if last && now - at(last) < DAY - 60
      make("daily", now).tap { note_failure(nil) }
    rescue Problem => problem
      note_failure("it could not be read back: #{problem.problems.first.says}")
      nil
    rescue SystemCallError, Sequel::Error => error
      note_failure(error.is_a?(SystemCallError) ? error.message.sub(/ @ .*/, "") : "the database did not answer")
      nil
    end

    # Why the last of the day's backups failed, whichever process made it; nil when it did not.
    # @return [String, nil]
    def failed
      @failed || (File.read(failure) if File.exist?(failure))
    rescue SystemCallError
      nil
    end

    # @return [Array<Hash>] the latest first
    def list = names.filter_map { entry(_1) }.sort_by { _1["at"] }.reverse

    # What lies among them and is none: another name, or a day that no calendar has. It is left alone.
    # @return [Array<String>] in order
    def passed_over
      names.reject { |name| name == FAILED || name.match?(LEFT_BEHIND) || name.start_with?("workshop-") || entry(name) }
        .sort
    end

    # When the last one was made; each was read back when it was.
    # @return [String, nil]
    def last_good(now = Time.now) = list.find { at(_1) < now + AHEAD }&.fetch("at")

    # Throws all of them away, for a workshop that is deleted for good.
    def delete = list.each { FileUtils.rm_f(File.join(@directory, _1["name"])) }

    # Puts everything back as it was in one of them; what is there now is kept as another.
    # @raise [Store::Missing, Problem]
    def bring_back(name)
      raise Store::Missing unless name.match?(NAME) && File.file?(File.join(@directory, name))
      File.open(File.join(@directory, name), "rb") { |file| Backups.open(file) { restore(_1) } }
    end

    # Restores an archive; what is there now is kept as a backup first.
    # @param io [IO] a file that can be read twice
    # @return [Hash] how many rows of each table, and the name of the backup
    # @raise [Problem]
    def restore(io)
      @archive.check(io)
      name = make("before-restore")
      {"restored" => @archive.restore(io), "before" => name}
    end

    class << self
      # Where the backups of a workshop are: of the first, where they were before there were others.
      # @param directory [String]
      # @param workshop [Integer]
      def folder(directory, workshop)
        (workshop == TenantDataset::FIRST) ? directory : File.join(directory, "workshop-#{workshop}")
      end

      # Writes a packed file beside its place and moves it there when it is whole, on the disk, and was tried.
      # @param tried [#call, nil] takes what was written, unpacked again; raises what is wrong with it
      # @yieldparam file [#<<]
      def write(path, tried: nil)
        AtomicFile.open(path) do |file|
          packed = Zlib::GzipWriter.new(file)
          yield packed
          packed.finish
          file.flush
          File.open(file.path, "rb") { |written| self.open(written, &tried) } if tried
        end
      end

      # Opens an archive, packed or plain, as a file that can be read twice.
      # @param source [IO, StringIO] that can be rewound
      # @yieldparam file [IO]
      # @raise [Problem] when it cannot be unpacked, or holds more than there can be
      def open(source)
        unnamed do |plain|
          packed = source.read(2).to_s.b == PACKED
          source.rewind
          packed ? unpack(source, plain) : IO.copy_stream(source, plain, MOST + 1)
          refuse("The archive holds more than #{MOST / 1_000_000_000} GB. Nothing was changed.") if plain.pos > MOST
          plain.rewind
          yield plain
        end
      rescue Zlib::Error
        refuse("The archive is packed and cannot be unpacked: it is damaged. Nothing was changed.")
      end

      # A file that has no name, so that nothing of it stays behind, however its process ends.
      # @yieldparam plain [IO]
      def unnamed
        plain = begin
          File.open(Dir.tmpdir, File::RDWR | File::TMPFILE | File::BINARY, 0o600)
        rescue Errno::EOPNOTSUPP, Errno::EISDIR
          # A disk that has no such files.
          Tempfile.create("lantern-archive").tap { |file| File.unlink(file.path) && file.binmode }
        end
        yield plain
      ensure
        plain&.close
      end

      private

      def unpack(source, plain)
        reader = Zlib::GzipReader.new(source)
        while plain.pos <= MOST && (chunk = reader.read(UNPACKED_AT_ONCE))
          plain.write(chunk)
          next unless plain.pos > PLAIN && plain.pos > PACKS_TO * source.pos
          refuse("The archive unpacks to far more than any archive holds. Nothing was changed.")
        end
      end

      def refuse(says) = raise(Problem.at("", says))
    end

    private

    def failure = File.join(@directory, FAILED)

    def names
      Dir.children(@directory)
    rescue Errno::ENOENT
      []
    end

    def entry(name)
      kind, at = name.match(NAME)&.captures
      return unless kind
      {"name" => name, "kind" => kind, "at" => Time.strptime(at, "%Y%m%dT%H%M%S%z").utc.iso8601,
       "bytes" => File.size(File.join(@directory, name))}
    rescue ArgumentError, Errno::ENOENT
      nil
    end

    def at(backup) = Time.iso8601(backup["at"])

    # Takes away what processes left behind that are no more.
    def sweep
      names.each do |name|
        process = name[LEFT_BEHIND, 1] or next
        FileUtils.rm_f(File.join(@directory, name)) unless alive?(process.to_i)
      end
    end

    def alive?(process)
      Process.kill(0, process)
      true
    rescue Errno::ESRCH
      false
    rescue Errno::EPERM
      true
    end

    # On a disk that is full, it is known to this process at least.
    def note_failure(says)
      @failed = says
      says ? File.write(failure, says) : FileUtils.rm_f(failure)
    rescue SystemCallError
      nil
    end

    # No backup takes another's place.
    def free_name(kind, now)
      name = "#{kind}-#{now.utc.strftime("%Y%m%dT%H%M%SZ")}.jsonl.gz"
      File.exist?(File.join(@directory, name)) ? free_name(kind, now + 1) : name
    end

    # As many of a kind are kept, the latest, and whatever is not so many days old; of those of the future, which some
    # clock made, as many.
    def thin(kind, now)
      ahead, past = list.select { _1["kind"] == kind }.partition { at(_1) >= now + AHEAD }
      old = past.drop(KEPT).select { kind != "daily" || now - at(_1) >= KEPT * DAY }
      [*ahead.drop(KEPT), *old].each { FileUtils.rm_f(File.join(@directory, _1["name"])) }
    end
  end
end
