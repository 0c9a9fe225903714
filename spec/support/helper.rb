# frozen_string_literal: true

require "json"
require_relative "../../core/lantern"

# Ways of saying things that every spec may use.
module Saying
  # A plan document: a ring and whatever else is given.
  def plan(form: {}, materials: [], layers: [], **rest)
    ring = {"base" => "wire", "shape" => "ring", "outside" => 14, "inside" => 8, "rails" => 4, "rail_diameter" => 0.12,
            "dish" => 0.5, "sections" => 12}
    {"format" => "crisp-lantern/plan", "version" => 1, "name" => "A wreath", "units" => "in",
     "form" => (form.key?("base") ? {"shape" => "ring"} : ring).merge(form), "materials" => materials,
     "layers" => layers}.merge(rest.transform_keys(&:to_s))
  end

  def rope(**more) = {"id" => "rope", "kind" => "rope", "name" => "Hemp cord", "diameter" => 0.3125,
                      "offers" => [{"length" => 120, "price" => "1.75"}],
                      "on_hand" => []}.merge(more.transform_keys(&:to_s))

  def ribbon(**more) = {"id" => "tape", "kind" => "ribbon", "name" => "Marigold tape", "width" => 1.5,
                        "offers" => [{"length" => "9 ft", "price" => "3.20"}],
                        "on_hand" => []}.merge(more.transform_keys(&:to_s))

  def cloth(**more) = {"id" => "cloth", "kind" => "fabric", "name" => "Sailcloth",
                       "offers" => [{"width" => 18, "length" => 36, "price" => "4.00"}],
                       "on_hand" => []}.merge(more.transform_keys(&:to_s))

  # One material of every kind that a covering is made of.
  def stash
    [rope(diameter: 0.25), ribbon(width: 1), cloth,
      {"id" => "net", "kind" => "mesh", "name" => "Netting", "width" => 6,
       "offers" => [{"length" => 108, "price" => "3.00"}]},
      {"id" => "moss", "kind" => "coat", "name" => "Moss", "offers" => [{"count" => 1, "price" => "3.40"}]},
      {"id" => "blooms", "kind" => "piece", "name" => "Blooms",
       "offers" => [{"count" => 12, "price" => "4.80"}, {"count" => 30, "price" => "10.50"}], "on_hand" => [7]},
      {"id" => "ties", "kind" => "tie", "name" => "Ties", "offers" => [{"count" => 50, "price" => "2.20"}]}]
  end

  # A layer of any covering, of whatever in {#stash} it takes.
  def any_layer(covering, **more) =
    layer(covering.method_name.to_s, stash.find { covering.takes.include?(_1["kind"].to_sym) }["id"], **more)

  # A form that has everything a covering may ask for: rails, ribs and a stem.
  def gourd(**more) = {"base" => "wire", "shape" => "gourd", "width" => 16, "height" => 13, "face" => 1.5, "rails" => 3}
    .merge(more.transform_keys(&:to_s))

  def layer(method, material = nil, **more) =
    {"id" => "one", "method" => method, "material" => material}.compact.merge(more.transform_keys(&:to_s))

  def work(...) = Lantern.work(plan(...))

  # Everything that a plan can be made by, and those of them that cover the form.
  def layer_kinds = Lantern::Plan::Methods.sort_by { _1.method_name.to_s }

  def coverings = layer_kinds.select { _1.stage.key == :cover }

  # So many cases drawn with a fixed seed; a failure names the case.
  def each_random(cases, seed: 20_261)
    random = Random.new(seed)
    cases.times do |number|
      yield random
    rescue RSpec::Expectations::ExpectationNotMetError, StandardError => error
      raise error, "Case #{number}: #{error.message}", error.backtrace
    end
  end

  # The problems of a plan, as `{place => sentence}`.
  def problems(document)
    Lantern.work(document)
    {}
  rescue Lantern::Plan::Refused => refused
    refused.problems.to_h { [_1.at, _1.says] }
  end

  def foam(outside, inside, **more) =
    {"base" => "foam", "outside" => outside, "inside" => inside}.merge(more.transform_keys(&:to_s))

  def example_plan(name) = JSON.parse(File.read(File.expand_path("../../docs/examples/#{name}.json", __dir__)))
end

RSpec.configure do |config|
  config.include Saying
  config.disable_monkey_patching!
  config.expect_with(:rspec) { _1.max_formatted_output_length = 400 }
end
