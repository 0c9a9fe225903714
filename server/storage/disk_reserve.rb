# frozen_string_literal: true

require "fileutils"
require "sys/filesystem"

module Server
  # Some megabytes of the disk held back, so that the database stands when everything else is full: it writes a little
  # even where nothing is saved, and more when it starts. They are let go before there is nothing left, and held back
  # again when there is room; in between nothing new is saved, and everything can be read.
  class DiskReserve
    # Bytes held back: more than twice what MariaDB makes for itself when it starts (its temporary tablespace is 12 MB).
    HELD = 32_000_000
    # With less than this, reserve apart, nothing is saved.
    LEAST = 24_000_000
    # It is let go when less than this is left of all.
    LAST = 8_000_000
    WRITTEN_AT_ONCE = 1_000_000
    private_constant :WRITTEN_AT_ONCE

    # @param directory [String] where the database is
    # @param free [#call] bytes that can be written there
    def initialize(directory, free: -> { Sys::Filesystem.stat(directory).bytes_available })
      @path, @free = File.join(directory, "reserve"), free
    end

    # Whether too little is left to save anything.
    def full? = free + held < HELD + LEAST

    # Holds back or lets go, as there is room; called now and then, and before a start.
    # @return [self]
    def keep
      if free < LAST then FileUtils.rm_f(@path)
      elsif held < HELD && free > HELD + 2 * LEAST then hold
      end
      self
    rescue SystemCallError
      # Filled by somebody else at this moment: the next look lets it go.
      self
    end

    private

    # Bytes that no file system keeps as a hole.
    def hold
      File.open(@path, File::WRONLY | File::CREAT | File::TRUNC | File::BINARY, 0o600) do |file|
        bytes = Random.bytes(WRITTEN_AT_ONCE)
        (HELD / WRITTEN_AT_ONCE).times { file.write(bytes) }
      end
    end

    def held = File.size?(@path).to_i

    # What cannot be told is enough.
    def free
      @free.call
    rescue SystemCallError, Sys::Filesystem::Error
      Float::INFINITY
    end
  end
end
