# frozen_string_literal: true

require "fileutils"

module Server
  # A file that is there whole or not at all: written beside its place, and moved there only when every byte is on the
  # disk.
  #
  #   Server::AtomicFile.open("everything.jsonl") { |file| file << "..." }
  module AtomicFile
    class << self
      # @param path [String]
      # @param perm [Integer] who may read it; nobody else, unless it is said
      # @yieldparam file [File] in binary mode
      # @raise [SystemCallError] when it cannot be written; what was there before is as it was
      def open(path, perm: 0o600)
        beside = "#{path}.part-#{Process.pid}"
        File.open(beside, File::WRONLY | File::CREAT | File::TRUNC | File::BINARY, perm) do |file|
          yield file
          file.fsync
        end
        File.rename(beside, path)
        File.open(File.dirname(path), &:fsync)
      ensure
        FileUtils.rm_f(beside)
      end

      # Writes nothing where that is what the file holds: a start has to do on a full disk.
      # @param bytes [String]
      def write(path, bytes, **how)
        return if File.file?(path) && File.binread(path) == bytes.b
        self.open(path, **how) { |file| file.write(bytes) }
      end
    end
  end
end
