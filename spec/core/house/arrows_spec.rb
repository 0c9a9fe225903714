# frozen_string_literal: true

require "ripper"

# One direction: a room may know the rooms above it in this list, never those below. What is read here is what
# stands in the files, so that an arrow that runs back cannot be written without this failing.
RSpec.describe "The rooms of the core" do
  # From the ground floor down: each row may know itself and the rows above it.
  let(:rooms) do
    [%w[Value Registry Cache Problem], %w[Measure], %w[Plan], %w[Form], %w[Place], %w[Stage], %w[Layer], %w[Cover],
      %w[Trim], %w[Hang], %w[Cut], %w[Cost], %w[Bench], %w[Draw], %w[Work], %w[Door], %w[Answer], %w[Ask]]
  end

  let(:root) { File.expand_path("../../../core/lantern", __dir__) }

  # The room a file is in: its folder, or its own name.
  def room_of(file)
    file.delete_prefix("#{root}/").split("/").first.delete_suffix(".rb").split("_").map(&:capitalize).join
  end

  # Every constant that a text names by way of a room, as it stands there.
  def named(text)
    tokens = Ripper.lex(text).reject { |_, type, _| %i[on_sp on_comment on_nl on_ignored_nl].include?(type) }
    tokens.each_with_index.filter_map do |(_, type, token), i|
      next unless type == :on_const && tokens[i + 1]&.at(2) == "::"
      next if tokens[i - 1]&.at(2) == "::" && tokens[i - 2]&.at(2) != "Lantern"
      token
    end.uniq
  end

  it "stand in one order, and every folder is one of them" do
    there = Dir["#{root}/*"].map { room_of(_1) }.uniq
    expect(rooms.flatten).to match_array there
  end

  it "know only what stands above them" do
    order = rooms.each_with_index.flat_map { |row, i| row.map { [_1, i] } }.to_h
    wrong = Dir["#{root}/**/*.rb"].flat_map do |file|
      own = order.fetch(room_of(file))
      back = named(File.read(file)).select { order.fetch(_1, -1) > own }
      back.map { |room| "#{file.delete_prefix("#{root}/")} knows #{room}" }
    end
    expect(wrong).to eq []
  end

  it "see an arrow that runs back" do
    expect(named("Lantern::Cut.cut(material)")).to include("Lantern")
    expect(named("x = Cost::Bill.of(plan)")).to eq ["Cost"]
    expect(named("Form::Path.new(Plan::Field)")).to eq %w[Form Plan]
  end

  it "gather needs in one place" do
    gathers = Dir["#{root}/**/*.rb"].select { File.read(_1).match?(/Demand\.gather|Asked\.new/) }
    expect(gathers.map { _1.delete_prefix("#{root}/") }).to eq ["work.rb"]
  end
end
