# frozen_string_literal: true

module Lantern
  module Trim
    module Pieces
      # A piece in other sizes, all its lengths in proportion: what {Ask::Backwards} tries. What is bought stays.
      module Enlarging
        # @param factor [Rational]
        # @return [Hash, nil] options; nil where nothing of it has a length
        def enlarged(factor)
          larger = parts.map { _1.enlarged(factor) }
          {parts: larger} unless larger == parts.map { _1.enlarged(2 * factor) }
        end

        # @param options [Hash] as {enlarged} has them
        # @return [String]
        def told_as(options) = with_parts(options[:parts]).map(&:told).uniq.join("; ")

        # The same as a plan is written.
        # @return [Hash]
        def written(options)
          {"parts" => options[:parts].map { |part|
            part.to_h { |name, said| [name.to_s, Part.length?(name) ? measured(said) : as_written(said)] }
          }}
        end

        private

        def as_written(said) = said.is_a?(Symbol) ? said.to_s : said
      end
    end
  end
end
