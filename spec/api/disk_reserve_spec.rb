# frozen_string_literal: true

require "tmpdir"
require_relative "../support/api"
require_relative "../../server/storage/disk_reserve"

RSpec.describe Server::DiskReserve, :api, :store do
  let(:folder) { Dir.mktmpdir("lantern-disk") }
  let(:size) { 200_000_000 }
  let(:others) { [0] }
  # A disk of so many bytes, with what others and the reserve take of it.
  let(:reserve) {
    described_class.new(folder, free: -> { size - others.first - Dir.glob("#{folder}/*").sum { File.size(_1) } })
  }

  before { Server::App.set :disk_reserve, reserve }

  after do
    Server::App.set :disk_reserve, nil
    FileUtils.rm_rf(folder)
  end

  def held = Dir.glob("#{folder}/*").sum { File.size(_1) }

  def save = ask(:post, "/wreaths", {plan: plan(name: "On a full disk")}).then { [status, _1.to_s] }

  it "holds megabytes back while there is room, saves nothing when only they are left, and lets go in time" do
    reserve.keep
    expect([held, reserve.full?]).to eq [32_000_000, false]
    # The file takes blocks: it is no hole.
    expect(File.stat(Dir.glob("#{folder}/*").first).blocks * 512).to be >= held
    others[0] = size - held - 23_000_000
    reserve.keep
    expect([held, reserve.full?]).to eq [32_000_000, true]
    others[0] = size - held
    reserve.keep
    expect([held, reserve.full?]).to eq [0, true]
    others[0] = size - 60_000_000
    reserve.keep
    expect([held, reserve.full?]).to eq [0, false]
    others[0] = 0
    expect([reserve.keep.full?, held]).to eq [false, 32_000_000]
  end

  it "has whoever saves told so in words, while everything is read, asked and deleted" do
    expect(save.first).to eq 201
    others[0] = size
    expect(save).to match [507, /disk is full.*everything saved before can still be read/]
    wreath = ask(:get, "/wreaths")["wreaths"][0]
    expect(wreath["name"]).to eq "On a full disk"
    ask(:post, "/ask/try", plan)
    expect(status).to eq 200
    ask(:delete, "/wreaths/#{wreath["id"]}?version=#{wreath["version"]}")
    expect(status).to eq 200
  end

  it "takes a disk whose room cannot be told for one that has some" do
    unknown = described_class.new(folder, free: -> { raise Errno::EACCES })
    expect([unknown.full?, unknown.keep.full?]).to eq [false, false]
  end
end
