# frozen_string_literal: true

module Lantern
  # What every layer of a plan shares: a covering, a trim and a hanging are kinds of it. A layer is a file that
  # opens by saying what it is, which options and figures it has, and then answers a few questions:
  #
  #   class Garland < Covering
  #     covering :garland, title: "Garland", takes: %i[ribbon], summary: "Strands hung round the form."
  #     spread 0.06
  #     hands :wrap
  #
  #     option :strands, :count, default: 3, label: "Strands"
  #     figure :length, :length, "Ribbon in all"
  #
  #     def length = strands * form.run
  #
  #     def needs = [Place::Need.run(what: "strands", material: material.id, length:)]
  #   end
  #
  # What it says of itself is published as it stands; what it answers is asked of a {Work}.
  #
  #   coil = Lantern::Work.read(JSON.parse(File.read("plan.json"))).layers.first
  #   coil.class.takes                   # => [:rope]
  #   coil.figures[:turns]               # => 80
  #   coil.required.sum(&:count)         # => 14
  #
  # Lengths are inches. Options that were left out answer their default; one whose default is worked out is a
  # method that falls back, as in `def lap = super || Rational(1, 4)`.
  #
  # @abstract a subclass answers at least `needs`
  class Layer
    # More of anything than this cannot be drawn or made.
    MOST = 4000

    extend Declaring
    include Composed

    attr_reader :form, :said

    # @param plan [Plan::Seen] as much of the plan as it is worked from
    # @param said [Plan::LayerSaid] what the plan says of it
    # @param form [Form::Band] with the layers below it on
    def initialize(plan:, said:, form:)
      @plan = plan
      @said = said
      @form = form
    end

    # Layers below it that begin or end where this one does, and at how many of its ends.
    # @return [Array<(Layer, Integer)>]
    attr_writer :beside

    def beside = @beside || []

    # Its ends that are its own: where it meets a layer that is there already, one join does for both.
    def own_ends = 2 - beside.sum(&:last).clamp(0, 2)

    def id = said.id

    # @return [Array<Plan::Material>] its main materials, in order; colours that rotate are several
    def materials = @materials ||= [said.material, *said.materials].compact.uniq.map { @plan.material(_1) }

    # @return [Array<Plan::Material>] those that an option names: a ribbon laid in, the cord of a recipe
    def others = []

    def material = materials.first

    # Raises for what cannot be made at all.
    # @raise [Plan::Refused]
    def check
      takes = Measure::Words.list(self.class.takes, last: "or")
      refuse("material", "This layer needs a material: #{takes}.") unless material
      materials.reject { self.class.takes.include?(_1.kind) }.each do |wrong|
        refuse("material", "#{wrong.name} is #{wrong.kind}; #{self.class.title.downcase} takes #{takes}.")
      end
    end

    # Works out what is needed, once; whoever asks afterwards gets the same.
    def settle = @required = learned.reduce(needs) { |asked, allowance| allowance.on(asked) }.freeze

    # @return [Array<Measure::Learned>] the allowances that the plan has taken up for it
    def learned
      name = self.class.method_name.to_s
      @plan.learned.select { |each| each.method == name && materials.any? { _1.id == each.material } }
    end

    # @return [Array<Place::Need>] what {#needs} said when the layer was worked
    def required = @required || settle

    # @return [Hash{Symbol=>Numeric}] its numbers, by the figures it declares
    def figures = self.class.figures.to_h { [_1.key, public_send(_1.from)] }.compact

    # @return [Array<Place::Need>] what is to be cut, for one wreath
    # @raise [NotImplementedError] a layer that does not say what it needs is none
    def needs = raise(NotImplementedError, "#{self.class.name} does not say what it needs.")

    # @return [Array<Place::Working>] the sum, line by line
    def working = []

    # @return [Array<Plan::Finding>]
    def findings = []

    # @return [Array<Place::Step>] for the bench, in order
    def steps = []

    # @return [Array<Place::Step>] what {#steps} said, worked once
    def course = @course ||= placed(steps).map { _1.with(minutes: _1.minutes * pace) }.freeze

    # How long it takes its maker, for every minute of the sum.
    # @return [Float] 1 where nothing was learned, or the plan has not taken it up
    def pace = @plan.paces.find { _1.method == self.class.method_name.to_s }&.factor || 1.0

    # @return [Array<Plan::Finding>] what {#findings} said, worked once
    def found = @found ||= findings.freeze

    # @return [Array<String>] the codes of what is wrong with it, and not only worth knowing
    def faults = found.reject { _1.level == :note }.map(&:code)

    # @return [Float] time at the bench: that of its steps
    def minutes = course.sum(&:minutes)

    # How much of what is wound each thing that a step counts takes, one after another; nothing where a step winds
    # nothing. From it follows where one length ends and the next begins.
    # @param step [Place::Step]
    # @return [Array<Numeric>] inches
    def wound_in(step)
      return [] unless respond_to?(:length_per_turn) && respond_to?(:turns) && step.count == turns
      [length_per_turn] * turns
    end

    # What it is held with, by its sort: inches of `glue`, bead by bead (from memory: a tack is half an inch), whole
    # stems of `chenille`, `cable` ties, pieces of `wire` to bind with.
    # @return [Hash{Symbol=>Numeric}]
    def fixings = {}

    # Whether those are charged to whatever of their sort the plan has.
    def fixings_charged? = true

    # @return [Float] grams that it adds, as far as anybody said
    def weighs = 0.0

    # @return [Float] how far it stands out from what it sits on, in inches; nothing for what lies on it
    def stands_out = 0.0

    # @return [Array<Place::Lie>] where the strips lie
    def lies = []

    # @return [Array<Place::Lie>] what {#lies} said, worked once
    def in_place = @in_place ||= lies.freeze

    # @return [Array<Place::Gap>] where the form still shows
    def gaps = []

    # @return [Array<Place::Template>] what of it can be printed at its true size
    def templates = []

    # What it means to close, seen from the front; nothing where it leaves the form to show.
    # @return [Array<Form::Silhouette::Area>, nil]
    def closes = nil

    # How many bytes it takes with all that it has worked out, about (from memory).
    def bytes = 20_000 + in_place.sum(&:bytes)

    # When its turn is at the bench, one of those of {Bench::Order}.
    # @return [Symbol]
    def turn = (self.class.stage.key == :cover && !self.class.along_seams?) ? :covering : :over

    # What has to be there before it, whatever its turn, and why.
    # @return [Hash{String=>String}] by the ids of layers
    def needs_first = {}

    # Whether it has loops that are opened at the end.
    def looped? = self.class.laid.include?(Place::Lie::Loop)

    # Whether the wreath hangs by it.
    def hangs? = false

    # How much thicker the band is with this on it, on every side; the next layer goes round that.
    # @return [Float] inches
    def thickness = 0.0

    private

    # The first step of a layer that goes part of the way says from where to where, and what it meets there.
    def placed(steps)
      from, to, part = said.options.values_at(:from, :to, :part)
      return steps if steps.empty? || !(from || to || part)
      units = @plan.units
      ends = "from #{from&.says(units) || "the start"} to #{to&.says(units) || "the end"}" if from || to
      where = [("part #{part}" if part), ends].compact.join(", ")
      meeting = beside.map { |other, _|
        " Where it meets the #{other.class.title.downcase}, its end hides the other’s."
      }
      first, *rest = steps
      [first.with(says: "#{Measure::Words.sentence(where)}. #{first.says}#{meeting.join}"), *rest]
    end

    def said?(option) = !@said.options[option].nil?

    # Refuses a value of this layer, by the name of its option.
    def refuse(key, says) = raise(Plan::Refused.at("#{said.at}.#{key}", says))

    def refuse_crowd(count, key, what)
      refuse(key, "That comes to #{count} #{what}; more than #{MOST} cannot be planned.") if count > MOST
    end

    def text(inches) = Measure::Length.text(inches, units: @plan.units)

    def bare(inches) = Measure::Length.text(inches, units: @plan.units, unit: false)

    def figure(inches) = Measure::Length.figure(inches, units: @plan.units)

    def long_text(inches) = Measure::Length.long_text(inches, units: @plan.units)

    def square_text(square_inches)
      "#{Measure::Length.square_in_units(square_inches, @plan.units).round} sq #{@plan.units}"
    end

    def up_to_mark(inches) = Measure::Length.up_to_mark(inches, @plan.smallest_mark)

    # The one material that goes by this id, of these kinds.
    def other(id, kinds, key)
      found = @plan.material(id)
      return found if found.nil? || kinds.include?(found.kind)
      refuse(key, "#{found.name} is #{found.kind}; this takes #{Measure::Words.list(kinds, last: "or")}.")
    end

    # The fewest strips of a length that reach a total when each join laps by so much.
    def strips_for(total, length, join) = ((total - join) / (length - join) - 1e-9).ceil.clamp(1, nil)

    # The longer side of the largest sheet on hand or on offer; a yard when nothing is said.
    def longest_sheet
      sides = (material.on_hand + material.offers).map { [_1[:width], _1[:length]].max }
      sides.empty? ? Rational(36) : sides.max - 2 * (material.lost_edge || 0)
    end

    def percent(share) = Measure::Words.percent(share)

    # A step of this layer: the hand's usual move unless another of its moves is named.
    # @param moves [Array<Symbol>] of the hand in their order, where the step takes several; `move` among them
    # @param shows [Hash{Symbol=>Object}] measures for the frames of its moves besides those that the layer declares
    # @raise [Registry::Unknown] for a move that it did not declare
    def step(suffix, title, says, move: nil, moves: [], shows: {}, **rest)
      hands = self.class.hands
      move = move ? hands.find { _1.key == move.to_sym } || undeclared(move) : hands.first
      moves = moves.empty? ? [move] : moves.map { Place::Move.fetch(_1) }
      Place::Step.new(id: "#{id}.#{suffix}", layer: id, title:, says:, move:, moves:, shows: shown(moves, shows),
        of: shown_materials.map(&:id).first(3), **rest)
    end

    # Those whose colours the frames of its moves have.
    def shown_materials = (materials + others).uniq

    # What of its measures the frames of some moves show, as it is said.
    def shown(moves, besides)
      moves.flat_map(&:measures).uniq.filter_map { |key|
        value = besides.fetch(key.to_sym) { self.class.shows[key.to_sym]&.then { |name| public_send(name) } }
        next if value.nil? || (value.is_a?(Numeric) && !value.positive?)
        [key, (value.is_a?(Numeric) && !value.is_a?(Integer)) ? text(value) : value.to_s]
      }.to_h
    end

    def undeclared(move) = raise(Registry::Unknown, "#{self.class.title} does not declare the move “#{move}”.")

    # A sum that comes out by pencil: lengths at %l, numbers at %n, shares at %p, areas at %a.
    # @return [Measure::Sum]
    def pencil(pattern, *values) = Measure::Sum.new(pattern:, values:, units: @plan.units, mark: @plan.smallest_mark)

    # The sum of every leg or corner, those that are alike together.
    # @param each [Array<Measure::Sum>]
    def sum_of(each)
      return each.first if each.one?
      alike = each.group_by { _1.beside("") }.values
      pattern = alike.map { "#{"#{_1.size} × " if _1.size > 1}(#{_1.first.pattern})" }.join(" + ")
      pencil(pattern, *alike.flat_map { _1.first.values })
    end

    def line(key, says, sum, answer) = Place::Working.new(key:, says:, sum:, answer:)

    def finding(level, code, says, **rest) = Plan::Finding.new(level:, code:, says:, **rest)

    # Which material comes next and how many of it, where they change from one to the next.
    # @param order [Array<Integer>] which of the materials each is
    # @return [Array<(String, Integer)>, nil]
    def in_turn(order)
      order.chunk_while { _1 == _2 }.map { [materials[_1.first].name, _1.size] } unless materials.one?
    end

    # Needs of this layer, spread as it is.
    def run(**rest) = Place::Need.run(spread: self.class.spread, **rest)

    # Pieces; those whose number is an estimate say their `spread`.
    def pieces_of(what, **rest) = Place::Need.pieces(what:, **rest)
  end
end
