# frozen_string_literal: true

require "digest"
require "json"

module Server
  class Store
    # Answers that are worked once and kept: a wreath's line in the list, its picture. Each stands under a digest of the
    # question, of the plan with its stash as it is, and of the code that answers; so none is ever stale, and none
    # has to be thrown away when something changes.
    class Kept
      # What nobody asked for in so many days goes.
      DAYS = 60
      CORE = File.expand_path("../../core", __dir__)
      SVG = File.expand_path("../export/svg", __dir__)

      class << self
        # @return [String] a digest of everything that answers
        def code
          @code ||= Dir[File.join(CORE, "**/*.rb"), File.join(SVG, "*.rb")].sort
            .reduce(Digest::SHA256.new) { |digest, file| digest << File.read(file) }.hexdigest
        end
      end

      def initialize(database)
        @database = database
      end

      # @return [String] where the answer to a question about a document stands
      def digest(question, document) =
        Digest::SHA256.hexdigest([Kept.code, question, JSON.generate(document)].join("\0"))

      # @return [Hash{String=>String}] those of some answers that are kept, by their digests
      def of(digests) = rows.where(digest: digests).select_hash(:digest, :body)

      # The answer as it is kept, or as it is worked now and kept from then on.
      # @yieldreturn [String]
      def fetch(digest)
        kept = rows.where(digest:).get(:body)
        noting { rows.where(digest:).exclude(used_on: Date.today).update(used_on: Date.today) } if kept
        kept || yield.tap { |body| noting { rows.insert_ignore.insert(digest:, body:, used_on: Date.today) } }
      end

      private

      # What cannot be noted, on a full disk, is answered all the same.
      def noting
        yield
      rescue Sequel::DatabaseError
        nil
      end

      def rows = @database[:kept_answers]
    end
  end
end
