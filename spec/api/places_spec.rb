# frozen_string_literal: true

require_relative "../support/api"
require_relative "../support/photo_of_door"

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

  it "that are drawn show it too, and the answer is refused with a reason when it would hang beside" do
    kept = ask(:post, "/places", {name: "Drawn", place: {units: "in", wide: 36, paint: "#20323e"}})
    wreath = ask(:post, "/wreaths", {plan: example_plan("door-7-rope-ring")})
    get "/api/wreaths/#{wreath["id"]}/on-place.jpg?place=#{kept["id"]}"
    shown = Vips::Image.new_from_buffer(last_response.body, "")
    expect([shown.width, shown.height]).to eq [36 * 12, 80 * 12]
    ask(:post, "/ask/on-door", {plan: wreath["plan"], place: kept["place"], at: [-5, 20]})
    expect(JSON.parse(last_response.body)["problems"][0]).to include("at" => "at", "says" => /not on the picture/)
  end
end
