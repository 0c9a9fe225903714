# frozen_string_literal: true

require "committee"
require "json"
require "sinatra/base"
require_relative "../core/lantern"
require_relative "json_body"
require_relative "files/cut_sheet"
require_relative "files/stash_file"
require_relative "store"
require_relative "svg/reader"
require_relative "svg/true_size"

module Server
  # The API and the screens. It stores and it answers; everything about wreaths is asked of the core.
  class App < Sinatra::Base
    ROOT = File.expand_path("..", __dir__)
    CONTRACT = File.join(__dir__, "openapi.yaml")

    # Answers what the contract of the API does not allow, in the same form as every other problem.
    class Breach < Committee::ValidationError
      def error_body = {"problems" => [{"at" => "", "says" => says}]}

      private

      # The checker's own words, without its inner names.
      def says = "The request is not as it should be: #{message.sub(/#\/\S+ ?/, "").strip}."
    end

    configure do
      set :environment, :production
      set :show_exceptions, false
      set :raise_errors, false
      set :logging, false
      set :public_folder, File.join(ROOT, "web/dist")
      set :static_cache_control, [:public, max_age: 3600]
      set :host_authorization, permitted_hosts: %w[localhost 127.0.0.1 ::1]
      set :store, nil
      use JsonBody
      use Committee::Middleware::RequestValidation, schema_path: CONTRACT, prefix: "/api", error_class: Breach, strict_reference_validation: true, parse_response_by_content_type: false
    end

    before do
      headers "content-security-policy" => "default-src 'self'; img-src 'self' data:; style-src 'self' 'unsafe-inline'; font-src 'self' data:; frame-ancestors 'none'",
        "x-content-type-options" => "nosniff", "referrer-policy" => "no-referrer"
    end

    before("/api/*") { content_type :json }

    get("/api/ping") { JSON.generate("ok" => true) }

    get "/api/declarations" do
      JSON.generate("forms" => Lantern::Form.declare, "coverings" => Lantern::Cover.all.map(&:declare), "materials" => Lantern::Plan::Material.declare)
    end

    post("/api/work") { JSON.generate(Lantern.work(sent)) }

    post("/api/units") { JSON.generate(Lantern::Plan::Units.change(sent["plan"], to: sent["to"])) }

    post "/api/coverings" do
      JSON.generate("coverings" => Lantern::Cover::Comparison.new(with_stash(sent)).to_a)
    end

    post("/api/backwards") { JSON.generate("answers" => Lantern::Cover::Backwards.new(sent["plan"], layer: sent["layer"], budget:).to_a) }

    post("/api/bare") { JSON.generate(Lantern.bare(sent)) }

    post("/api/outlines") { JSON.generate("outlines" => Svg::Reader.read(sent["svg"])) }

    post "/api/form.svg" do
      content_type "image/svg+xml"
      Svg::TrueSize.write(Lantern.work(sent))
    end

    get "/api/wreaths/:id/form.svg" do
      wreath = store.wreaths.find(id)
      attachment "form-#{id}.svg"
      content_type "image/svg+xml"
      Svg::TrueSize.write(Lantern.work(wreath["plan"]))
    end

    get "/api/wreaths/:id/cut-sheet.pdf" do
      attachment "cut-sheet-#{id}.pdf"
      content_type "application/pdf"
      Files::CutSheet.new(Lantern.work(store.wreaths.find(id)["plan"])).pdf(params["paper"].to_s)
    end

    get "/api/wreaths/:id/cut-sheet.csv" do
      attachment "cut-sheet-#{id}.csv"
      content_type "text/csv"
      Files::CutSheet.new(Lantern.work(store.wreaths.find(id)["plan"])).csv
    end

    get "/api/stash.csv" do
      units = (params["units"] == "cm") ? "cm" : "in"
      attachment "stash.csv"
      content_type "text/csv"
      Files::StashFile.write(store.materials.all(units).map { _1["material"] }, units)
    end

    post("/api/stash.csv") { JSON.generate(store.materials.take_in(Files::StashFile.read(sent["csv"], sent["units"]), sent["units"], dry: sent["dry"])) }

    get("/api/forms") { JSON.generate("forms" => store.forms.all) }

    post "/api/forms" do
      status 201
      JSON.generate(store.forms.add(sent["name"], sent["form"], sent["units"]))
    end

    delete "/api/forms/:id" do
      store.forms.delete(id, params["version"].to_i)
      JSON.generate("ok" => true)
    end

    get("/api/wreaths") { JSON.generate("wreaths" => store.wreaths.all) }

    post "/api/wreaths" do
      status 201
      JSON.generate(store.wreaths.add(sent["plan"]))
    end

    get("/api/wreaths/:id") { JSON.generate(store.wreaths.find(id)) }

    put("/api/wreaths/:id") { JSON.generate(store.wreaths.change(id, sent["version"], sent["plan"])) }

    delete "/api/wreaths/:id" do
      store.wreaths.delete(id, params["version"].to_i)
      JSON.generate("ok" => true)
    end

    post("/api/wreaths/:id/cut") { JSON.generate(store.wreaths.cut(id, sent["version"], sent["cut_sheet"])) }

    post("/api/wreaths/:id/uncut") { JSON.generate(store.wreaths.uncut(id, sent["version"])) }

    put("/api/wreaths/:id/ticks") { JSON.generate(store.wreaths.tick(id, sent["place"], sent["done"])) }

    get("/api/materials/:id/ledger") { JSON.generate("entries" => store.materials.entries(id, params["units"] || "in")) }

    post("/api/materials/:id/ledger") { JSON.generate(store.materials.move(id, sent["kind"], sent["piece"], sent["change"], sent["units"])) }

    post "/api/actions/:id/undo" do
      store.ledger.undo(id)
      JSON.generate("ok" => true)
    end

    get("/api/materials") { JSON.generate("materials" => store.materials.all(params["units"])) }

    post "/api/materials" do
      status 201
      JSON.generate(store.materials.add(sent["material"], sent["units"]))
    end

    get("/api/materials/:id") { JSON.generate(store.materials.find(id)) }

    put("/api/materials/:id") { JSON.generate(store.materials.change(id, sent["version"], sent["material"], sent["units"])) }

    delete "/api/materials/:id" do
      store.materials.delete(id, params["version"].to_i)
      JSON.generate("ok" => true)
    end

    # Every other address is a screen; the screens find their own way.
    get(%r{/(?!api/|assets/).*}) { send_file File.join(settings.public_folder, "index.html"), cache_control: "no-cache" }

    error(Lantern::Plan::Refused) { |refused| answer 422, refused.problems.map(&:to_h) }

    error(Store::Outdated) { |outdated| answer 409, [problem("version", "Somebody saved this in the meantime. Nothing of either is lost: choose which to keep.")], "current" => outdated.current }

    error(Ledger::TooLittle) { answer 409, [problem("on_hand", "The stash has changed: there is not as much on hand as this takes. Nothing was taken; look at it again.")] }

    error(Ledger::Undone) { answer 409, [problem("", "This was taken back already.")] }

    error(Store::Settled) { answer 409, [problem("", "This was done already, perhaps on another screen. Nothing was changed.")] }

    error(Store::Missing) { answer 404, [problem("", "There is nothing here; it may have been deleted.")] }

    error(Store::Taken) { answer 422, [problem("id", "Something else has this name already.")] }

    error(Store::Away) { answer 503, [problem("", "The database does not answer. What is on this screen is kept; try again in a moment.")] }

    not_found { request.path.start_with?("/api/") ? answer(404, [problem("", "There is nothing at this address.")]) : "" }

    error do |error|
      warn "#{error.class}: #{error.message}\n  #{error.backtrace.first(8).join("\n  ")}"
      answer 500, [problem("", "Something went wrong here, and it was written to the log. Nothing was changed.")]
    end

    # Every route that asks the store finds out here when its database is away.
    def route!(...)
      settings.store ? settings.store.reaching { super } : super
    end

    private

    def store = settings.store

    def sent = env["lantern.json"]

    # A plan with everything in the stash added to its materials.
    def with_stash(plan)
      own = Array(plan["materials"])
      ids = own.filter_map { _1["id"] if _1.is_a?(Hash) }
      stash = store ? store.materials.all(plan["units"]).map { _1["material"] } : []
      plan.merge("materials" => own + stash.reject { ids.include?(_1["id"]) })
    end

    # @raise [Lantern::Plan::Refused]
    def budget
      said = sent["budget"].to_s.strip
      return if said.empty?
      Lantern::Measure::Money.read(said)
    rescue Lantern::Measure::Money::Unreadable
      raise Lantern::Plan::Refused.at("budget", "A sum of money is a decimal such as 12.50.")
    end

    def id = params["id"].to_i

    def problem(at, says) = {"at" => at, "says" => says}

    def answer(code, problems, extra = {})
      content_type :json
      halt code, JSON.generate({"problems" => problems}.merge(extra))
    end
  end
end
