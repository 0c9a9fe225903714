# frozen_string_literal: true

require_relative "../support/api"

# What comes with a page, and not after its first script has run.
RSpec.describe Server::Preloads, :api do
  let(:built) { Server::App.public_folder }
  let(:manifest) { JSON.parse(File.read(File.join(built, ".vite/manifest.json"))) }

  def named(path)
    get path, {}, "HTTP_HOST" => "localhost"
    expect(last_response.status).to eq 200
    last_response.headers["link"].to_s.split(", ").map { _1[/\A<(.*)>; rel=modulepreload\z/, 1] }
  end

  it "are the modules of the screen that is opened, all there, and none that its HTML names" do
    {"/wreaths/3/cover" => "src/wreath/WreathScreen.tsx", "/wreaths/3/bench" => "src/bench/BenchScreen.tsx",
     "/new" => "src/new/NewWreathScreen.tsx",
     "/wreaths/3/buy" => "src/wreath/BuyStage.tsx"}.each do |path, screen|
      files = named(path)
      expect(files).to include "/#{manifest.dig(screen, "file")}"
      expect(files.map { File.join(built, _1) }).to all satisfy { File.file?(_1) }
      expect(files.select { last_response.body.include?(_1) }).to eq []
      own = manifest.dig(screen, "imports").map { manifest.dig(_1, "file") }
      expect(own - files.map { _1.delete_prefix("/") } - last_response.body.scan(/assets\/[\w.-]+\.js/)).to eq []
    end
    expect(%w[/ /stash /wreaths/3/room /wreaths/x/cover].flat_map { named(_1) }).to eq []
  end

  it "are none where the screens were built without saying what is where" do
    Dir.mktmpdir { |folder| expect(described_class.new(folder).for("/new")).to be_nil }
  end
end
