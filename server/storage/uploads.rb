# frozen_string_literal: true

require_relative "backups"

module Server
  class Store
    # What is sent in parts over a line that is slow or breaks: each part is kept when it has arrived, under the name
    # of the whole and its number, so that whoever sends it goes on with the next. Gone when it was put to use, or a
    # day after its last part.
    class Uploads
      NAME = /\A[A-Za-z0-9_-]{8,80}\z/
      # Bytes of a part, and parts of a whole.
      MOST_BYTES, MOST_PARTS = 1_000_000, 400
      TooMuch = Problem.of(413, "So much is being sent in parts already that there is no room for more, until it is " \
        "whole or a day has passed.")
      Incomplete = Problem.of(409, "Not every part of this has arrived: send those that are missing.")

      def initialize(database)
        @database = database
      end

      # The same part again takes the place of the first.
      # @raise [TooMuch, Problem]
      def keep(name, number, bytes)
        unless name.match?(NAME) && number.between?(0, MOST_PARTS - 1)
          raise Problem, "A part has a name of 8 to 80 letters, digits and hyphens, and a number below #{MOST_PARTS}."
        end
        raise Problem, "A part has 1 to #{MOST_BYTES} bytes." unless bytes.bytesize.between?(1, MOST_BYTES)
        parts(name).where(number:).delete
        rows.insert(upload: name, number:, bytes: Sequel.blob(bytes))
        there(name)
      rescue TenantDataset::Holds
        raise TooMuch
      end

      # @return [Hash] which parts have arrived, ready for JSON
      def there(name) = {"parts" => parts(name).order(:number).select_map(:number)}

      # The whole, as a file without a name.
      # @param count [Integer] how many parts it has
      # @yieldparam file [IO]
      # @raise [Incomplete]
      def open(name, count)
        raise Incomplete unless there(name)["parts"] == [*0...count]
        Backups.unnamed do |file|
          count.times { |number| file.write(parts(name).where(number:).get(:bytes) || raise(Incomplete)) }
          file.rewind
          yield file
        end.tap { parts(name).delete }
      end

      private

      def rows = @database[:upload_parts]

      def parts(name) = rows.where(upload: name.to_s)
    end
  end
end
