# frozen_string_literal: true

require "committee"
require "json"
require "sinatra/base"
require_relative "../../core/lantern"
require_relative "../workers/runner"
require_relative "concurrency_limit"
require_relative "json_body"
require_relative "preloads"
require_relative "request_guard"
require_relative "../storage/store"

module Server
  # The API and the screens. It stores and it answers; everything about wreaths is asked of the core.
  class App < Sinatra::Base
    ROOT = File.expand_path("../..", __dir__)
    CONTRACT = File.expand_path("../openapi.yaml", __dir__)

    # Answers what the contract of the API does not allow, in the same form as every other problem.
    class Breach < Committee::ValidationError
      def error_body = {"problems" => [{"at" => "", "says" => says}]}

      private

      # The checker's own words, without its inner names.
      def says = "The request is not as it should be: #{message.sub(/#\/\S+ ?/, "").strip}."
    end

    # What works one plan. All of it together takes half of the threads at most; the others are for what is small.
    PLANS = ["/api/work", *Contract.of(CONTRACT).questions.select(&:small).map(&:path)].freeze
    # What a request's own name looks like.
    NAME = /\A[A-Za-z0-9_-]{8,80}\z/

    configure do
      set :environment, :production
      set :show_exceptions, false
      set :raise_errors, false
      # What goes wrong here is written to the log once, below; a refusal is no error.
      set :dump_errors, false
      set :logging, false
      set :public_folder, File.join(ROOT, "web/dist")
      mime_type :webmanifest, "application/manifest+json"
      set :static_cache_control, [:public, max_age: 3600]
      set :host_authorization, permitted_hosts: %w[localhost 127.0.0.1 ::1 [::1]]
      set :store, nil
      # The workshop of whoever asks, where there is only one and nobody signs in; else the door says it.
      set :workshop, nil
      # Whether it is open to the house, and so demands that who asks has signed in.
      set :house, false
      # Under which address the house knows this machine.
      set :house_address, nil
      # How it is reached over TLS, where the house has a certificate of its own: the ports with and without, and the
      # {TLS::HouseCertificate}.
      set :tls, nil
      # What whoever looks after the database last saw of it.
      set :database_there, true
      # What is held back of the disk that the database is on, where that is this machine's.
      set :disk_reserve, nil
      set :answers, TaskRunner.new
      use HTTP::ConcurrencyLimit, paths: PLANS, at_once: Turns::FEW + 1, waiting: 8
      use JsonBody
      use Committee::Middleware::RequestValidation, schema_path: CONTRACT, prefix: "/api", error_class: Breach,
        strict_reference_validation: true, parse_response_by_content_type: false
    end

    before("/api/*") {
      content_type :json
      raise DatabaseErrors::Full if stores? && settings.disk_reserve&.full?
    }

    NoWorkshop = Problem.of(403, "Sign in, and go into a workshop first.")

    # @return [Class] the application where nobody signs in, and everything belongs to the one workshop there is
    def self.without_sign_in = Class.new(self) { set :workshop, TenantDataset::FIRST }

    # The route that would answer, found as Sinatra finds it: the first of those whose pattern fits.
    # @return [String, nil] such as `GET /api/wreaths/:id`
    def self.route_of(verb, path)
      found = routes.fetch(verb, []).find { |pattern, *| pattern.match(path) }
      return "#{verb} #{found.first}" if found
      superclass.route_of(verb, path) if superclass.respond_to?(:route_of)
    end

    # Deletes a row of a shelf, if it is still the version that was before whoever deletes.
    # @yieldreturn [Store::Shelf]
    def self.deletes(path, &shelf)
      delete(path) do
        instance_exec(&shelf).delete(id, params["version"].to_i)
        JSON.generate("ok" => true)
      end
    end

    # A route that changes something: a request that brings a name of its own happens once, however often it is sent.
    # @yieldreturn [Object] ready for JSON
    def self.changes(path, code: 200, &block)
      post(path) do
        code, body = once(code) { JSON.generate(instance_exec(&block)) }
        status code
        body
      end
    end

    Dir[File.join(__dir__, "routes/*.rb")].sort.each { require_relative _1 }
    Routes.constants.sort.each { register Routes.const_get(_1) }

    # The screens are built before anything is served.
    def self.preloads = @preloads ||= Preloads.new(public_folder)

    # Every other address is a screen; the screens find their own way.
    get(%r{/(?!api/|assets/).*}) {
      cache_control :no_cache
      preloads = settings.preloads.for(request.path)
      headers "link" => preloads if preloads
      send_file File.join(settings.public_folder, "index.html")
    }

    error(Lantern::Problem) { |problem| answer 422, problem }

    error(Problem) { |problem| answer problem.status, problem }

    # A row can only name others of a workshop that is there.
    error(Sequel::ForeignKeyConstraintViolation) {
      answer 409, Problem.new("What this belongs to was deleted in the meantime. Nothing was changed.")
    }

    not_found {
      request.path.start_with?("/api/") ? answer(404, Problem.new("There is nothing at this address.")) :
      ""
    }

    error do |error|
      warn "#{error.class}: #{error.message}\n  #{error.backtrace.first(8).join("\n  ")}"
      answer 500, Problem.new("Something went wrong here, and it was written to the log. Nothing was changed.")
    end

    # Behind a door, nothing answers but the route that the door has looked at.
    def route_eval
      asked = env["sinatra.route"].to_s
      if settings.house && asked.match?(%r{\A\w+ /api/}) && asked != env[Auth::ROUTE]
        answer 403, Problem.new("This cannot be asked.")
      end
      super
    end

    # Every route that asks the store finds out here when its database is away.
    def route!(...)
      settings.store ? settings.store.translating_errors(again: request.get?) { super } : super
    end

    # Every material of the stash, as documents.
    def stash_in(units) = store ? store.materials.all(units).filter_map { _1["material"] } : []

    private

    # What is kept of the workshop that is asked.
    # @return [Store, nil] nil where there is none at all
    # @raise [NoWorkshop]
    def store
      return unless settings.store
      workshop = settings.workshop || env["lantern.workshop"] || raise(NoWorkshop)
      @store ||= settings.house ? settings.store.of(workshop, most: Tenancy::Workshops::MOST) : settings.store
    end

    # What belongs to no workshop: accounts, devices, and who is in which workshop.
    def database = settings.store.database

    def sent = env["lantern.json"]

    # Asks the core, within its time and for as long as the asker is there.
    def asked(task, *given, &) = asked_as_is(task, *in_our_currency(given), &)

    # The same of what is no plan.
    def asked_as_is(task, *given, &) = settings.answers.call(task, *given, asker: env["puma.socket"], &)

    # A question of the core. Where problems are an answer, so is that there was not time enough.
    # @param question [Contract::Question]
    # @param beside [Hash{Symbol=>Object}] what it has to know besides what was sent
    def answer_to(question, beside)
      document, = in_our_currency([question.document(sent)])
      settings.answers.ask(question, question.with(sent, document), beside, asker: env["puma.socket"],
        workshop: settings.workshop || env["lantern.workshop"])
    rescue Lantern::Plan::Refused => refused
      raise unless question.problems
      JSON.generate(refused.to_h)
    end

    # A plan or an occasion that names no currency is reckoned in that of the application.
    def in_our_currency(given)
      document, *others = given
      return given unless document.is_a?(Hash) && !document.key?("currency") && store
      [document.merge("currency" => store.settings.all["currency"]), *others]
    end

    def paper = params["paper"] || store.settings.all["paper"]

    # What the block answers in JSON, or the problems that it is refused with, as an answer either way.
    def tried
      %({"worked":#{yield},"problems":[]})
    rescue Lantern::Plan::Refused => refused
      JSON.generate(refused.to_h)
    end

    # Whether something would be kept that takes room.
    def stores? = (request.post? || request.put?) && !request.path_info.start_with?("/api/ask/", "/api/work")

    def id = params["id"].to_i

    # @param keeper [Store] of the workshop that the request is to
    # @return [(Integer, String)] a status and a body
    def once(code, keeper = store)
      name = request.env["HTTP_IDEMPOTENCY_KEY"].to_s
      return [code, yield] if name.empty?
      unless name.match?(NAME)
        raise Problem.at("", "An Idempotency-Key is 8 to 80 letters, digits and hyphens.")
      end
      keeper.once_for(name, request.path_info) { [code, yield] }
    end

    def answer(code, problem)
      content_type :json
      halt code, JSON.generate(problem.to_h)
    end
  end
end
