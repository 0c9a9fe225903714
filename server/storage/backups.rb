# frozen_string_literal: true

require "fileutils"
require "tempfile"
require "time"
require "zlib"
require_relative "../http/problem"
require_relative "atomic_file"

module Server
  # Backups of its own: every day one, kept for fourteen days; and one before anything that replaces everything, a
  # restore or a new version's changes to the tables. Each is an archive, packed.
  class Backups
    KEPT = 14
    DAY = 86_400
    # Bytes of an archive, unpacked; and how a packed one begins.
    MOST = 8_000_000_000
    PACKED = "\x1F\x8B".b
    NAME = /\A(daily|before-restore|before-upgrade)-(\d{8}T\d{6}Z)\.jsonl\.gz\z/

    # @param directory [String]
    # @param archive [Archive]
    def initialize(directory, archive)
      @directory, @archive = directory, archive
      @failed = nil
    end

    # Writes one, whole or not at all.
    # @param kind [String] `daily`, `before-restore` or `before-upgrade`
    # @param now [Time]
    # @return [String] its name
    # @raise [SystemCallError]
    def make(kind, now = Time.now)
      FileUtils.mkdir_p(@directory, mode: 0o700)
      name = free_name(kind, now)
      Backups.write(File.join(@directory, name)) { |file| @archive.each_line(now) { file << _1 } }
      thin(kind)
      name
    end

    # Makes today's, when it is a day since the last.
    # @return [String, nil] its name, when one was made
    def daily(now = Time.now)
      last = list.find { _1["kind"] == "daily" }
      return if last && now - Time.iso8601(last["at"]) < DAY - 60
      make("daily", now).tap { note_failure(nil) }
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
    def list
      Dir.children(@directory).filter_map { |name|
        kind, at = name.match(NAME)&.captures
        if kind
          {"name" => name, "kind" => kind, "at" => Time.strptime(at, "%Y%m%dT%H%M%S%z").utc.iso8601,
           "bytes" => File.size(File.join(@directory, name))}
        end
      }.sort_by { _1["at"] }.reverse
    rescue Errno::ENOENT
      []
    end

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

      # Writes a packed file beside its place and moves it there when it is whole and on the disk.
      # @yieldparam file [#<<]
      def write(path)
        AtomicFile.open(path) do |file|
          packed = Zlib::GzipWriter.new(file)
          yield packed
          packed.finish
        end
      end

      # Opens an archive, packed or plain, as a file that can be read twice.
      # @param source [IO, StringIO] that can be rewound
      # @yieldparam file [IO]
      # @raise [Problem] when it cannot be unpacked, or holds more than there can be
      def open(source)
        Tempfile.create("lantern-archive") do |plain|
          plain.binmode
          packed = source.read(2).to_s.b == PACKED
          source.rewind
          copied = IO.copy_stream(packed ? Zlib::GzipReader.new(source) : source, plain, MOST + 1)
          refuse("The archive holds more than #{MOST / 1_000_000_000} GB. Nothing was changed.") if copied > MOST
          plain.rewind
          yield plain
        end
      rescue Zlib::Error
        refuse("The archive is packed and cannot be unpacked: it is damaged. Nothing was changed.")
      end

      private

      def refuse(says) = raise(Problem.at("", says))
    end

    private

    def failure = File.join(@directory, "failed")

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

    # Only so many of a kind are kept, the latest.
    def thin(kind) = list.select { _1["kind"] == kind }.drop(KEPT)
      .each { FileUtils.rm_f(File.join(@directory, _1["name"])) }
  end
end
