# frozen_string_literal: true

module Trial
  # What must hold between a plan and the same plan a little changed, whatever the sums are: a check that needs no
  # other model of them.
  class Relations
    # Figures that are lengths of the drawing's own steps, not of the work.
    NEAR = 0.002

    ALL = %i[units mirrored twice together surer dearer on_hand ids].freeze

    # @param plan [Hash] one that can be worked
    # @param worked [Hash]
    def initialize(plan, worked = Lantern.work(plan))
      @plan, @worked = plan, worked
    end

    # @return [Array<String>] what is broken
    def broken(which = ALL) = which.flat_map { [*send(_1)] }.compact

    private

    def again(**changes) = Lantern.work(@plan.merge(changes.transform_keys(&:to_s)))

    def to_buy(worked) = BigDecimal(worked["cost"]["to_buy"])

    def proven?(worked) = worked["materials"].all? { _1["optimal"] != false && !short?(_1) }

    def short?(material) = material["short"].to_f.positive?

    # Said in the other units, with the same tape, it is the same wreath.
    def units
      other = (@plan["units"] == "cm") ? "in" : "cm"
      factor = (other == "cm") ? 2.54 : 1 / 2.54
      mark = (@plan["units"] == "cm") ? "0.5 cm" : "1/8 in"
      keep = (@plan["units"] == "cm") ? "20 cm" : "8 in"
      same = {"smallest_mark" => mark, "smallest_remnant" => keep}
      mine, theirs = Lantern.work(@plan.merge(same)), Lantern.work(said(@plan).merge(same, "units" => other))
      counts = [mine, theirs].map { |one| one["layers"].map { |each| counted(each["figures"]) } }
      [("counts in #{other}: #{counts.join(" / ")}" unless counts.uniq.one?),
        ("buys in #{other}" unless mine["materials"].map { _1["buy"] } == theirs["materials"].map { _1["buy"] }),
        *lengths(mine, theirs, factor)]
    end

    # Every length with its unit behind it.
    def said(value, key = nil)
      case value
      when Hash then value.to_h { |name, each| [name, LEAVE.include?(name) ? each : said(each, name)] }
      when Array then value.map { said(_1, key) }
      when Float then "#{value} #{@plan["units"]}"
      when Integer then FORM.include?(key) ? "#{value} #{@plan["units"]}" : value
      else value
      end
    end

    FORM = %w[length outside inside width height face diameter tail loop_size].freeze
    LEAVE = %w[at points quantity sureness price version count sections rails degrees points ribs strips numbers stretch
      fullness
      squash stiffness share crossing_share shoulder waist coverage take_up spare].freeze

    def counted(figures) = figures.select { |_, value| value.is_a?(Integer) }.reject { |name, _| lengthy?(name) }

    def lengthy?(name)
      name.match?(/length|run|width|size|gap|pitch|tail|area|lap|ease|opening|reach|ends|wrap|coils\z|row\z/)
    end

    def lengths(mine, theirs, factor)
      %w[run inside_run outside_run girth face].filter_map do |name|
        a, b = mine["form"][name] * factor, theirs["form"][name]
        "#{name}: #{a} / #{b}" if (a - b).abs > 1e-3 + NEAR * a.abs
      end
    end

    # An outline traced from its other side is as long and takes as much. Where its first stretch begins, and so where a
    # rounding falls, may differ.
    def mirrored
      points = @plan["form"]["points"] or return
      other = again(form: @plan["form"].merge("points" => points.map { |x, y| [-x, y] }.reverse))
      lengths(@worked, other, 1)
    end

    # Twice as many take twice as much, and with nothing on hand never cost more than twice. Of what is used up by
    # parts there may be one less.
    def twice
      bare = @plan["materials"].map { _1.merge("on_hand" => []) }
      one, two = [1, 2].map { again(materials: bare, quantity: @plan.fetch("quantity", 1) * _1) }
      asked = [one, two].map { |each| each["materials"].to_h { [_1["id"], _1["needed"].to_f] } }
      off = asked.first.keys.reject { |id| (asked[0][id] * 2 - asked[1][id]).between?(-1e-3, 1 + NEAR * asked[1][id]) }
      [("needs of twice as many: #{off.join(", ")}" if off.any?),
        ("dearer together" if proven?(two) && proven?(one) && to_buy(two) > 2 * to_buy(one))]
    end

    # As a number and as plans of one occasion it is bought alike.
    def together
      plans = Array.new(@plan.fetch("quantity", 1)) { @plan.merge("quantity" => 1, "name" => "Door #{_1}") }
      return if plans.size > 3
      all = Lantern::Ask::Occasion.work({"format" => "crisp-lantern/occasion", "version" => 1, "name" => "All",
        "units" => @plan["units"], "sureness" => @plan.fetch("sureness", 0.9), "plans" => plans})
      return unless proven?(all) && proven?(@worked)
      "as an occasion #{to_buy(all)}, as a number #{to_buy(@worked)}" unless to_buy(all) == to_buy(@worked)
    end

    # To be surer never costs less.
    def surer
      less, more = again(sureness: 0.5), again(sureness: 0.99)
      "surer is cheaper" if proven?(less) && proven?(more) && to_buy(less) > to_buy(more)
    end

    # At twice the price the same is bought for twice as much.
    def dearer
      double = ->(offer) { offer.merge("price" => format("%.2f", offer["price"].to_f * 2)) }
      dear = again(materials: @plan["materials"].map { |each|
        each.merge("offers" => each.fetch("offers", []).map(&double))
      })
      "twice the price: #{to_buy(dear)}" unless to_buy(dear) == 2 * to_buy(@worked) || !proven?(dear)
    end

    # With more on hand no more is bought.
    def on_hand
      more = again(materials: @plan["materials"].map { |each|
        first = each.fetch("offers", []).first
        next each unless first
        size = first.values_at("length", "count").compact.first
        each.merge("on_hand" => each.fetch("on_hand", []) + [first["width"] ? first.slice("width", "length") : size])
      })
      "more on hand, more bought" if proven?(more) && proven?(@worked) && to_buy(more) > to_buy(@worked)
    end

    # Names are names.
    def ids
      renamed = JSON.parse(JSON.generate(@plan).gsub('"rope"', '"cord-1"').gsub('"kind":"cord-1"', '"kind":"rope"'))
      "other ids, other sums" unless to_buy(Lantern.work(renamed)) == to_buy(@worked)
    end
  end
end
