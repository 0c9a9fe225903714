# frozen_string_literal: true

require "fileutils"
require "tmpdir"

# What the documentation of the core shows is run: every line of an example that says what comes of it (`# =>`).
RSpec.describe "The examples in the core's documentation" do
  root = File.expand_path("../../../core", __dir__)

  # Blocks of indented lines in comments, with the line each begins on.
  blocks = Dir["#{root}/**/*.rb"].sort.flat_map do |file|
    lines = File.readlines(file, chomp: true)
    lines.each_with_index.slice_when { |(a, _), (b, _)| a.match?(/\A *#   /) != b.match?(/\A *#   /) }
      .map { |part| [file, part.first.last + 1, part.map { _1[0].sub(/\A *#   /, "") }] }
      .select { |_, _, code| code.any? { _1.include?("# =>") } }
  end

  it "are there for whoever calls the core from outside" do
    shown = blocks.map { |file, *| file.delete_prefix("#{root}/") }
    expect(shown).to include("lantern.rb", "lantern/work.rb", "lantern/layer.rb", "lantern/place/lie.rb",
      "lantern/measure/length.rb")
  end

  # The room a file is in, in which its examples are read.
  def room(file, root)
    names = file.delete_prefix("#{root}/").delete_suffix(".rb").split("/")[0...-1]
    names.reduce(Object) { |outer, name| outer.const_get(name.split("_").map(&:capitalize).join) }
  end

  around do |example|
    Dir.mktmpdir do |folder|
      FileUtils.cp(File.expand_path("../../../docs/examples/door-7-rope-ring.json", __dir__), "#{folder}/plan.json")
      Dir.chdir(folder) { example.run }
    end
  end

  blocks.each do |file, line, code|
    it "say what comes of them: #{file.delete_prefix("#{root}/")}:#{line}" do
      room = room(file, root)
      before = room.constants
      place, waiting = room.module_eval("binding", __FILE__, __LINE__), +""
      code.each do |each|
        waiting << each << "\n"
        promised = each[/# => (.*)\z/, 1] or next
        expect(place.eval(waiting, file, line).inspect).to eq promised
        waiting.clear
      end
    ensure
      (room.constants - before).each { room.send(:remove_const, _1) if code.join.include?("#{_1} = ") }
    end
  end
end
