# frozen_string_literal: true

require "digest"

module Server
  class Store
    # Pictures of materials, and photos that are measured: each kept once, under a digest of what it shows.
    class Pictures
      # What nothing names any more goes after so many days.
      DAYS = 2

      def initialize(database)
        @database = database
      end

      # @param picture [Photo::Safe]
      # @return [Hash] ready for JSON
      def keep(picture)
        id = Digest::SHA256.hexdigest(picture.bytes)
        rows.insert_ignore.insert(id:, type: picture.type, width: picture.width, height: picture.height,
          bytes: Sequel.blob(picture.bytes))
        {"id" => id, "width" => picture.width, "height" => picture.height, "colour" => picture.colour}
      end

      # @return [Hash] `type`, `width`, `height`, `bytes`
      # @raise [Missing]
      def find(id) = rows.first(id: id.to_s) || raise(Missing)

      # The photos of a plan's materials, as data addresses by their names.
      # @return [Hash{String=>String}]
      def of(plan)
        named = Array(plan["materials"]).grep(Hash).filter_map { _1["picture"] }.grep(String).uniq
        rows.where(id: named).to_h { [_1[:id], "data:#{_1[:type]};base64,#{[_1[:bytes]].pack("m0")}"] }
      end

      private

      def rows = @database[:pictures]
    end
  end
end
