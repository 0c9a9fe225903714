# frozen_string_literal: true

module Server
  module Auth
    # Names that people sign in by. However somebody types one, it is the same name: width, case, spaces about it and
    # letters that nobody sees make no difference.
    #
    #   Server::Auth::LoginName.normal(" Bo\u200bB ")   # => "bob"
    module LoginName
      LONGEST = 120
      # Source: Unicode, UAX 44: Default_Ignorable_Code_Point, and control characters.
      UNSEEN = /[\p{Default_Ignorable_Code_Point}\p{Cc}]/

      class << self
        # Source: Unicode, UAX 15 (NFKC) and full case folding.
        def normal(typed) = shown(typed).downcase(:fold).unicode_normalize(:nfkc)

        # As it is shown to others: as it was typed, without what nobody sees.
        def shown(typed) = typed.to_s.scrub("").unicode_normalize(:nfkc).gsub(UNSEEN, "").gsub(/\p{Space}+/, " ").strip

        # The name that is meant. Accounts of before names had one form may have one that is only found as typed.
        # @param among [Sequel::Dataset] accounts
        def of(typed, among:) = among.where(login: typed.to_s).get(:login) || normal(typed)
      end
    end
  end
end
