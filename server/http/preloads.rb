# frozen_string_literal: true

require "json"

module Server
  # Which modules of the screens a page needs besides those that its HTML names, so that they are fetched with it and
  # not after the first of them has run: a `Link` header (RFC 8288, `rel=modulepreload` of the HTML standard).
  class Preloads
    WREATH = "src/wreath/WreathScreen.tsx"
    # What is opened where, as the build knows it; some of a wreath's stages are modules of their own.
    SCREENS = {
      %r{\A/wreaths/\d+/bench\z} => "src/bench/BenchScreen.tsx",
      **%w[form hang cut buy].to_h { |stage|
        [%r{\A/wreaths/\d+/#{stage}\z}, [WREATH, "src/wreath/#{stage.capitalize}Stage.tsx"]]
      },
      %r{\A/wreaths/\d+/(?!bench|room)\w+\z} => WREATH,
      %r{\A/new\z} => "src/new/NewWreathScreen.tsx"
    }.transform_values { Array(_1) }.freeze
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

    def header(screens)
      files = (screens.flat_map { reached(_1) }.uniq - reached(ENTRY)).map { @chunks.dig(_1, "file") }
      files.map { "</#{_1}>; rel=modulepreload" }.join(", ") if files.any?
    end

    # The names of a chunk and of all that it imports.
    def reached(name, seen = [])
      return seen if seen.include?(name) || !@chunks.key?(name)
      @chunks[name].fetch("imports", []).reduce([*seen, name]) { |all, each| reached(each, all) }
    end
  end
end
