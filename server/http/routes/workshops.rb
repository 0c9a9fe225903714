# frozen_string_literal: true

require_relative "../../auth"

module Server
  module Routes
    # The workshop that is asked, who works in it, and the others that who asks belongs to.
    module Workshops
      module Asking
        def workshops = Tenancy::Workshops.new(database)

        def here = env["lantern.workshop"]

        def go_to(workshop) = env["rack.session"][Auth::Gate::HERE] = workshop

        # @return [Hash, nil]
        def membership = here && env["lantern.workshops"].find { _1["id"] == here }

        def role_sent
          return sent["role"] if Tenancy::Workshops::ROLES.include?(sent["role"])
          raise Problem.at("role", "One is a maker or a helper.")
        end

        # @raise [Problem]
        def invitation
          workshops.invitation(params["token"]) or
            raise Problem.at("", "This invitation was used already, or its week is over: ask for " \
              "another one.")
        end

        # @raise [Problem]
        def verify_password!
          return if session_of_rodauth.send(:password_match?, sent["password"].to_s)
          raise Problem.at("password", "This is not your password. Nothing was deleted.")
        end
      end

      def self.registered(app)
        app.helpers Asking
        app.instance_eval do
          %w[/api/workshops /api/workshops/* /api/workshop /api/workshop/* /api/invitations/*].each { |path|
            before(path) { raise Store::Missing unless settings.house }
          }

          get("/api/workshops") {
            JSON.generate("workshops" => workshops.of(account).map { _1.merge("here" => _1["id"] == here) })
          }

          post("/api/workshops") {
            # To no workshop yet: who asks again may be in the new one already.
            code, body = once(201, settings.store) {
              JSON.generate("ok" => true, "id" => workshops.found(account, sent["name"]))
            }
            go_to(JSON.parse(body)["id"])
            status code
            body
          }

          put("/api/workshops/here") {
            raise Store::Missing unless workshops.of(account).any? { _1["id"] == sent["id"] }
            go_to(sent["id"])
            JSON.generate("ok" => true)
          }

          get("/api/workshop") {
            people = workshops.people(here).map { _1.merge("you" => _1["id"] == account) }
            JSON.generate(membership.merge("people" => people, "may_hold" => Tenancy::Workshops::MOST))
          }

          put("/api/workshop") {
            workshops.rename(here, sent["name"])
            JSON.generate("ok" => true)
          }

          post("/api/workshop/delete") {
            verify_password!
            unless sent["name"].to_s.strip == workshops.name(here)
              raise Problem.at("name", "That is not its name. Nothing was deleted.")
            end
            workshops.delete(here)
            store.backups.delete
            JSON.generate("ok" => true)
          }

          post("/api/workshop/leave") {
            workshops.remove(here, account)
            JSON.generate("ok" => true)
          }

          put("/api/workshop/people/:id") {
            workshops.change(here, id, role_sent)
            JSON.generate("ok" => true)
          }

          delete("/api/workshop/people/:id") {
            workshops.remove(here, id)
            JSON.generate("ok" => true)
          }

          post("/api/workshop/invitations") {
            link = link("join", workshops.invite(sent["own"] ? nil : here, sent["own"] ? "maker" : role_sent,
              by: account))
            JSON.generate("link" => link, "qr" => Auth::OneTimeTokens.qr(link), "days" => Tenancy::Workshops::DAYS)
          }

          get("/api/invitations/:token") {
            invited = invitation
            name = invited[:workshop_id] && workshops.name(invited[:workshop_id])
            JSON.generate({"workshop" => name, "role" => invited[:role]}.compact)
          }

          post("/api/invitations/:token") {
            # Somebody else may have used it in the meantime.
            id, workshop = workshops.join(params["token"]) {
              id = account || new_account(sent["login"], sent["password"])
              [id, sent["name"] || "Workshop of #{account_name(id)}"]
            }
            workshop or invitation
            come_in(id) unless account
            go_to(workshop)
            JSON.generate("ok" => true)
          }
        end
      end
    end
  end
end
