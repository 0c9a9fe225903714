# frozen_string_literal: true

require "zxcvbn"

module Server
  module Auth
    # How soon a password is guessed by whoever tries likely ones first: common words, dates, runs, repeats, and what is
    # made of them. Source: Wheeler, zxcvbn (USENIX Security 2016), whose measure this is.
    module PasswordStrength
      # zxcvbn's scores go from 0 to 4; 3 is "safely unguessable", by its author's words, for a slow hash.
      ENOUGH = 3
      # What somebody guesses first here.
      OURS = %w[crisp lantern wreath wreaths workshop].freeze
      SAYS = "is long enough and guessed soon all the same: no runs, repeats or common words with numbers; several " \
        "words that have nothing to do with each other are good"

      # @param own [Array<String>] what is known of whoever takes it
      def self.guessed_soon?(password, *own)
        Zxcvbn.zxcvbn(password, [*own.compact.map(&:to_s), *OURS])["score"] < ENOUGH
      end
    end
  end
end
