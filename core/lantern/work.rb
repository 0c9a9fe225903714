# frozen_string_literal: true

module Lantern
  # A plan, and everything that is worked out from it, each part when it is first asked for. Whoever needs a part
  # asks here; nobody else composes the way from a plan to an answer.
  #
  #   work = Lantern::Work.read(JSON.parse(File.read("plan.json")))
  #   work.form.run.round(2)                # its form is measured  # => 34.56
  #   work.layers.map { _1.class.title }    # each layer worked  # => ["Rope coil"]
  #   work.stock.size                       # what it needs cut from stock  # => 1
  #   work.course.steps.size                # written down as steps  # => 4
  #   work.bill.to_buy.to_s("F")            # costed  # => "10.5"
  #   work.drawing["layers"].size           # drawn, and answered  # => 2
  class Work
    class << self
      # @param document [Hash] a plan document as JSON gives it
      # @param cache [#fetch] of what was worked out before, of plans of the same workshop
      # @return [Work]
      # @raise [Plan::Refused] with every problem found in the plan
      def read(document, cache: Cache::None) = new(Plan::Document.read(document, cache:), cache:)

      # What wreaths ask of each of some materials, all of them together. The one place where needs are gathered.
      # @param works [Array<Work>]
      # @param materials [Array<Plan::Material>]
      # @param sureness [Float]
      # @yieldparam need [Place::Need] as a wreath asks it, to be marked as its own
      # @yieldparam work [Work] the wreath
      # @return [Hash{String=>Cut::Demand}] by the materials' ids
      def demand(works, materials, sureness:)
        asked = works.flat_map do |work|
          work.asked.map { |each| block_given? ? each.with(need: yield(each.need, work)) : each }
        end
        by_material = asked.group_by { _1.need.material }
        materials.to_h { |each| [each.id, Cut::Demand.gather(by_material.fetch(each.id, []), sureness:)] }
      end
    end

    attr_reader :plan

    # @param plan [Plan::Document]
    # @param share [Rational] how much of every need is asked for; less than all of it to see how far stock goes
    # @param cache [#fetch] of what was worked out before
    def initialize(plan, share: 1r, cache: Cache::None)
      @plan = plan
      @share = share
      @cache = cache
    end

    # The same plan with some of it changed.
    # @return [Work]
    def with(**changes) = Work.new(@plan.with(**changes), share: @share, cache: @cache)

    # The same plan with some options of one layer changed.
    # @param index [Integer] which layer
    # @return [Work]
    def with_options(index, changes)
      layers = @plan.layers.dup
      layers[index] = layers[index].with(options: layers[index].options.merge(changes))
      with(layers:)
    end

    # The same plan, of whose needs only a share is asked for.
    # @return [Work]
    def sharing(part) = Work.new(@plan, share: part, cache: @cache)

    # @return [Form::Band]
    def form = @plan.form.band

    # @return [Array<Layer>] in the plan's order, each ready to be asked
    # @raise [Plan::Refused] with the problems of all layers
    def layers = @layers ||= worked_layers

    # What one wreath and then another asks for, layer by layer, and what its steps use up.
    # @return [Array<Cut::Demand::Asked>]
    def asked
      @asked ||= begin
        needs = [*the_form, *layers.flat_map { |layer| layer.required.map { [layer.id, _1] } },
          *supplies.needs.map { ["bench", _1] }]
        needs = needs.map { |id, need| [id, need.share(@share)] } unless @share == 1
        needs.reject { _2.total.zero? }
          .map { |layer, need| Cut::Demand::Asked.new(layer:, need:, times: @plan.quantity) }
      end
    end

    # @return [Bench::Supplies]
    def supplies = @supplies ||= Bench::Supplies.new(@plan, form, layers)

    # @return [Array<Cut::Cutting>] one for each material of the plan, in its order
    def stock
      @stock ||= begin
        demand = Work.demand([self], @plan.materials, sureness: @plan.sureness)
        @plan.materials.map { |material| cut(material, demand.fetch(material.id)) }
      end
    end

    # Whether what is on hand and on offer holds everything.
    def enough? = stock.none? { _1.short.positive? }

    # @return [Bench::Course] the steps at the bench
    def course = @course ||= Bench::Course.new(plan: @plan, form:, layers:, stock:, supplies:)

    # @return [Cost::Bill]
    def bill = @bill ||= Cost::Bill.of(@plan, stock, minutes: course.minutes)

    # @return [BigDecimal] what has to be paid for whole packages, before tax
    def to_buy = Cost::Bill.of(@plan, stock).to_buy

    # @return [Hash] where everything lies, to scale, in the plan's units
    def drawing = @drawing ||= Draw.work(@plan, form, layers, outline:, drawn: undermost_first.flat_map { drawn(_1) })

    # The places that are bare, the widest of each layer.
    # @return [Array<Draw::Covered::Patch>]
    def bare_places = layers.flat_map { covered(_1).places.first(SHOWN) }

    # How a layer covers what it means to close, looked at once.
    # @param layer [Layer]
    # @return [Draw::Covered]
    def covered(layer)
      (@covered ||= {}.compare_by_identity)[layer] ||=
        @cache.fetch(:covered, layer, bytes: :bytes.to_proc) { Draw::Covered.new(layer).settle }
    end

    # How much of the whole front all layers hide together. Where one closes all of it, that is looked at already, and
    # only what lies on it is to be looked at.
    # @return [Float] 0..1
    def covered_in_all
      @covered_in_all ||= begin
        seen = layers.reject { |layer| layer.in_place.all? { _1.front.empty? } }
        closing = seen.find { |layer| layer.closes && covered(layer).whole_of?(form) }
        closing ? covered(closing).share_with((seen - [closing]).flat_map { lies_over(_1) }) :
          front.share(seen.map { hidden(_1) })
      end
    end

    # What is to be said of a layer: its own findings, and where it leaves the form bare.
    # @return [Array<Plan::Finding>]
    def findings(layer)
      told = [*own_findings(layer), *overlap.findings.fetch(layer, [])]
      return told if layer.found.any? { %w[form_shows crowded_fillers].include?(_1.code) }
      [*told, *covered(layer).finding(@plan.units)]
    end

    # What is to be said of a layer before it is looked at how it covers.
    # @param layer [Layer]
    # @return [Array<Plan::Finding>]
    def own_findings(layer)
      @meeting ||= Cover::Meeting.new(layers, form, @plan.units).findings
      [*layer.found, *stem_bare(layer), *@meeting.fetch(layer, [])]
    end

    # @return [Draw::Bare] how much of the form still shows, and where
    def bare = Draw::Bare.new(form, layers.flat_map(&:in_place))

    # @return [Array<Place::Template>] what can be printed at its true size
    def templates = Draw::Templates.new(form, layers).to_a

    # @return [Array<Cut::Move>] what cutting it does to the stash
    def moves = [*stock.reject { _1.demand.none? }.flat_map { Cut::Move.of(_1, @plan.smallest_remnant) }, *saved]

    # What is saved of a covering that is stripped off each form.
    # @return [Array<Cut::Move>]
    def saved
      before = @plan.form.sizes[:before]
      return [] unless before&.saves && before.saved
      [Cut::Move.new(material: before.saves, kind: :remnant, length: before.saved, width: 0, end_width: 0,
        change: @plan.quantity)]
    end

    # A layer lies on another that is under at least so much of it.
    UNDER = 0.5
    # As many bare places of a layer are pointed at.
    SHOWN = 3
    private_constant :UNDER, :SHOWN

    # Whether what is to be said of a layer follows from where everything lies.
    def waits?(layer) = !layer.closes.nil? || overlap.about?(layer)

    private

    def overlap
      @overlap ||= Trim::Overlap.new(course.order.layers) { |each| coarse.hidden(each) { lies_over(each) } }
    end

    # As they lie on one another; what is out of sight beneath a covering is seen from behind alone.
    def undermost_first = course.order.layers.partition { _1.turn != :beneath }.flatten(1)

    def front = @front ||= Draw::Front.new(form)

    # What is said by tenths is looked at on fewer lines.
    def coarse = @coarse ||= Draw::Front.new(form, lines: 24)

    def hidden(layer)
      @cache.fetch(:hidden, layer, bytes: :bytes.to_proc) { front.hidden(layer) { lies_over(layer) } }
    end

    # The pieces of the front that a layer lies over.
    def lies_over(layer)
      (@lies_over ||= {}.compare_by_identity)[layer] ||= layer.in_place.flat_map { _1.covers(:front) }
    end

    # What is asked of a material, and what there is of it, is all that its cutting follows from.
    def cut(material, demand)
      @cache.fetch(:cut, material, demand, bytes: :bytes.to_proc) { Cut.cut(material, demand) }
    end

    def outline
      @cache.fetch(:outline, form, @plan.units, bytes: ->(_) { form.bytes }) do
        Draw.outline(form, @plan.units)
      end
    end

    def drawn(layer)
      @cache.fetch(:drawn, layer, bytes: ->(_) { layer.in_place.sum(&:bytes) }) { Draw.lies(layer, @plan.units) }
    end

    # Where the parts of a joined form differ, what runs along the band is worked on each.
    def laid(said, plan, band, way)
      on = ->(form) { said.kind.new(plan:, said:, form:) }
      return on.call(band) if said.kind.along_seams? || !way.whole || !said.options.key?(:part) || !band.differs?
      Layer::OnEveryPart.new(band.members.map(&on))
    end

    # The form itself, and its parts, where the plan says which of the stash or the shop they are.
    def the_form
      @plan.form.made_of.tally.map { |id, count| ["form", Place::Need.items(material: id, what: :forms, count:)] }
    end

    # The stem is part of the form: what closes the band and leaves it bare says so, once, and offers to cover it.
    def stem_bare(layer)
      return unless form.stem && layer.closes && layers.find(&:closes).equal?(layer)
      return if layers.any? { _1.class.dresses == :stem }
      dressing = Plan::Methods.detect { |kind| kind.dresses == :stem && kind.takes.include?(layer.material.kind) }
      Plan::Finding.new(level: :note, code: "stem_bare", says: "The stem stays bare.",
        add: dressing && {method: dressing.method_name.to_s, material: layer.material.id})
    end

    # A layer follows from what it sees of the plan, the form under it, and what lies beside it.
    def settled(said, way, thick, beside)
      plan = @plan.seen_by(said)
      meets = beside.map { |other, ends| [other.said, ends] }
      @cache.fetch(:layer, plan, said, @plan.form.sizes, thick, meets, bytes: :bytes.to_proc) do
        layer = laid(said, plan, thick.positive? ? way.band.grown(thick) : way.band, way)
        layer.beside = beside
        layer.check
        layer.settle
        layer
      end
    end

    # Each layer is worked on the form as the layers below it leave it, and on as much of it as it runs along.
    def worked_layers
      problems = []
      below = []
      layers = @plan.layers.filter_map do |said|
        way = Form::Way.of(form, said, units: @plan.units)
        thick = below.sum { |each, other| (way.shared(other) >= UNDER) ? each.thickness : 0.0 }
        beside = below.filter_map { |each, other| way.meets(other).then { [each, _1] if _1.positive? } }
        layer = settled(said, way, thick, beside)
        below << [layer, way]
        layer
      rescue Plan::Refused => refused
        problems.concat(refused.problems)
        nil
      end
      raise Plan::Refused.new(problems) if problems.any?
      layers
    end
  end
end
