# frozen_string_literal: true

require_relative "../support/api"
require_relative "../support/pictures"

RSpec.describe "What is sent in parts", :api, :store do
  let(:photo) { picture(kind: :jpeg, width: 300, height: 200) }
  let(:bytes) { photo.split(",").last.unpack1("m") }
  let(:name) { "photo-of-a-door" }

  def send_part(number, bytes, upload = name, type: "application/octet-stream")
    header "Host", "localhost"
    header "Content-Type", type
    put "/api/uploads/#{upload}/#{number}", bytes
    JSON.parse(last_response.body)
  end

  def parts = bytes.bytes.each_slice(300).map { _1.pack("C*") }

  def says = JSON.parse(last_response.body)["problems"][0]["says"]

  it "is the picture that it would be in one piece, in whatever order its parts arrive and however often" do
    parts.each_with_index.to_a.reverse_each { |part, number| send_part(number, part) }
    expect(send_part(1, parts[1])["parts"]).to eq [*0...parts.size]
    expect(ask(:get, "/uploads/#{name}")["parts"].size).to eq parts.size
    kept = ask(:post, "/uploads/#{name}/picture", {parts: parts.size})
    expect(status).to eq 201
    expect(kept).to eq ask(:post, "/pictures", {picture: photo})
    expect(ask(:get, "/uploads/#{name}")["parts"]).to be_empty
  end

  it "is asked for until it is whole, and refused as any other that is none" do
    send_part(0, parts[0])
    ask(:post, "/uploads/#{name}/picture", {parts: parts.size})
    expect([status, says]).to match [409, /Not every part/]
    expect(ask(:get, "/uploads/#{name}")["parts"]).to eq [0]
    ask(:post, "/uploads/#{name}/picture", {parts: 1})
    expect([status, says]).to match [422, /cannot be read to its end/]
    send_part(0, "no picture", "no-picture")
    ask(:post, "/uploads/no-picture/picture", {parts: 1})
    expect([status, says]).to match [422, /must be a JPEG, PNG or WebP/]
  end

  it "says what a part is: of so many bytes, with such a name and number, and bytes" do
    send_part(0, "x" * 1_000_001)
    expect(status).to eq 413
    expect([send_part(0, "").key?("problems"), status]).to eq [true, 422]
    %w[short/0 photo-of-a-door/400 photo%20of-a-door/1].each do |path|
      header "Content-Type", "application/octet-stream"
      put "/api/uploads/#{path}", "x"
      expect([path, (400..422).cover?(status)]).to eq [path, true]
    end
    send_part(0, "{}", type: "application/json")
    expect([status, says]).to match [415, /as bytes/]
    expect(RealStore.database[:upload_parts].count).to eq 0
  end

  it "counts against what a workshop may hold, and is gone a day later" do
    own = RealStore.store.of(Server::TenantDataset::FIRST, most: {upload_parts: 3})
    3.times { own.uploads.keep(name, _1, "part") }
    expect { own.uploads.keep("another-one", 0, "part") }.to raise_error(Server::Store::Uploads::TooMuch)
    expect(own.uploads.keep(name, 1, "again")["parts"]).to eq [0, 1, 2]
    RealStore.store.tidy
    expect(own.uploads.there(name)["parts"].size).to eq 3
    RealStore.database[:upload_parts].update(at: Sequel.lit("UTC_TIMESTAMP() - INTERVAL 25 HOUR"))
    RealStore.store.tidy
    expect(own.uploads.there(name)["parts"]).to be_empty
    expect(Server::Tenancy::Workshops::MOST[:upload_parts]).to eq Server::Store::Uploads::MOST_PARTS
  end

  it "is an archive too, put back all or nothing" do
    ask(:post, "/wreaths", {plan: plan(name: "In the archive")})
    header "Host", "localhost"
    get "/api/archive.jsonl"
    archive = last_response.body
    RealStore.database[:wreaths].update(name: "Changed since")
    archive.bytes.each_slice(1_000).with_index { |part, number| send_part(number, part.pack("C*"), "an-archive") }
    answer = ask(:post, "/uploads/an-archive/archive", {parts: (archive.bytesize / 1_000.0).ceil})
    expect([status, answer["restored"]["wreaths"]]).to eq [200, 1]
    expect(ask(:get, "/wreaths")["wreaths"][0]["name"]).to eq "In the archive"
    expect(RealStore.database[:upload_parts].count).to eq 0
    # Its answer was lost on the way: it is given again, and nothing is put back over what was done since.
    RealStore.database[:wreaths].update(name: "Changed afterwards")
    expect(ask(:post, "/uploads/an-archive/archive", {parts: (archive.bytesize / 1_000.0).ceil})).to eq answer
    expect(ask(:get, "/wreaths")["wreaths"][0]["name"]).to eq "Changed afterwards"
  end
end
