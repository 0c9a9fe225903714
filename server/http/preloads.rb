# frozen_string_literal: true

require "json"

module Server
  # Which modules of the screens a page needs besides those that its HTML names, so that they are fetched with it and
  # not after the first of them has run: a `Link` header (RFC 8288, `rel=modulepreload` of the HTML standard).
  class Preloads
    # What is opened where, as the build knows it.
    SCREENS = {
      %r{\A/wreaths/\d+/bench\z} => "src/bench/BenchScreen.tsx",
      %r{\A/wreaths/\d+/(?!bench|room)\w+\z} => "src/wreath/WreathScreen.tsx",
      %r{\A/new\z} => "src/new/NewWreathScreen.tsx"
    }.freeze
    ENTRY = "index.html"

    # @param folder [String] of the built screens
    def initialize(folder)
      manifest = File.join(folder, ".vite/manifest.json")
      @chunks = File.exist?(manifest) ? JSON.parse(File.read(manifest)) : {}
      @headers = SCREENS.transform_values { header(_1) }
    end

    # @param path [String]
    # @return [String, nil]
    def for(path) = @headers[SCREENS.keys.find { path.match?(_1) }]

    private

    def header(screen)
      files = (reached(screen) - reached(ENTRY)).map { @chunks.dig(_1, "file") }
      files.map { "</#{_1}>; rel=modulepreload" }.join(", ") if files.any?
    end

    # The names of a chunk and of all that it imports.
    def reached(name, seen = [])
      return seen if seen.include?(name) || !@chunks.key?(name)
      @chunks[name].fetch("imports", []).reduce([*seen, name]) { |all, each| reached(each, all) }
    end
  end
end
