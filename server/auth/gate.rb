# frozen_string_literal: true

require_relative "../http/contract"
require_relative "../http/problem"
require_relative "../tenancy/workshops"

module Server
  module Auth
    # Who may ask what is said by the contract, of the route that will answer. Behind the gate, `lantern.workshop` is
    # the workshop that is asked, and `lantern.role` what who asks is in it.
    class Gate
      HERE = "workshop_id"
      # Which workshop a screen believes to be in.
      BELIEVED = "HTTP_LANTERN_WORKSHOP"

      # @param database [Sequel::Database]
      # @param contract [Contract]
      def initialize(app, database, contract)
        @app, @workshops, @contract = app, Tenancy::Workshops.new(database), contract
      end

      def call(env)
        account, who = env["lantern.account"], @contract.who(env[ROUTE])
        return refuse(401, "Sign in first. What is on this screen is kept.") unless account || who == Contract::STRANGER
        enter(env, account) if account
        refusal(env, who) || @app.call(env)
      end

      private

      # Into the workshop that the device chose, or into the first that who asks is in.
      def enter(env, account)
        all = @workshops.of(account)
        chosen = env["rack.session"][HERE]
        here = all.find { _1["id"] == chosen } || all.first or return
        env["lantern.workshop"], env["lantern.role"] = here["id"], here["role"]
        env["lantern.workshops"] = all
      end

      def refusal(env, who)
        return if [Contract::STRANGER, Contract::ACCOUNT].include?(who)
        workshop, role = env.values_at("lantern.workshop", "lantern.role")
        return refuse(403, "You are in no workshop any more: make one of your own, or ask for a link.") unless workshop
        believed = env[BELIEVED]
        return moved(workshop) if believed && believed != workshop.to_s
        return if who == Contract::HELPER || role == Tenancy::Workshops::MAKER
        refuse(403, "A helper counts at the bench and ticks cuts; this is for a maker of the workshop. " \
          "Nothing was changed.")
      end

      # Another screen of the device has gone to another workshop: what this one has is not for there.
      def moved(workshop)
        refuse(409, "This device has gone to another workshop. Nothing was changed; load this screen again.",
          "lantern-workshop" => workshop.to_s)
      end

      def refuse(status, says, headers = {}) = Problem.response(status, says, headers)
    end
  end
end
