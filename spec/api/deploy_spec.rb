# frozen_string_literal: true

require "fileutils"
require "open3"
require "tmpdir"

# What `deploy/` says can be used as it stands.
RSpec.describe "What a guild is given" do
  let(:root) { File.expand_path("../..", __dir__) }

  around { |example| Dir.mktmpdir("lantern-units") { |folder| (@folder = folder) && example.run } }

  def units = Dir[File.join(root, "deploy/*.{service,timer}")].map { |path|
    File.join(@folder, File.basename(path)).tap { |copy|
      File.write(copy, File.read(path).gsub("/opt/crisp-lantern", root))
    }
  }

  it "has units that systemd reads without a word" do
    expect(units.size).to eq 3
    said, status = Open3.capture2e("systemd-analyze", "verify", "--man=no", *units)
    # Of the units that are named here, not of what else the machine has.
    own = said.lines.select { |line| units.any? { line.include?(File.basename(_1)) } }
    expect([own, status.exitstatus]).to eq [[], 0]
  end

  it "keeps the application from what it has no use for" do
    path = units.find { _1.end_with?("lantern.service") }
    # The measure is systemd's own: nought is the safest, ten the least.
    said, = Open3.capture2e("systemd-analyze", "security", "--offline=true", "--no-pager", path)
    expect(said[/exposure level for \S+: ([\d.]+)/i, 1].to_f).to be_between(0.1, 3.0)
  end

  it "names in its environment what the application reads, and nothing else" do
    read = File.read(File.join(root, "server/boot.rb"))[/slice\((.*?)\)/m, 1].scan(/"(\w+)"/).flatten
    named = File.read(File.join(root, "deploy/environment")).scan(/^(?:# )?([A-Z_]+)=/).flatten
    expect(named - read).to eq []
    expect(named).to include("DATABASE_URL", "SECRET", "WEB_CONCURRENCY")
  end

  it "has settings of a node that MariaDB reads" do
    settings = File.join(@folder, "galera.cnf")
    # Where Galera's own library is, is the machine's.
    text = File.read(File.join(root, "deploy/galera.cnf")).gsub("wsrep_on = ON", "wsrep_on = OFF")
      .gsub("2G", "32M")
    File.write(settings, text)
    said, status = Open3.capture2e("mariadbd", "--defaults-file=#{settings}", "--help", "--verbose", "--user=root")
    expect([said[/unknown variable.*/i], status.success?]).to eq [nil, true]
    expect(said).to match(/^max-connections\s+400/)
  end
end
