# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      # A piece in other sizes, all its lengths in proportion: what {Ask::Backwards} tries. What is bought stays.
      module Enlarging
        # By sixteenths, from half of it to three times, and no wider than the form; nothing where no part has a length.
        # @return [Array<Rational>]
        def enlargements
          return [] if parts.all? { _1.lengths.empty? }
          widest = [form.silhouette.width, reach].max
          (8..48).map { _1/16r }.select { _1 * reach <= widest }
        end

        # @param factor [Rational]
        # @return [Hash] options
        def enlarged(factor) = {parts: parts.map { _1.enlarged(factor) }}

        # @param options [Hash] as {enlarged} has them
        # @return [String]
        def told_as(options) = with_parts(options[:parts]).map(&:told).uniq.join("; ")

        # The same as a plan is written.
        # @return [Hash]
        def written(options) = {"parts" => options[:parts].map { as_plan(_1) }}

        # Its parts as a plan would say them, those that are usual too.
        # @return [Array<Hash>] ready for JSON
        def composition = parts.map { as_plan(_1.whole) }

        private

        def as_plan(part)
          part.to_h { |name, said| [name.to_s, Part.length?(name) ? measured(said) : as_written(said)] }
        end

        def as_written(said) = said.is_a?(Symbol) ? said.to_s : said
      end
    end
  end
end
