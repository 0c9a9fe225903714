# frozen_string_literal: true

# Every text that the core can make, on some hundred plans, read for what a maker would stumble over.
RSpec.describe "Plain words" do
  # Texts that people read, by the key that they stand under.
  def texts(value, key = nil, &block)
    case value
    when Hash then value.each { |name, each| texts(each, name, &block) unless %w[lengths drawing].include?(name) }
    when Array then value.each { texts(_1, key, &block) }
    when String then yield key, value if read_keys.include?(key)
    end
  end

  def read_keys = %w[says sum answer title look move_says reason per label help default_says figure where]

  # What is counted: one of it, and several.
  def words = Lantern::Place::Unit::ALL.map { [_1.one, _1.many] }.reject { |one, many| one == many } +
    [%w[package packages], %w[day days], %w[minute minutes], %w[spare spares]]

  # What is wrong with a text, in a word.
  def faults
    {
      "a share of a hundred" => /\b(in|of) 100\b(?! makes)|hundredth/,
      "a plural of one" => /(?<![\d.,\/-])(?<!\d )\b1 (#{words.map(&:last).join("|")})\b/,
      "one of several" => /(?<![\d.,\/-])\b(?!1\b)\d+ (#{words.map(&:first).join("|")})\b(?! (of|to|for|in))/,
      "a doubled unit" => /\b(in in|cm cm|ft ft|in cm|%\s?%)\b/,
      "a doubled word" => /\b(?!that\b)([a-z]{2,}) \1\b/,
      "a word nobody says" => /\b(cannot be had|nobody could|in the mean|hither|whence|thence|upon|ere|lest)\b/i,
      "a doubled full stop" => /(?<!\.)\.\.(?!\.)|[.,;:]{2}|\s[.,;]/,
      "a double space" => /\S  \S/,
      "nothing" => /\A\s+\z|\bnil\b|NaN|Infinity|#\{/
    }
  end

  def read(worked)
    found = []
    texts(worked) do |key, text|
      faults.each { |fault, pattern| found << "#{fault} in #{key}: #{text}" if text.match?(pattern) }
    end
    found
  end

  def forms
    [{}, foam(14, 8), gourd, {"base" => "wire", "shape" => "heart", "width" => 14, "height" => 14, "face" => 2},
      {"base" => "board", "shape" => "star", "width" => 16, "height" => 15, "face" => 1.5},
      {"base" => "vine", "outside" => 16, "inside" => 9}, {"base" => "foam", "shape" => "composite", "face" => 1.5},
      {"base" => "foam", "shape" => "arc", "width" => 14, "face" => 3}]
  end

  it "are on every example, with everything a friend says to it", :thorough do
    found = Dir[File.expand_path("../../docs/examples/*.json", __dir__)].flat_map do |file|
      document = JSON.parse(File.read(file))
      read("work" => Lantern.work(document, advice: true)).map { "#{File.basename(file)}: #{_1}" }
    end
    expect(found.uniq).to eq []
  end

  # Every form in inches; in centimetres the wire ring and the gourd, on which everything can lie.
  it "are on every covering, trim and hanging, on eight forms, in inches and in centimetres", :thorough do
    cases = forms.product(layer_kinds, %w[in]) + [forms[0], gourd].product(layer_kinds, %w[cm])
    found = cases.flat_map do |form, kind, units|
      document = plan(form:, materials: stash, layers: [any_layer(kind)])
      document = Lantern::Plan::Units.change(document, to: units) unless units == "in"
      read("work" => Lantern.work(document))
    rescue Lantern::Plan::Refused => refused
      read("problems" => refused.problems.map { {"says" => _1.says} })
    end
    expect(found.uniq).to eq []
  end

  it "are in every declaration that the screens draw their labels from" do
    expect(read(Lantern.declarations).uniq).to eq []
  end

  it "are in an occasion" do
    plans = %w[door-7-rope-ring door-16-oval].map { example_plan(_1) }
    document = {"format" => "crisp-lantern/occasion", "version" => 1, "units" => "in", "day" => "2027-06-21",
                "today" => "2027-06-01", "budget" => "30.00", "evenings" => %w[tuesday], "sale" => "2027-06-04",
                "plans" => plans}
    expect(read(Lantern::Ask::Occasion.work(document)).uniq).to eq []
  end

  # What the examples of bad speech would be found by.
  it "finds what it looks for" do
    bad = ["99 in 100 or better",
      "1 strips of 6 in", "12 strip are cut", "6 in in each", "the the end", "cannot be had",
      "ends here..", "a  gap"]
    expect(bad.map { read("says" => _1).size }.min).to be >= 1
    good = ["1 strip 2 x 13 in", "5 packages: safely enough", "12 in, 3 cuts", "half past 10", "every 2 in"]
    expect(good.flat_map { read("says" => _1) }).to eq []
  end
end
