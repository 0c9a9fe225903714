# frozen_string_literal: true

require_relative "../support/api"
require_relative "../support/photo_of_door"
require "pdf/reader"
require "vips"

# Doors that wreaths are looked at on.
RSpec.describe "Places", :api, :store do
  let(:camera) { PhotoOfDoor.new(pan: 0.3, tilt: 0.1, roll: 0.02, k1: -0.05) }

  def photo(bytes = camera.png) = ask(:post, "/pictures", {picture: Server::Photo.address(bytes)})

  def our_door(**more)
    place = camera.place("photo" => photo.slice("id", "width", "height"), **more)
    ask(:post, "/places", {name: "Our door", place:})
  end

  it "are kept with what their photo shows, changed, found again, and let go" do
    kept = our_door
    expect(last_response.status).to eq 201
    # The colour of the simulated door; its sheet's edges, found in the picture.
    expect(Lantern::Measure::Colour.of(kept["place"]["paint"]).apart(Lantern::Measure::Colour.of("#20323e"))).to be < 2
    expect(kept["place"]["seen"]["corners"].flatten.zip(camera.corners.flatten).map { |a, b| (a + 0.5 - b).abs }.max)
      .to be < 0.8
    changed = ask(:put, "/places/#{kept["id"]}",
      {version: 1, name: "Back door", place: kept["place"].merge("gap" => "2 in", "paint" => "#ffffff")})
    expect(changed).to include("name" => "Back door", "version" => 2)
    expect(changed["place"]).to include("paint" => "#ffffff", "gap" => "2 in")
    expect(ask(:put, "/places/#{kept["id"]}", {version: 1, name: "Late", place: kept["place"]})["current"]["name"])
      .to eq "Back door"
    expect(ask(:get, "/places")["places"]).to eq [changed]
    expect(ask(:get, "/places/#{kept["id"]}")).to eq changed
    # Whoever tidies up lets its photo be.
    RealStore.database[:pictures].update(created_at: Time.now - 9 * 86_400)
    RealStore.store.tidy
    expect(RealStore.database[:pictures].count).to eq 1
    archive = RealStore.archive
    expect(ask(:delete, "/places/#{kept["id"]}?version=2")).to eq("ok" => true)
    expect(ask(:get, "/places")["places"]).to eq []
    RealStore.store.archive.restore(StringIO.new(archive))
    expect(ask(:get, "/places")["places"]).to eq [changed]
  end

  it "are refused in a sentence where nothing tells how large they are, or the photo is none of this workshop's" do
    seen = photo.slice("id", "width", "height")
    no_scale = {name: "Ours", place: {units: "in", photo: seen}}
    expect(ask(:post, "/places", no_scale)["problems"][0]).to include("at" => "corners", "says" => /how large it is/)
    gone = {name: "Ours", place: {units: "in", wide: 36, photo: seen.merge("id" => "e" * 64), edges: camera.edges}}
    expect(ask(:post, "/places", gone)["problems"][0]).to include("at" => "photo", "says" => /choose it again/)
    outside = {name: "Ours", place: camera.place("photo" => seen, "corners" => [[9, 9], [9e5, 9], [9, 90], [90, 90]])}
    expect(ask(:post, "/places", outside)["problems"][0]["says"]).to match(/outside the picture/)
    # What the photo's size is, the photo says.
    lies = {name: "Ours", place: camera.place("photo" => seen.merge("width" => 5, "height" => 5))}
    expect(ask(:post, "/places", lies)["place"]["photo"]).to eq seen
    expect(RealStore.database[:places].count).to eq 1
  end

  # The picture is held to the perspective: what differs from the door's own photo is the wreath and its shadow.
  it "show a wreath in a picture where the answer says that it hangs, as large as the photo" do
    kept = our_door(light: "above")
    wreath = ask(:post, "/wreaths", {plan: example_plan("door-14-undyed-rope")})
    at = camera.pixel([4, -20]).map(&:round)
    expect(ask(:post, "/ask/on-door", {plan: wreath["plan"], place: kept["place"], at:})["at"]).to eq at
    get "/api/wreaths/#{wreath["id"]}/on-place.jpg?place=#{kept["id"]}&x=#{at[0]}&y=#{at[1]}"
    expect(last_response.headers["content-type"]).to eq "image/jpeg"
    shown = Vips::Image.new_from_buffer(last_response.body, "")
    expect([shown.width, shown.height]).to eq [PhotoOfDoor::WIDE, PhotoOfDoor::HIGH]
    # Rope is far lighter than the door, and its shadow darker.
    lighter = shown.colourspace(:b_w) - Vips::Image.new_from_buffer(camera.png, "").colourspace(:b_w) > 60
    left, top, wide, = lighter.find_trim(background: 0, threshold: 100)
    # The ring's outside with its cord, 9 1/4 in from its middle, as the camera would see it.
    rim = (0...90).map { |i| [4 + 9.245 * Math.cos(i * Math::PI / 45), -20 + 9.245 * Math.sin(i * Math::PI / 45)] }
    (from, to), (above,) = rim.map { camera.pixel(_1) }.transpose.map(&:minmax)
    expect([left - from, left + wide - to, top - above].map { _1.abs / (to - from) }.max).to be < 0.01
    get "/api/wreaths/#{wreath["id"]}/on-place.jpg?place=#{kept["id"]}&back=yes"
    expect(last_response.status).to eq 200
    get "/api/wreaths/#{wreath["id"]}/on-place.jpg?place=999"
    expect(last_response.status).to eq 404
  end

  # A sheet that fills the photo, and a wreath at the picture's edge: no more is made than is seen.
  it "show a wreath that is far larger than the photo, and one at its edge, in a picture of the photo's size" do
    seen = photo.slice("id", "width", "height")
    wreath = ask(:post, "/wreaths", {plan: example_plan("door-14-undyed-rope")})
    near = [[2, 2], [1490, 30], [1480, 1980], [10, 1990]]
    [{"corners" => near, "x" => 700, "y" => 900}, {"x" => 3, "y" => 4}, {"x" => 1499, "y" => 1999}].each do |each|
      said = camera.place("photo" => seen, **each.slice("corners").transform_keys(&:to_sym))
      place = ask(:post, "/places", {name: "Near", place: said.except("edges")})
      get "/api/wreaths/#{wreath["id"]}/on-place.jpg?place=#{place["id"]}&x=#{each["x"]}&y=#{each["y"]}"
      expect(last_response.status).to eq 200
      shown = Vips::Image.new_from_buffer(last_response.body, "")
      expect([shown.width, shown.height]).to eq [PhotoOfDoor::WIDE, PhotoOfDoor::HIGH]
    end
  end

  it "that are drawn show it too, and the answer is refused with a reason when it would hang beside" do
    kept = ask(:post, "/places", {name: "Drawn", place: {units: "in", wide: 36, paint: "#20323e"}})
    wreath = ask(:post, "/wreaths", {plan: example_plan("door-7-rope-ring")})
    get "/api/wreaths/#{wreath["id"]}/on-place.jpg?place=#{kept["id"]}"
    shown = Vips::Image.new_from_buffer(last_response.body, "")
    expect([shown.width, shown.height]).to eq [36 * 12, 80 * 12]
    ask(:post, "/ask/on-door", {plan: wreath["plan"], place: kept["place"], at: [-5, 20]})
    expect(JSON.parse(last_response.body)["problems"][0]).to include("at" => "at", "says" => /not on the picture/)
  end

  describe "of wreaths" do
    def drawn(name, **more) = ask(:post, "/places", {name:, place: {units: "in", wide: 36, **more}})["id"]

    def hung(wreath) = ask(:get, "/wreaths/#{wreath}/place")

    let(:wreaths) { 3.times.map { |i| ask(:post, "/wreaths", {plan: plan(name: "Wreath #{i}")})["id"] } }
    let(:doors) { [drawn("White", paint: "#efe9dc"), drawn("Rust", paint: "#8f4026", wide: 30)] }

    it "are remembered, changed, swapped, and kept in archives" do
      expect(hung(wreaths[0])).to eq("place" => nil, "at" => nil)
      wreaths.first(2).zip(doors) { |wreath, place|
        ask(:put, "/wreaths/#{wreath}/place", {place:, at: [200, 250.4]})
      }
      expect(hung(wreaths[0])).to eq("place" => doors[0], "at" => [200, 250])
      ask(:put, "/wreaths/#{wreaths[0]}/place", {place: doors[0]})
      expect(hung(wreaths[0])["at"]).to be_nil
      before = ask(:get, "/revisions")["revisions"]
      ask(:put, "/wreaths/#{wreaths[0]}/swap-doors", {with: wreaths[1]})
      expect(wreaths.map { hung(_1)["place"] }).to eq [*doors.reverse, nil]
      expect(hung(wreaths[0])["at"]).to eq [200, 250]
      # What another screen shows of them it asks again, and of nothing else.
      after = ask(:get, "/revisions")["revisions"]
      expect(after.reject { |topic, mark| before[topic] == mark }.keys).to eq ["places"]
      # One that has a door and one that has none.
      ask(:put, "/wreaths/#{wreaths[2]}/swap-doors", {with: wreaths[1]})
      expect(wreaths.map { hung(_1)["place"] }).to eq [doors[1], nil, doors[0]]
      archive = RealStore.archive
      ask(:delete, "/places/#{doors[1]}?version=1")
      expect(hung(wreaths[0])["place"]).to be_nil
      RealStore.store.archive.restore(StringIO.new(archive))
      expect(hung(wreaths[0])["place"]).to eq doors[1]
      expect(ask(:put, "/wreaths/#{wreaths[0]}/place", {place: 999})["problems"]).not_to be_empty
      expect(hung(wreaths[0])["place"]).to eq doors[1]
    end

    it "of an occasion are beside one another to one scale, on the screen and on one sheet" do
      walk = ask(:post, "/occasions", {name: "Walk", units: "in", occasion: {}})["id"]
      ask(:put, "/occasions/#{walk}/wreaths", {wreaths:})
      wreaths.first(2).zip(doors) { |wreath, door| ask(:put, "/wreaths/#{wreath}/place", {place: door}) }
      row = ask(:get, "/occasions/#{walk}/doors")["doors"]
      expect(row.map { _1.values_at("wreath", "called", "says") })
        .to eq [[wreaths[0], "White", "36 in wide"], [wreaths[1], "Rust", "30 in wide"], [wreaths[2], nil, nil]]
      pictures = row.map do |door|
        get "/api/wreaths/#{door["wreath"]}/door.jpg?of=#{door["picture"]}"
        expect(last_response.headers["cache-control"]).to match(/immutable/)
        Vips::Image.new_from_buffer(last_response.body, "")
      end
      # 44 in by 60 in, six pixels to an inch: doors of 36 and 30 in on paper.
      expect(pictures.map { [_1.width, _1.height] }.uniq).to eq [[264, 360]]
      wide = pictures.map { |picture|
        strip = picture.crop(0, 30, 264, 1).to_a[0]
        strip.count { |pixel| pixel.zip([0xf9, 0xf6, 0xee]).any? { |a, b| (a - b).abs > 6 } }
      }
      expect(wide).to match [be_within(3).of(216), be_within(3).of(180), be_within(3).of(216)]
      get "/api/occasions/#{walk}/doors.pdf?paper=letter"
      pages = PDF::Reader.new(StringIO.new(last_response.body)).pages
      expect(pages.size).to eq 1
      expect(pages[0].text).to include("Walk", "Wreath 0", "Rust, 30 in wide")
      unworkable = ask(:post, "/wreaths", {plan: plan(name: "Unworkable", form: {"inside" => 20})})["id"]
      ask(:put, "/occasions/#{walk}/wreaths", {wreaths: [*wreaths, unworkable]})
      get "/api/occasions/#{walk}/doors.pdf"
      expect(PDF::Reader.new(StringIO.new(last_response.body)).pages[0].text.gsub(/\s+/, " "))
        .to match(/Unworkable.*cannot be drawn/).and include("Wreath 0")
      long = drawn("The door at the lower end of the yard, behind the pump", paint: "#2b3f66")
      ask(:put, "/wreaths/#{wreaths[2]}/place", {place: long})
      more = 21.times.map { |i|
        ask(:post, "/wreaths", {plan: plan(name: "More #{i}, of whom there is much to tell")})["id"]
      }
      ask(:put, "/occasions/#{walk}/wreaths", {wreaths: wreaths + more})
      get "/api/occasions/#{walk}/doors.pdf?paper=a4"
      pages = PDF::Reader.new(StringIO.new(last_response.body)).pages
      expect([pages.size, pages[0].text]).to match [1, /More 20/]
    end
  end
end
