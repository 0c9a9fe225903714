# frozen_string_literal: true

module Trial
  # Wreaths as somebody might plan them, with odd sizes: any form, one to three layers of anything, in inches or
  # centimetres, one or several. Some are refused, as some that people plan are.
  class WholePlans
    BASES = %w[wire foam board vine].freeze

    # @param random [Random]
    def initialize(random)
      @random = random
      @shapes = Lantern::Form.shapes.to_h.except(:composite).to_a
      @kinds = Lantern::Plan::Methods.sort_by { _1.method_name.to_s }
    end

    # @return [Hash]
    def plan
      name, shape = pick(@shapes)
      sizes = shape.typical.to_h { |key, value| [key.to_s, value.is_a?(Numeric) ? odd(value) : value] }
      sizes["points"] = points if name == :outline
      {
        "format" => "crisp-lantern/plan", "version" => 1, "name" => "Odd", "units" => pick(%w[in in cm]),
        "quantity" => pick([1, 1, 1, 2, 3, 8]), "sureness" => pick([0.5, 0.9, 0.9, 0.99]),
        "form" => {"base" => pick(BASES), "shape" => name.to_s, **sizes}, "materials" => materials, "layers" => layers
      }.then { in_its_units(_1) }
    end

    private

    # A traced outline with four to seven corners, none like its mirror image.
    def points
      corners = @random.rand(4..7)
      Array.new(corners) do |i|
        angle, far = (i + @random.rand(0.2..0.8)) / corners * 2 * Math::PI, @random.rand(8.0..12.0)
        [(far * Math.cos(angle)).round(2), (far * Math.sin(angle)).round(2)]
      end
    end

    def pick(list) = list.sample(random: @random)

    # A size nobody would round to: in sixteenths, eighths, tenths.
    def odd(value)
      parts = pick([16, 8, 10])
      ((value * @random.rand(0.7..1.6) * parts).round / parts.to_f).clamp(0.0625, 400.0)
    end

    def money(most) = format("%.2f", @random.rand(1.0..most))

    def materials
      [
        {"id" => "rope", "kind" => "rope", "name" => "Hemp cord", "diameter" => odd(0.31),
         "offers" => [{"length" => odd(120), "price" => money(4)}, {"length" => odd(300), "price" => money(9)}],
         "on_hand" => [odd(90), odd(30)]},
        {"id" => "tape", "kind" => "ribbon", "name" => "Marigold tape", "width" => odd(1.5), "wired" => true,
         "offers" => [{"length" => odd(108), "price" => money(5)}, {"length" => odd(360), "price" => money(12)}],
         "on_hand" => [odd(60)]},
        {"id" => "cloth", "kind" => "fabric", "name" => "Sailcloth",
         "offers" => [{"width" => odd(30), "length" => odd(36), "price" => money(7)}], "on_hand" => []},
        {"id" => "net", "kind" => "mesh", "name" => "Netting", "width" => odd(6),
         "offers" => [{"length" => odd(108), "price" => money(5)}]},
        {"id" => "moss", "kind" => "coat", "name" => "Moss", "offers" => [{"count" => 1, "price" => money(5)}]},
        {"id" => "blooms", "kind" => "piece", "name" => "Blooms",
         "offers" => [{"count" => 12, "price" => money(6)}, {"count" => 30, "price" => money(14)}], "on_hand" => [7]},
        {"id" => "ties", "kind" => "tie", "sort" => "chenille", "name" => "Stems",
         "offers" => [{"count" => 25, "price" => money(4)}]}
      ]
    end

    def layers = Array.new(@random.rand(1..2)) { |number| layer(pick(@kinds), "l#{number}") }

    def layer(kind, id)
      options = kind.options.reject { %i[part from to on].include?(_1.name) }.select { @random.rand < 0.2 }
        .to_h { [_1.name.to_s, value(_1)] }.compact
      material = materials.select { kind.takes.include?(_1["kind"].to_sym) }.then { pick(_1) }
      {"id" => id, "method" => kind.method_name.to_s, **({"material" => material["id"]} if material), **options}
    end

    def value(option)
      case option
      when Lantern::Plan::Field::Length then odd(2.5)
      when Lantern::Plan::Field::Count then @random.rand(1..12)
      when Lantern::Plan::Field::Number then @random.rand(1.0..1.5).round(2)
      when Lantern::Plan::Field::Choice then pick(option.declare["choices"])["value"]
      when Lantern::Plan::Field::Switch then pick([true, false])
      end
    end

    # Sizes are thought in inches; a plan in centimetres says them in centimetres.
    def in_its_units(plan)
      return plan unless plan["units"] == "cm"
      lengths = ->(value, key) {
        case value
        when Hash then value.to_h { |name, each| [name, lengths.call(each, name)] }
        when Array then value.map { lengths.call(_1, key) }
        when Float then %w[sureness stretch fullness squash stiffness].include?(key) ? value : (value * 2.54).round(1)
        else value
        end
      }
      lengths.call(plan, nil)
    end
  end
end
