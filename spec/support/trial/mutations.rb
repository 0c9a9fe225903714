# frozen_string_literal: true

require "json"

module Trial
  # Plans as nobody should write them, and as somebody will: good plans with a few things in them changed to what is
  # too large, too small, of another kind, or not there.
  class Mutations
    EXAMPLES = Dir[File.expand_path("../../../docs/examples/*.json", __dir__)].sort.map { JSON.parse(File.read(_1)) }
      .freeze
    HOSTILE = [nil, true, false, 0, -1, 1, 2, 3, 7, 0.001, 1e-9, 1e9, 1e308, 2**62, 10**400, 0.5, 99_999, "", " ", "x",
      "1/0 in", "1e400", "NaN", "-3 in", "0 in", "1e-12 in", "9999999 yd", "12 parsecs", "\xFF\xFE", "\0", "a" * 5_000,
      "ring", "cm", [], {}, [[]], [nil], {"a" => 1}, "3 1/2 in", "40 cm", 0.125, 12, 14.5, 200].freeze

    # @param random [Random]
    def initialize(random)
      @random = random
      @values = EXAMPLES.flat_map { |plan| leaves(plan) }.uniq
      @layers = EXAMPLES.flat_map { _1["layers"] }
      @forms = EXAMPLES.map { _1["form"] }
    end

    # @return [Hash]
    def plan
      plan = Marshal.load(Marshal.dump(EXAMPLES.sample(random: @random)))
      mix(plan) if chance(3)
      @random.rand(1..3).times { chance(3) ? change(plan) : scale(plan) }
      plan
    end

    # Something hostile, or something from another plan.
    def value = chance(2) ? HOSTILE.sample(random: @random) : @values.sample(random: @random)

    private

    def chance(of) = @random.rand(of).zero?

    # Layers of other plans on the forms of others.
    def mix(plan)
      plan["form"] = @forms.sample(random: @random).dup
      @random.rand(1..3).times do |i|
        other = @layers.sample(random: @random).merge("id" => "mixed-#{i}")
        plan["layers"] << (chance(2) ? other.slice("id", "method").merge("material" => material(plan)) : other)
      end
      plan["quantity"] = @random.rand(1..500) if chance(3)
    end

    def material(plan) = plan["materials"].sample(random: @random)&.fetch("id", nil)

    def change(plan)
      holder, key = places(plan).sample(random: @random)
      return unless holder
      case @random.rand(6)
      when 0 then holder.is_a?(Hash) ? holder.delete(key) : holder.delete_at(key)
      when 1 then holder.is_a?(Hash) ? holder["more_#{@random.rand(9)}"] = value : holder << value
      else holder[key] = value
      end
    end

    # One number larger or smaller than it was.
    def scale(plan)
      holder, key = places(plan).select { |each, at|
        each[at].is_a?(Numeric) && each[at].to_f.finite?
      }.sample(random: @random)
      return unless holder
      factor = [0.01, 0.1, 0.3, 0.5, 0.9, 1.1, 2, 3, 10, 100].sample(random: @random)
      holder.store(key, holder[key].is_a?(Integer) ? (holder[key] * factor).round : (holder[key] * factor).round(4)) if
        holder.is_a?(Hash)
    end

    def places(value)
      case value
      when Hash then value.flat_map { |key, each| [[value, key], *places(each)] }
      when Array then value.each_with_index.flat_map { |each, index| [[value, index], *places(each)] }
      else []
      end
    end

    def leaves(value)
      case value
      when Hash then value.values.flat_map { leaves(_1) }
      when Array then value.flat_map { leaves(_1) }
      else [value]
      end
    end
  end
end
