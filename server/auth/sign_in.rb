# frozen_string_literal: true

require "bcrypt"
require "digest"
require "json"
require "roda"
require "rodauth"
require_relative "../http/problem"
require_relative "login_name"
require_relative "password_strength"

module Server
  module Auth
    # Accounts and sessions of a house, by rodauth. In front of the application it says who asks, and answers what is
    # asked about the account itself, under `/api/account`.
    #
    # One class for every database, since rodauth is told of it when the class is made.
    module SignIn
      PREFIX = "account"
      # Wrong passwords in a row before a name is shut, and for how long, in seconds.
      MOST_WRONG, SHUT = 8, 15 * 60
      # What a password is held against when there is nobody whose it could be, so that this takes as long.
      NOBODYS = BCrypt::Password.new("$2a$12$DAzR3cc1Kcmp4gXi0aKLyuIQuFwZcFbcvFEwR3BwLHFj0C.yLV686")
      # A device that was not used for so long has to sign in again, in seconds; and one that was used, in any case.
      # Source: OWASP ASVS 4.0, 3.3.2 (level 1).
      IDLE, LONGEST = 14 * 86_400, 30 * 86_400
      # Source: the same, 2.1.1; and what bcrypt looks at, in bytes.
      SHORTEST_PASSWORD, LONGEST_PASSWORD = 12, 72

      # A name, two passwords, and what stands about them.
      MOST_BYTES = 4_000

      # One sentence for whoever does not come in, whether the name is known, unknown or shut.
      REFUSED = ["login", "This name and this password do not belong together. After #{MOST_WRONG} wrong ones a name " \
        "is shut: then wait a quarter of an hour."].freeze
      # What rodauth says, in our words; and beside which field.
      SAYS = {not_in: REFUSED, invalid_password: ["password", "This is not your password."],
              login_does_not_meet_requirements: ["login", "A name has something to be seen, and 120 letters at most."],
              already_an_account_with_this_login: ["login", "Somebody has this name already: choose another one."]}
        .freeze

      # Under what the tries of a name are counted, whether somebody has it or not.
      def self.tries_of(login) = "sign-in:#{Digest::SHA256.hexdigest(login)}"

      # @param database [Sequel::Database]
      # @param secret [String] with which links and sessions are kept apart from guesses
      # @return [Class] a Rack middleware
      def self.on(database, secret)
        Class.new(Roda) do
          plugin :middleware
          plugin :pass
          # Whatever is no object holds no name and no password.
          plugin :json_parser, content_type_regexp: %r{\Aapplication/json\b}i, wrap: :unless_hash
          plugin :rodauth, json: :only do
            enable :json, :login, :logout, :change_password, :close_account, :create_account, :active_sessions,
              :internal_request, :disallow_common_passwords
            db database
            hmac_secret secret
            # Whoever signs in twice is signed in.
            already_logged_in {}
            prefix "/api/#{PREFIX}"
            # No links are written here; whatever name the machine has in this house is right.
            domain { request.host }
            create_account_autologin? false
            accounts_table :accounts
            login_column :login
            login_param "login"
            require_email_address_logins? false
            login_minimum_length 1
            login_maximum_length LoginName::LONGEST
            normalize_login { |typed| LoginName.of(typed, among: db[:accounts]) }
            account_password_hash_column :password_hash
            skip_status_checks? true
            password_minimum_length SHORTEST_PASSWORD
            password_maximum_bytes LONGEST_PASSWORD
            # Source: OWASP ASVS 4.0, 2.1.7 (level 1): none of the ten thousand that are used most.
            password_is_one_of_the_most_common_message "is one of those that are tried first: choose another"
            require_password_confirmation? false
            require_login_confirmation? false
            # Source: OWASP ASVS 4.0, 2.1.7 and 2.1.8: nor one that is long and guessed all the same.
            password_meets_requirements? do |password|
              next false unless super(password)
              next true unless PasswordStrength.guessed_soon?(password, param(login_param))
              set_password_requirement_error_message(:password_guessed_soon, PasswordStrength::SAYS)
              false
            end
            # As much is done for a name that nobody has, or that is shut, as for one that somebody has.
            account_from_login do |login|
              tries = Rack::Attack.cache.count(SignIn.tries_of(login), SHUT)
              found = super(login)
              next found if found && tries <= MOST_WRONG
              NOBODYS.is_password?(param(password_param))
              nil
            end
            before_create_account { account[:name] = LoginName.shown(param(login_param)) }
            after_login { Rack::Attack.cache.reset_count(SignIn.tries_of(account[:login]), SHUT) }
            # Links that were made by whoever knew the old password let nobody in any more.
            after_change_password { Auth.end_links(db, account_id) }
            session_inactivity_deadline IDLE
            session_lifetime_deadline LONGEST
            active_sessions_insert_hash { super().merge(device: Auth.device(request.user_agent)) }
            # A form that is sent twice finds nobody signed in.
            logout_route "sign-out"
            login_route "sign-in"
            create_account_route nil
            change_password_route "password"
            close_account_route "close"
            delete_account_on_close? true
            # Nobody is left in a workshop that nobody may change.
            before_close_account do
              alone = Tenancy::Workshops.new(db).left_alone_by(account_id)
              throw_error_reason(:only_maker, 422, password_param, Auth.alone(alone)) if alone.any?
            end
            # Once a minute is often enough to know when a device was last used.
            update_current_session? false
            json_response_body { |said| JSON.generate(Auth.said(said, @error_reason)) }
            set_error_reason { |reason| @error_reason = request.path.end_with?("/sign-in") ? :not_in : reason }
          end

          route do |r|
            if env["PATH_INFO"].start_with?("/api/#{PREFIX}") && env["CONTENT_LENGTH"].to_i > MOST_BYTES
              r.halt Problem.response(413, "A name and a password are shorter than that.")
            end
            # Who was shut out is a stranger from then on, and is met as one.
            rodauth.clear_session if rodauth.logged_in? && !rodauth.currently_active_session?
            if rodauth.logged_in?
              env["lantern.account"] = rodauth.session_value
              Auth.note_use(rodauth)
            end
            env["lantern.session"] = rodauth
            r.on("api", PREFIX) {
              r.rodauth
              r.pass
            }
            nil
          end
        end
      end
    end

    # Links into the house that somebody has made and nobody has used.
    def self.end_links(database, account)
      %i[pairings invitations].each { database[_1].where(account_id: account).delete }
    end

    # What rodauth answers, as everything else here is answered.
    # @param said [Hash]
    # @param reason [Symbol, nil]
    def self.said(said, reason)
      return {"ok" => true} unless said["error"]
      at, says = SignIn::SAYS[reason] || said["field-error"] || ["", said["error"]]
      {"problems" => [{"at" => at, "says" => sentence(says)}]}
    end

    # @param names [Array<String>] of workshops
    def self.alone(names) = "You are the only maker of #{names.join(", ")}: make somebody else maker there, or " \
      "delete it first. Your account stays."

    # When a device was last used, to the minute.
    def self.note_use(rodauth)
      key = rodauth.session[rodauth.session_id_session_key]
      rodauth.db[:account_active_session_keys]
        .where(account_id: rodauth.session_value, session_id: rodauth.send(:compute_hmac, key))
        .where { last_use < Sequel.lit("CURRENT_TIMESTAMP - INTERVAL 1 MINUTE") }
        .update(last_use: Sequel::CURRENT_TIMESTAMP)
    end

    def self.sentence(text) = text.match?(/[.!?]\z/) ? text : "#{text[0].upcase}#{text[1..]}."

    # What a device is called in the list: its browser and its system, as it says itself.
    def self.device(agent)
      browser = {"Edg/" => "Edge", "Firefox/" => "Firefox", "Chrome/" => "Chrome", "Safari/" => "Safari"}
        .find { |mark, _| agent.to_s.include?(mark) }&.last || "A browser"
      system = {"iPhone" => "iPhone", "iPad" => "iPad", "Android" => "Android", "Windows" => "Windows",
                "Mac OS" => "Mac", "Linux" => "Linux"}.find { |mark, _| agent.to_s.include?(mark) }&.last
      system ? "#{browser} on #{system}" : browser
    end
  end
end
