# frozen_string_literal: true

require_relative "../../server/workers/runner"

RSpec.describe Server::Turns do
  it "gives one after the other its turn, and tells those beyond so many to come again" do
    turns = described_class.new(waiting: 2)
    working, free = Queue.new, Queue.new
    first = Thread.new { turns.take { working << true && free.pop } }
    working.pop
    at_once = 0
    most = 0
    others = Array.new(2) { Thread.new { turns.take { most = [most, at_once += 1].max and at_once -= 1 } } }
    Thread.pass until others.all? { _1.status == "sleep" }
    expect { turns.take { :never } }.to raise_error(Server::WorkerPool::Busy)
    free << :done
    expect([first.value, *others.map(&:value)].size).to eq 3
    expect(most).to eq 1
    expect(turns.take { :now }).to eq :now
  end

  it "gives the turn back when what was done in it fails" do
    turns = described_class.new(waiting: 0)
    expect { turns.take { raise ArgumentError } }.to raise_error(ArgumentError)
    expect(turns.take { 1 }).to eq 1
  end

  it "is never waited for by what belongs to a save" do
    runner = Server::TaskRunner.new
    turns = runner.turns
    document = plan(materials: [rope], layers: [layer("rope_coil", "rope")])
    turns.take { expect(runner.call(:check, document)).to be_nil }
    expect(runner.call(:work, document)).to include "worked-plan"
  end
end
