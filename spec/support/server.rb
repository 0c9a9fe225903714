# frozen_string_literal: true

require "fileutils"
require_relative "helper"
require_relative "real"
require_relative "../../server/http/compression"

RSpec.configure do |config|
  config.before(:each, :store) do |example|
    RealStore.durable(example.metadata.key?(:killing))
    Server::App.set :store, RealStore.store
    Server::App.set :answers, RealStore.answers
    RealStore.empty
    FileUtils.rm_rf(RealStore::BACKUPS)
  end
  config.after(:suite) { RealStore.stop }
end
