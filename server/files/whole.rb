# frozen_string_literal: true

require "fileutils"

module Server
  module Files
    # A file that is there whole or not at all: written beside its place, and moved there only when
    # every byte is on the disk.
    module Whole
      module_function

      # @param path [String]
      # @param bytes [String]
      # @raise [SystemCallError] when it cannot be written; what was there before is as it was
      def write(path, bytes)
        beside = "#{path}.part-#{Process.pid}"
        File.open(beside, "wb") do |file|
          file.write(bytes)
          file.fsync
        end
        File.rename(beside, path)
      rescue SystemCallError
        FileUtils.rm_f(beside)
        raise
      end
    end
  end
end
