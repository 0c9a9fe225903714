# frozen_string_literal: true

require "bigdecimal"

module Trial
  # Every advice on a plan, held against trying all there is to try, each as a plan of its own; and what no friend says.
  class Advised
    # What else is in the stash: one of each that could be taken for another, and more of it than any wreath takes.
    STASH = [
      {"id" => "twine", "kind" => "rope", "name" => "Twine", "diameter" => 0.1},
      {"id" => "line", "kind" => "rope", "name" => "Line", "diameter" => 0.33},
      {"id" => "soft", "kind" => "ribbon", "name" => "Soft tape", "width" => 1.5},
      {"id" => "wired", "kind" => "ribbon", "name" => "Wired tape", "width" => 1.6, "wired" => true},
      {"id" => "wide", "kind" => "ribbon", "name" => "Wide tape", "width" => 3.0, "wired" => true}
    ].map { _1.merge("on_hand" => [4000, 4000]) } + [
      {"id" => "petals", "kind" => "piece", "name" => "Petals", "on_hand" => [3000]}
    ]
    FIFTH = 0.2

    # @param plan [Hash]
    # @param said [Array<Hash>] the advice, where it is not asked for
    # @raise [Lantern::Plan::Refused]
    def initialize(plan, said: nil)
      @plan = plan
      @stash = STASH.map { in_units(_1) }
      @said = said || Lantern::Ask::Advice.on_plan(plan, stash: @stash)
      @work = Lantern::Work.read(plan)
      @now = bought(@work)
    end

    # @return [Array<Hash>]
    attr_reader :said

    # @return [Array<String>] what is wrong with it
    def wrong = (all + @said.flat_map { |each| of(each) } + missed).compact

    private

    def in_units(material)
      return material unless @plan["units"] == "cm"
      material.merge(material.slice("diameter", "width").transform_values { (_1 * 2.54).round(2) })
    end

    # Of all of them together: three at most, the dearest first, none twice, none untrue.
    def all
      saved = @said.map { BigDecimal(_1.fetch("saves", "0")) }
      about = @said.group_by { _1["material"] }.transform_values { |same| same.map { _1["code"] } }
      [("says #{@said.size} things" if @said.size > 3), ("is not in order" if saved != saved.sort.reverse),
        ("has a key twice" if @said.map { _1["key"] }.uniq.size < @said.size),
        *about.map { |id, codes|
          "says of #{id} that all of it is needed and that it is insurance" if codes.include?("insurance") &&
            @said.any? { _1["material"] == id && _1["code"] == "one_fewer" && _1["try"].nil? }
        }]
    end

    def of(each)
      wrong = case each["code"]
      when "one_fewer" then each["try"] ? fewer(each) : needed(each)
      when "stash_first" then instead(each)
      when "just_enough" then enough(each)
      else []
      end
      [*wrong, ("says nothing of money" if each["saves"] && !each["says"].include?(each["saves"].delete_suffix(".00")))]
        .compact.map { "#{each["key"]}: #{_1}" }
    end

    # What it says is so when it is done, and nothing smaller does.
    def fewer(each)
      id = each["material"]
      other = worked(each["try"]) or return ["cannot be done"]
      return whole(id, other) unless each["saves"]
      saved = price(id) - price(id, other)
      least = least(id)
      [("saves #{saved.to_s("F")}, not #{each["saves"]}" if saved.round(2) != BigDecimal(each["saves"])),
        ("is not the least: #{least}" if least != each["try"])]
    end

    # What saves no money leaves a length whole.
    def whole(id, other)
      before, after = [@work, other].map { opened(id, _1) }
      [("is bought" if @now.key?(id) || bought(other).key?(id)), ("cuts into #{after}, as before" if after >= before)]
    end

    def opened(id, work)
      work.stock.find { _1.material.id == id }.bars.select { _1.source == :on_hand }.map(&:index).uniq.size
    end

    # Nobody says of what is counted, or of the only package of something, that all of it is needed.
    def needed(each)
      id = each["material"]
      [("is counted" if material(id).counted?), ("would do with #{least(id)}" if least(id)),
        ("is the only one" if @now.fetch(id).sum(&:last) == 1 && material(id).on_hand.empty?)]
    end

    def instead(each)
      layer, change = each["try"].first
      other, was = [change["material"], each["material"]].map { |id|
        (@stash + @plan["materials"]).find { _1["id"] == id }
      }
      work = worked({layer => change}, @stash.select { _1["id"] == change["material"] })
      [("is another thing" unless same?(was, other)),
        ("has to be bought" if work.nil? || bought(work).key?(other["id"])),
        ("saves nothing" unless work && total(work) < total(@work))]
    end

    def same?(was, other)
      sizes = [was, other].map { _1["width"] || _1["diameter"] }
      was["kind"] == other["kind"] && was["wired"] == other["wired"] && !was["offers"].first["count"] &&
        (sizes.any?(&:nil?) || (sizes[1] - sizes[0]).abs <= FIFTH * sizes[0] + 1e-9)
    end

    # Little is left of what is cut.
    def enough(each)
      cutting = @work.stock.find { _1.material.id == each["material"] }
      left = cutting.bars.sum(&:left) + cutting.untouched.sum
      whole = cutting.bars.sum(&:length) + cutting.untouched.sum
      [("has #{left.to_f} of #{whole.to_f} left" if left >= 0.03 * whole), ("lacks some" if cutting.short.positive?)]
    end

    # A change that saves a package, and that is not said, though there is room for it or others save less.
    def missed
      least_said = (@said.size < 3) ? 0 : @said.map { BigDecimal(_1.fetch("saves", "0")) }.min
      @now.keys.filter_map do |id|
        next if @said.any? { _1["code"] == "one_fewer" && _1["material"] == id && _1["try"] }
        change = least(id) or next
        saves = price(id) - price(id, worked(change))
        "#{id}: misses #{change}, which saves #{saves.to_s("F")}" if saves > least_said
      end
    end

    # The least change of all: every step of every give of every layer, each as a plan of its own.
    def least(id)
      (@least ||= {}).fetch(id) { @least[id] = look_for_least(id) }
    end

    def look_for_least(id)
      return unless @now.key?(id)
      found = @work.layers.flat_map { |layer|
        next [] unless layer.required.any? { _1.material == id }
        layer.class.gives.map { |give| first(id, layer, give) }
      }
      found.compact.min_by.with_index { |(share, _), i| [share, i] }&.last
    end

    def first(id, layer, give)
      steps = give.steps(layer, @plan["units"])
      step = steps.index { |value| saves?(id, layer, change(layer, give, value)) } or return
      [(step + 1).fdiv(steps.size), change(layer, give, steps[step])]
    end

    def change(layer, give, value) = {layer.id => {give.option.to_s => give.written(value, @plan["units"])}}

    def saves?(id, layer, change)
      other = worked(change) or return false
      cutting = other.stock.find { _1.material.id == id }
      cutting.short.zero? && cutting.packages < @work.stock.find { _1.material.id == id }.packages &&
        price(id, other) < price(id) && (faults(other, layer.id) - faults(@work, layer.id)).empty?
    end

    def faults(work, id) = work.layers.find { _1.id == id }.found.reject { _1.level == :note }.map(&:code)

    def worked(changes, materials = [])
      layers = @plan["layers"].map { |each| each.merge(changes.fetch(each["id"], {})) }
      Lantern::Work.read(@plan.merge("layers" => layers, "materials" => @plan["materials"] + materials))
        .tap(&:layers)
    rescue Lantern::Plan::Refused
      nil
    end

    def material(id) = @work.plan.materials.find { _1.id == id }

    # What is bought, by material: which offer and how many.
    def bought(work) = work.stock.reject { _1.bought.empty? }.to_h { [_1.material.id, _1.bought.to_a] }

    def price(id, work = @work)
      cutting = work.stock.find { _1.material.id == id }
      cutting.bought.sum(BigDecimal(0)) { |offer, count| cutting.material.offers[offer][:price] * count }
    end

    def total(work) = work.stock.sum(BigDecimal(0)) { price(_1.material.id, work) }
  end
end
