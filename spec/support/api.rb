# frozen_string_literal: true

require "committee"
require "rack/test"
require_relative "server"

# Asks the real application, and holds every answer against the contract of the API.
module Asking
  include Rack::Test::Methods

  CONTRACT = Committee::Drivers.load_from_file(Server::App::CONTRACT,
    parser_options: {strict_reference_validation: true})

  def app = @app ||= Server::RequestGuard.new(Server::Compression.new(Server::App.without_sign_in.new))

  # @return [Hash] the answer's body
  # @param as [String, nil] the request's own name
  def ask(verb, path, body = nil, as: nil)
    header "Host", "localhost"
    header "Content-Type", body ? "application/json" : nil
    header "Idempotency-Key", as
    public_send(verb, "/api#{path}", *((body.is_a?(String) || body.nil?) ? body : JSON.generate(body)))
    check_against_contract(verb, path)
    JSON.parse(last_response.body)
  end

  # Puts an archive back.
  # @return [Hash] the answer's body
  def restore(text)
    header "Host", "localhost"
    header "Content-Type", "application/x-ndjson"
    post "/api/archive.jsonl", text
    JSON.parse(last_response.body)
  end

  def status = last_response.status

  private

  def check_against_contract(verb, path)
    router = CONTRACT.build_router(schema: CONTRACT, prefix: "/api", parse_response_by_content_type: true)
    validator = router.build_schema_validator(last_request)
    return unless validator.link_exist?
    validator.response_validate(last_response.status, last_response.headers, [last_response.body], true)
  rescue Committee::InvalidResponse => error
    raise "#{verb} #{path} answered #{last_response.status} against the contract: #{error.message}"
  end
end

RSpec.configure do |config|
  config.include Asking, :api
  # An example that asks for no store has none: not the one that another example has left, with its settings.
  config.before(:each, :api) { |example| Server::App.set :store, nil unless example.metadata[:store] }
end
