# frozen_string_literal: true

require_relative "../../server/workers/runner"
require_relative "../../server/http/concurrency_limit"
require_relative "../support/api"
require_relative "../support/patience"

RSpec.describe Server::Turns do
  # So many that take part at once, each until it is let go.
  def taking(turns, count)
    begun, free = Queue.new, Queue.new
    threads = Array.new(count) {
      Thread.new { turns.take(aside: -> { begun << :aside && free.pop }) { begun << :here && free.pop } }
    }
    yield begun, free
  ensure
    count.times { free << :done }
    threads.each(&:join)
  end

  it "gives a few one after the other their turn, and works aside what many ask, until a second after the last" do
    now = 0
    turns = described_class.new(clock: -> { now })
    taking(turns, 3) do |begun, free|
      expect(begun.pop).to eq :here
      Thread.pass until turns.asked == 3
      expect(begun).to be_empty
      expect(turns.take(aside: -> { :aside }) { :here }).to eq :aside
    end
    expect(turns.take(aside: -> { :aside }) { :here }).to eq :aside
    now = 1.5
    expect(turns.take(aside: -> { :aside }) { :here }).to eq :here
  end

  it "gives the turn back when what was done in it fails" do
    turns = described_class.new
    4.times { expect { turns.take(aside: -> {}) { raise ArgumentError } }.to raise_error(ArgumentError) }
    expect(turns.take(aside: -> { :aside }) { :here }).to eq :here
  end
end

RSpec.describe Server::HTTP::ConcurrencyLimit do
  let(:free) { Queue.new }
  let(:begun) { Queue.new }
  let(:limit) {
    app = ->(env) { (env["PATH_INFO"] == "/plan") ? [200, {}, [begun.push(1) && free.pop]] : [200, {}, ["small"]] }
    described_class.new(app, paths: ["/plan"], at_once: 2, waiting: 3, patience: Patience.seconds(60))
  }

  def ask(path) = limit.call("PATH_INFO" => path)

  it "lets so many in, holds so many back, and tells those beyond to come again; what is small passes all of them" do
    threads = Array.new(5) { Thread.new { ask("/plan") } }
    2.times { begun.pop }
    Thread.pass until limit.waiting == 3
    status, _, body = ask("/plan")
    expect([status, body.join]).to match [503, /ask again in a moment/]
    expect(ask("/small")).to eq [200, {}, ["small"]]
    expect(begun).to be_empty
    5.times { free << "worked" }
    expect(threads.map(&:value)).to all eq [200, {}, ["worked"]]
    free << "again"
    expect(ask("/plan").last).to eq ["again"]
  end

  it "holds nobody back longer than it says, and keeps no place of one that failed" do
    hasty = described_class.new(->(env) { env["fails"] ? raise(ArgumentError) : begun.push(1) && free.pop },
      paths: ["/plan"], at_once: 1, waiting: 1, patience: 0.01)
    expect { hasty.call("PATH_INFO" => "/plan", "fails" => true) }.to raise_error ArgumentError
    first = Thread.new { hasty.call("PATH_INFO" => "/plan") }
    begun.pop
    expect(hasty.call("PATH_INFO" => "/plan").first).to eq 503
    free << :done
    expect(first.value).to eq :done
  end

  it "stands before every question that works one plan, in the application" do
    expect(Server::App::PLANS).to include("/api/work", "/api/ask/try", "/api/ask/coverage")
    expect(Server::App::PLANS.grep(/advice|coverings|ping|bench|wreaths/)).to be_empty
  end
end
