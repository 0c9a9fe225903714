# frozen_string_literal: true

require "open3"
require "zlib"
require_relative "../support/api"

RSpec.describe "Compressed answers", :api, :store do
  def fetch(path, accepting, body: nil)
    header "Host", "localhost"
    header "Accept-Encoding", accepting
    header "Content-Type", body && "application/json"
    body ? post(path, JSON.generate(body)) : get(path)
    last_response
  end

  it "hold the same as those that are not, and say their length" do
    document = example_plan("door-7-rope-ring")
    plain = fetch("/api/work", nil, body: document).body
    packed = fetch("/api/work", "br, gzip;q=0.8", body: document)
    expect(packed.headers).to include("content-encoding" => "gzip", "content-length" => packed.body.bytesize.to_s,
      "vary" => /accept-encoding/)
    expect(packed.body.bytesize).to be < plain.bytesize / 3
    expect(Zlib.gunzip(packed.body).force_encoding("UTF-8")).to eq plain
  end

  it "are sent to nobody who cannot read them, and not where it is not worth it" do
    ["identity", "gzip;q=0", nil, "br"].each do |accepting|
      answer = fetch("/api/declarations", accepting)
      expect([accepting, answer["content-encoding"], answer["vary"]]).to eq [accepting, nil, "accept-encoding"]
      expect(JSON.parse(answer.body)).to include "forms"
    end
    expect(fetch("/api/ping", "gzip")["content-encoding"]).to be_nil
  end

  it "are made once of a file that never changes" do
    script = Dir[File.expand_path("../../web/dist/assets/index-*.js", __dir__)].first
    2.times do
      answer = fetch("/assets/#{File.basename(script)}", "gzip")
      expect(Zlib.gunzip(answer.body)).to eq File.binread(script)
    end
    expect(last_response.body.bytesize).to be < File.size(script) / 2
    packed = last_response.body.bytesize
    answer = fetch("/assets/#{File.basename(script)}", "gzip, br")
    expect([answer["content-encoding"], answer["content-type"]]).to match ["br", %r{javascript}]
    expect(answer.body.bytesize).to be < packed
    unpacked, = Open3.capture2("node", "-e", "process.stdin.pipe(require('zlib').createBrotliDecompress())" \
      ".pipe(process.stdout)", stdin_data: answer.body, binmode: true)
    expect(unpacked).to eq File.binread(script)
    expect(fetch("/assets/#{File.basename(script)}", "br;q=0, gzip")["content-encoding"]).to eq "gzip"
  end
end
