# frozen_string_literal: true

require_relative "../../auth"

module Server
  module Routes
    # Who is signed in, on which devices, and how another one comes in.
    module Account
      module Asking
        def accounts = database[:accounts]

        def account = env["lantern.account"]

        def account_name(id) = accounts.where(id:).get(:name)

        def session_of_rodauth = env["lantern.session"]

        def devices = database[:account_active_session_keys].where(account_id: account)

        # A device's own name in addresses: not what its cookie holds.
        def device_name(row) = Digest::SHA256.hexdigest(row[:session_id])[0, 16]

        def own_device
          key = session_of_rodauth.session[session_of_rodauth.session_id_session_key]
          session_of_rodauth.send(:compute_hmac, key)
        end

        def device(row)
          {"id" => device_name(row), "name" => row[:device], "here" => row[:session_id] == own_device,
           "last_use" => row[:last_use].utc.strftime("%Y-%m-%dT%H:%M:%SZ")}
        end

        # Where this is reached from elsewhere in the house: not by the name that the machine has for itself.
        def link(what, token)
          # Without TLS: there a device finds how it is made to trust the house.
          return "http://#{name_here}:#{settings.tls[:plain]}/#{what}/#{token}" if settings.tls
          host = (request.host == name_here) ? request.host_with_port : "#{name_here}:#{request.port}"
          "#{request.scheme}://#{host}/#{what}/#{token}"
        end

        def name_here = Auth.elsewhere?(request.host) ? request.host : settings.house_address || request.host

        # Where it is reached over TLS, and by what its authority is known.
        def tls
          settings.tls && {"address" => "https://#{name_here}:#{settings.tls[:port]}",
                           "fingerprint" => settings.tls[:certificate].fingerprint}
        end

        # Only on the machine itself, and only while there is nobody yet.
        def first?
          # By a name of its own: a page elsewhere may have had its name led to this machine.
          settings.house && Auth.here?(env) && !Auth.elsewhere?(request.host) && accounts.empty?
        end

        # @raise [Problem]
        def new_account(login, password)
          session_of_rodauth.class.create_account(login:, password:)
          accounts.where(login: Auth::LoginName.of(login, among: accounts)).get(:id)
        rescue Rodauth::InternalRequestError => error
          at, says = error.field_errors.first || ["", "That did not work."]
          raise Problem.at(at, Auth.sentence(says))
        end

        def come_in(id)
          session_of_rodauth.instance_exec do
            account_from_id(id)
            login_session("pairing")
          end
        end
      end

      def self.registered(app)
        app.helpers Asking
        app.instance_eval do
          # Where there is no door there is nothing to open.
          before("/api/account/*") { raise Store::Missing unless settings.house }

          get "/api/account" do
            JSON.generate({"house" => settings.house, "first" => first?, "login" => account && account_name(account),
                           "workshop" => (membership if account), "tls" => (tls if settings.house)}.compact)
          end

          # What a device has to trust, for whoever asks: there is nothing secret in it.
          get "/authority.crt" do
            raise Store::Missing unless settings.tls
            send_file settings.tls[:certificate].authority_path, type: "application/x-x509-ca-cert",
              filename: "crisp-lantern-house.crt"
          end

          post "/api/account/first" do
            raise Store::Missing unless first?
            new_account(sent["login"], sent["password"]).then { |id|
              workshops.first(id, account_name(id))
              come_in(id)
            }
            JSON.generate("ok" => true)
          end

          post "/api/account/pairings" do
            link = link("pair", Auth::Pairings.new(database).begin(account))
            JSON.generate("link" => link, "qr" => Auth::OneTimeTokens.qr(link), "minutes" => Auth::Pairings::MINUTES)
          end

          post "/api/account/pairings/:token" do
            id = Auth::Pairings.new(database).take(params["token"]) or
              raise Problem.at("", "This link was used already, or its ten minutes are over: make " \
                "another one on the first device.")
            come_in(id)
            JSON.generate("ok" => true)
          end

          get("/api/account/devices") {
            JSON.generate("devices" => devices.order(:last_use).reverse.map { device(_1) })
          }

          delete "/api/account/devices/:device" do
            row = devices.all.find { device_name(_1) == params["device"] } or raise Store::Missing
            devices.where(session_id: row[:session_id]).delete
            # What that device may have let in does not come in any more.
            Auth.end_links(database, account)
            JSON.generate("ok" => true)
          end
        end
      end
    end
  end
end
