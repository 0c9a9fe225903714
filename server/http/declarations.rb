# frozen_string_literal: true

require "digest"
require "json"

module Server
  # What a plan can say, as JSON: it is much to write down, and the same for as long as no covering is added.
  class Declarations
    # @return [(String, String)] the text, and its SHA-256 as hexadecimal digits, for an `ETag` (RFC 9110, 8.8.3)
    def written
      coverings = Lantern::Plan::Methods.to_a
      before = @before
      return before.last if before&.first == coverings
      text = JSON.generate(Lantern.declarations).freeze
      @before = [coverings, [text, Digest::SHA256.hexdigest(text)]].freeze
      @before.last
    end
  end
end
