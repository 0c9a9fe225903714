# frozen_string_literal: true

require "timeout"
require_relative "../support/api"
require_relative "../../server/database/health_check"

RSpec.describe Server::HealthCheck, :store do
  let(:store) { RealStore.store }
  let(:seen) { Queue.new }
  let!(:check) { described_class.new(store.database).start { |there, since| seen << [there, since] } }

  after do
    RealStore.server.hold(false)
    check.kill.join
    store.database.away = false
  end

  def seconds
    began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    yield
    Process.clock_gettime(Process::CLOCK_MONOTONIC) - began
  end

  def read = store.translating_errors(again: true) { store.wreaths.all }

  def write = store.translating_errors {
    store.own.atomically { store.own[:settings].insert(name: "paper", value: "a4") }
  }

  it "ends the waiting of whoever asks a database that stands still, and refuses the next at once" do
    expect(seen.pop.first).to be true
    RealStore.server.hold(true)
    # It stands still once every thread of it does, which takes a busy machine a moment: what it answers until then, it
    # has done.
    threads = Dir["/proc/#{RealStore.server.send(:process)}/task/*/stat"]
    still = -> { threads.all? { File.read(_1)[/\) (\S)/, 1] == "T" } }
    Timeout.timeout(Patience.seconds(10)) { Thread.pass until still.call }
    waiting = %i[read write].map { |each|
      Thread.new { seconds { expect { send(each) }.to raise_error Server::DatabaseErrors::Away } }
    }
    # A database has twenty seconds to answer a query.
    expect(waiting.map(&:value)).to all be < Patience.seconds(4)
    expect(seconds { expect { read }.to raise_error Server::DatabaseErrors::Away }).to be < Patience.seconds(0.5)
    RealStore.server.hold(false)
    seen.clear
    nil until seen.pop.first
    expect(read).to be_an Array
    expect(store.settings.all["paper"]).to eq "letter"
  end

  it "tells a pool that is busy from a database that does not answer" do
    expect { store.translating_errors { raise Sequel::PoolTimeout } }
      .to raise_error(Server::DatabaseErrors::Crowded, /So much is asked at once/)
  end
end
