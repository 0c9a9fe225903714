# frozen_string_literal: true

require "zlib"
require_relative "../support/api"
require_relative "../support/pictures"

RSpec.describe "Pictures", :api, :store do
  def bytes_of(id)
    header "Host", "localhost"
    get "/api/pictures/#{id}"
    last_response.body.b
  end

  def refused(picture)
    problem = ask(:post, "/pictures", {picture:})["problems"][0]
    expect([status, problem["at"]]).to eq [422, "picture"]
    problem["says"]
  end

  # A PNG's parts, each with its length and its checksum (published: PNG specification, 5.3).
  def png(width, height, data)
    part = ->(name, body) { [body.bytesize].pack("N") + name + body + [Zlib.crc32(name + body)].pack("N") }
    "\x89PNG\r\n\x1A\n".b + part["IHDR", [width, height, 8, 2, 0, 0, 0].pack("NNCCCCC")] +
      part["IDAT", Zlib.deflate(data)] + part["IEND", ""]
  end

  it "are kept once, decoded and written anew, upright, without what a camera wrote into them" do
    photo = picture(kind: :jpeg, width: 60, height: 40, turned: 6, about: {"exif-ifd0-Copyright" => "A street, 51 N"})
    expect(photo.unpack1("@23m").b).to include "51 N"
    kept = ask(:post, "/pictures", {picture: photo})
    # Orientation 6: the picture lies on its side (published: Exif 2.3, tag 0x0112).
    expect(kept).to include("width" => 40, "height" => 60, "id" => /\A\h{64}\z/)
    bytes = bytes_of(kept["id"])
    expect(bytes).to start_with "\xFF\xD8\xFF".b
    expect(bytes).not_to include "51 N"
    expect(last_response.headers).to include("content-type" => "image/jpeg", "cache-control" => /immutable/)
    expect(ask(:post, "/pictures", {picture: photo})["id"]).to eq kept["id"]
    expect(RealStore.database[:pictures].count).to eq 1
  end

  it "say their colour, are made smaller, and give a square of cloth" do
    wide = ask(:post, "/pictures", {picture: picture(width: 3000, height: 1000, colour: [200, 90, 40], kind: :webp)})
    expect(wide).to include("width" => 2000, "height" => 667)
    expect(wide["colour"].scan(/\h\h/).map(&:hex)).to match [be_within(3).of(200), be_within(3).of(90),
      be_within(3).of(40)]
    cloth = ask(:post, "/pictures", {picture: picture(width: 900, height: 600), square: true})
    expect(seen(bytes_of(cloth["id"])).size).to eq [512, 512]
  end

  it "are refused with a sentence when they are none, lie about their type, are cut short or are a bomb" do
    whole = picture(kind: :jpeg, width: 400, height: 300)
    expect(refused("http://elsewhere/x.png")).to match(/JPEG, PNG or WebP/)
    expect(refused(address(:png, "<svg onload='alert(1)'/>"))).to match(/JPEG, PNG or WebP/)
    expect(refused(address(:png, whole.unpack1("@23m")))).to match(/JPEG, PNG or WebP/)
    expect(refused(address(:jpeg, "\xFF\xD8\xFFnothing more".b))).to match(/cannot be read to its end/)
    expect(refused(address(:jpeg, whole.unpack1("@23m")[0, 700]))).to match(/cannot be read to its end/)
    # Sixty thousand pixels either way, in a few hundred bytes.
    expect(refused(address(:png, png(60_000, 60_000, "\0" * 100_000)))).to match(/60000 x 60000 pixels: more than/)
    expect(RealStore.database[:pictures].count).to eq 0
    bytes_of("0" * 64)
    expect(status).to eq 404
    expect(ask(:post, "/pictures", {picture: address(:png, "x" * 9_000_000)})["problems"][0]["says"])
      .to match(/more than 9 million bytes/)
  end

  it "are drawn with: in the wreath's picture at their true scale, as SVG with the photo in it and as PNG" do
    kept = ask(:post, "/pictures", {picture: picture(colour: [30, 160, 60]), square: true})
    tape = ribbon(picture: kept["id"], picture_width: "2 in")
    id = ask(:post, "/wreaths", {plan: plan(materials: [tape], layers: [layer("spiral_wrap", "tape")])})["id"]
    surfaces = ask(:post, "/work", ask(:get, "/wreaths/#{id}")["plan"])["drawing"]["surfaces"]
    expect(surfaces).to eq [{"material" => "tape", "texture" => "plain", "picture" => kept["id"],
                             "picture_width" => 2.0}]
    header "Host", "localhost"
    get "/api/wreaths/#{id}/picture.svg?photos=yes"
    expect(last_response.body).to include('<image href="data:image/jpeg;base64,')
      .and include('width="2.0" height="2.0"')
    get "/api/wreaths/#{id}/picture.png"
    drawn = seen(last_response.body)
    expect([last_response.content_type, drawn.width]).to eq ["image/png", 1600]
    # A good part of it is the green of the photo.
    green = (drawn[1] - drawn[0] > 60).avg / 255
    expect(green).to be > 0.1
  end

  describe "that something was cut out of" do
    # A disc of a colour, all else clear.
    def disc(colour = [210, 60, 30], size: 600, soft: 255)
      round = Vips::Image.svgload_buffer(%(<svg xmlns="http://www.w3.org/2000/svg" width="#{size}" height="#{size}">) +
        %(<circle cx="50%" cy="50%" r="50%"/></svg>))[3] * (soft / 255.0)
      flat = (Vips::Image.black(size, size) + colour).cast(:uchar)
      address(:png, flat.bandjoin(round.cast(:uchar)).copy(interpretation: :srgb).pngsave_buffer)
    end

    it "stay clear where they are, and say the colour of what is left" do
      kept = ask(:post, "/pictures", {picture: disc, cut_out: true})
      expect(kept).to include("width" => 400, "height" => 400)
      expect(kept["colour"].scan(/\h\h/).map(&:hex).zip([210, 60, 30]).map { |a, b| (a - b).abs }.max).to be <= 2
      bytes = bytes_of(kept["id"])
      expect(last_response.headers["content-type"]).to eq "image/png"
      expect([seen(bytes).getpoint(3, 3)[3], seen(bytes).getpoint(200, 200)]).to eq [0, [210, 60, 30, 255]]
      # A photo without anything clear in it is kept as one.
      expect(ask(:post, "/pictures", {picture: picture, cut_out: true})).to include("width" => 40)
      problem = ask(:post, "/pictures", {picture: disc(soft: 0), cut_out: true})["problems"][0]
      expect(problem).to include("at" => "picture", "says" => /Nothing is left/)
    end

    it "lie on the wreath in its picture, once in the file and seen in their colours" do
      kept = ask(:post, "/pictures", {picture: disc, cut_out: true})["id"]
      square = {"outline" => [[0, 0], [1000, 0], [1000, 1000], [0, 1000]], "high" => 1000}
      fox = {"id" => "fox", "kind" => "piece", "name" => "Felt fox", "picture" => kept, "picture_width" => 4,
             "colour" => "#00ff00", "cut_out" => square}
      three = layer("piece", "fox", making: "bought", count: 3)
      id = ask(:post, "/wreaths", {plan: plan(materials: [fox], layers: [three])})["id"]
      header "Host", "localhost"
      get "/api/wreaths/#{id}/picture.svg?photos=yes"
      expect(last_response.body.scan("data:image/png;base64,").size).to eq 1
      expect(last_response.body.scan("<use ").size).to eq 3
      get "/api/wreaths/#{id}/picture.png"
      shown = seen(last_response.body)
      red = ((shown[0] > 190) & (shown[1] > 50) & (shown[1] < 75) & (shown[2] < 45)).avg / 255
      # Three discs of 4 in, of a picture that is as wide and high as the answer says.
      left, top, right, bottom = ask(:post, "/work", ask(:get, "/wreaths/#{id}")["plan"])["drawing"]["bounds"]
      room = (right - left) * 0.06
      expect(red).to be_within(0.005).of(3 * Math::PI * 4 / ((right - left + room) * (bottom - top + room)))
    end
  end

  it "go with the archive and come back with it; what nothing names goes after two days" do
    kept, other = [[10, 20, 30], [200, 0, 0]].map { ask(:post, "/pictures", {picture: picture(colour: _1)})["id"] }
    ask(:post, "/materials", {units: "in", material: ribbon(picture: kept)})
    before = bytes_of(kept)
    get "/api/archive.jsonl"
    archive = last_response.body
    RealStore.database[:pictures].update(created_at: Time.now - 3 * 86_400)
    RealStore.store.tidy
    expect(RealStore.database[:pictures].select_map(:id)).to eq [kept]
    restore(archive)
    expect([status, bytes_of(kept) == before, bytes_of(other).empty?]).to eq [200, true, false]
    lying = archive.sub(/("type":)"image\/jpeg"/, '\1"text/html"')
    expect(restore(lying)["problems"][0]["says"]).to match(/checksum|not the picture/)
  end
end

RSpec.describe "Sizes from a photo", :api, :store do
  # A white sheet on a dark table, from straight above, 60 pixels to the inch.
  def photo
    table = Vips::Image.black(1600, 1000) + [60, 50, 45]
    sheet = Vips::Image.black(510, 660) + [235, 235, 230]
    address(:png, table.insert(sheet, 100, 120).cast(:uchar).copy(interpretation: :srgb).pngsave_buffer)
  end

  let(:corners) { [[103, 118], [608, 123], [612, 778], [98, 782]] }

  def measured(**more)
    @photo ||= ask(:post, "/pictures", {picture: photo})["id"]
    ask(:post, "/ask/photo-sizes", {photo: @photo, units: "in", sheet: "letter", corners:,
                                    sizes: [{name: "width", taps: [[700, 500], [1540, 500]]}]}.merge(more))
  end

  it "come from the kept picture: the tapped corners are moved to where the sheet's edges meet" do
    answer = measured
    expect(status).to eq 200
    expect(answer["found"]).to be true
    expect(answer["corners"].flatten.zip([100, 120, 610, 120, 610, 780, 100, 780])).to all(satisfy { |a, b|
      (a - b).abs < 1.5
    })
    expect(answer["sizes"][0]).to include("name" => "width", "length" => 14, "says" => "14 in",
      "sure" => /\Agive or take/)
  end

  it "are refused with their place, and of a photo that is not there" do
    expect(measured(corners: corners.values_at(0, 2, 1, 3))["problems"][0]["at"]).to eq "corners"
    expect(measured(sizes: [{name: "width", taps: [[-5, 0], [3, 3]]}])["problems"][0]["at"]).to eq "sizes.0.taps"
    expect(measured(photo: "0" * 64)["problems"]).not_to be_empty
    expect(status).to eq 404
  end
end
