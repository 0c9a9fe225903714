# frozen_string_literal: true

module Lantern
  module Cover
    # What every covering shares. A covering is a file that opens by saying what it is and which
    # options it has, and then answers a few questions:
    #
    #   class Garland < Covering
    #     covering :garland, title: "Garland", takes: %i[ribbon], summary: "Strands hung round the form."
    #     spread 0.06
    #     option :strands, :count, default: 3, label: "Strands"
    #
    #     def needs = [Need.run(what: "strands", material: material.id, length: strands * form.run)]
    #   end
    #
    # Lengths are inches. Options that were left out answer their default; one whose default is
    # worked out is a method that falls back, as in `def lap = super || Rational(1, 4)`.
    #
    # @abstract a subclass answers at least `needs`
    class Covering
      KINDS = {length: Plan::Field::Length, count: Plan::Field::Count, number: Plan::Field::Number,
               choice: Plan::Field::Choice, switch: Plan::Field::Switch, list: Plan::Field::List, record: Plan::Field::Record,
               reference: Plan::Field::Reference, area: Plan::Field::Area, stack: Plan::Field::Stack, weight: Plan::Field::Weight}.freeze

      # One way a covering's length is uncertain when nobody has measured it (from memory).
      FIRST_SPREAD = 0.06

      class << self
        attr_reader :method_name, :title, :summary, :takes, :several, :stage

        # Names the covering, and makes it known to plans, the API and the screens.
        # @param takes [Array<Symbol>] the kinds of material it can be made of
        # @param several [Boolean] whether colours or patterns rotate, so that it takes more than one
        # @param stage [Symbol] where in the work it belongs: `:cover`, `:trim` or `:hang`
        def covering(name, title:, takes:, summary: nil, several: false, stage: :cover)
          @method_name = name
          @title = title
          @summary = summary
          @takes = takes
          @several = several
          @stage = stage
          Cover.know(self)
        end

        # Declares an option, and a method of that name that answers it.
        # @param kind [Symbol] one of {KINDS}
        def option(name, kind, **rest)
          own_options << KINDS.fetch(kind).new(name, **rest)
          said = Module.new { define_method(name) { @layer.options[name] } }
          include said
        end

        # Declares that strips may be cut from cloth, of a width of their own and along, across or askew.
        def strips_from_cloth(default_says:, most: 60)
          option :strip_width, :length, fine: true, most:, label: "Strip width", default_says: default_says
          option :grain, :choice, fine: true, default: :any, label: "Cut from cloth", choices: {any: "Either way", along: "Along", across: "Across", bias: "On the bias"},
            help: "Strips on the bias give round a curve and fray less; they are joined from one long strip."
        end

        # Declares which figure the tape counts, and what it counts.
        #
        #   counts :passes, "passes"
        def counts(figure = nil, says = nil)
          @counts = [figure, says] if figure
          @counts || (superclass.respond_to?(:counts) ? superclass.counts : [:pieces, "pieces to cut"])
        end

        # Declares the hand's move, one of {Bench::Moves}.
        def hand(move = nil)
          @hand = move if move
          @hand || (superclass.respond_to?(:hand) ? superclass.hand : nil)
        end

        # Takes a test piece, as a wound covering does.
        # @see Tested
        def tested(help)
          include Tested

          option :test_piece, :record, label: "Test piece", help:, fields: [
            Plan::Field::Count.new(:turns, most: 200, label: "Turns you wound"),
            Plan::Field::Length.new(:took, label: "What they took"),
            Plan::Field::Length.new(:covers, label: "What they cover, at the edge where they crowd")
          ]
        end

        # Declares that an option can be worked backwards.
        # @param takes [Symbol] whether `:more` of it takes more material, or `:less`
        # @param says [String] what is looked for, as in "The widest lap"
        # @param most [Symbol, nil] the method that answers its largest value; else three times what it is
        def vary(option, takes:, says:, unit: nil, most: nil) = own_varies << Backwards::Vary.new(option:, takes:, says:, unit:, most:)

        # @return [Array<Backwards::Vary>]
        def varies = ((superclass.respond_to?(:varies) ? superclass.varies : []) + own_varies).select { |vary| options.any? { _1.name == vary.option } }

        # How far real makes spread about the sum, as a share of it.
        def spread(share = nil)
          @spread = share if share
          @spread || (superclass.respond_to?(:spread) ? superclass.spread : FIRST_SPREAD)
        end

        # @return [Array<Plan::Field>] those of the covering it is a variant of, and its own
        def options = (superclass.respond_to?(:options) ? superclass.options : []).reject { (@without || []).include?(_1.name) } + own_options

        # Leaves out options of the covering it is a variant of.
        def without(*names) = @without = names

        # @return [Hash] for the API; the screens draw their controls from it
        def declare
          {"method" => method_name.to_s, "title" => title, "summary" => summary, "takes" => takes.map(&:to_s), "several" => several, "stage" => stage.to_s, "options" => options.map(&:declare)}.compact
        end

        private

        def own_options = @own_options ||= []

        def own_varies = @own_varies ||= []
      end

      attr_reader :form, :layer

      # @param plan [Plan::Document]
      # @param layer [Plan::Layer]
      # @param form [Form::Band]
      def initialize(plan:, layer:, form:)
        @plan = plan
        @layer = layer
        @form = form
      end

      def id = layer.id

      # @return [Array<Plan::Material>] its main materials, in order; colours that rotate are several
      def materials
        @materials ||= [layer.material, *layer.materials].compact.uniq.map { @plan.material(_1) }
      end

      # @return [Array<Plan::Material>] those that an option names: a ribbon laid in, the cord of a recipe
      def others = []

      # The main material.
      def material = materials.first

      # Raises for what cannot be made at all.
      # @raise [Plan::Refused]
      def check
        refuse("material", "This layer needs a material: #{self.class.takes.join(" or ")}.") unless material
        materials.reject { self.class.takes.include?(_1.kind) }.each do |wrong|
          refuse("material", "#{wrong.name} is #{wrong.kind}; #{self.class.title.downcase} takes #{self.class.takes.join(" or ")}.")
        end
      end

      # Works out what is needed, once; whoever asks afterwards gets the same.
      def settle = @required = learned.reduce(needs) { |asked, allowance| allowance.on(asked) }.freeze

      # @return [Array<Measure::Learned>] the allowances that the plan has taken up for it
      def learned = @plan.learned.select { |each| each.method == self.class.method_name.to_s && materials.any? { _1.id == each.material } }

      # @return [Array<Need>] what {#needs} said when the layer was worked
      def required = @required || settle

      # @return [Hash{Symbol=>Numeric}] the numbers of this covering; which are lengths, {LENGTHS} says
      def figures = {length: needs.sum(&:total)}

      # @return [Array<Need>] what is to be cut, for one wreath
      # @raise [NotImplementedError] a covering that does not say what it needs is none
      def needs = raise(NotImplementedError, self.class.name)

      # @return [Array<Working>] the sum, line by line
      def working = []

      # @return [Array<Plan::Finding>]
      def findings = []

      # @return [Array<Bench::Step>] for the bench, in order
      def steps = []

      # @return [Float] time at the bench
      def minutes = 5 + needs.sum(&:total) / 12

      # @return [Float] inches of glue, bead by bead (from memory: a tack is half an inch)
      def glue = 0.0

      # @return [Float] chenille stems, in whole stems
      def stems = 0.0

      # @return [Integer] cable ties that no material of the plan is said for
      def ties_used = 0

      # @return [Array<Draw::Lie>] where the strips lie
      def lies = []

      # @return [Array<Draw::Gap>] where the form still shows
      def gaps = []

      # How much thicker the band is with this on it, on every side; the next layer goes round that.
      # @return [Float] inches
      def thickness = 0.0

      # Figures that are lengths, to be put in the plan's own units. `area` is one squared.
      LENGTHS = %i[bow_width ribbon_length longest_row piece_width pitch lap_wide lap_crowded gap_wide gap_middle gap_crowded length length_per_turn piece_length take_up bundle].freeze

      private

      # Refuses a value of this layer, by the name of its option.
      def refuse(key, says) = raise(Plan::Refused.at("#{layer.at}.#{key}", says))

      def refuse_crowd(count, key, what)
        refuse(key, "That comes to #{count} #{what}; more than #{MOST} cannot be planned.") if count > MOST
      end

      def text(inches) = Measure::Length.text(inches, units: @plan.units)

      def bare(inches) = Measure::Length.text(inches, units: @plan.units, unit: false)

      def long_text(inches) = Measure::Length.long_text(inches, units: @plan.units)

      def up_to_mark(inches) = Measure::Length.up_to_mark(inches, @plan.smallest_mark)

      # The one material that goes by this id, of these kinds.
      def other(id, kinds, key)
        found = @plan.material(id)
        refuse(key, "#{found.name} is #{found.kind}; this takes #{kinds.join(" or ")}.") if found && !kinds.include?(found.kind)
        found
      end

      def step(suffix, title, says, **rest) = Bench::Step.new(id: "#{id}.#{suffix}", title:, says:, **rest)

      # The longer side of the largest sheet on hand or on offer; a yard when nothing is said.
      def longest_sheet = (material.on_hand + material.offers).map { [_1[:width], _1[:length]].max - 2 * (material.lost_edge || 0) }.max || Rational(36)

      # The fewest strips of a length that reach a total when each join laps by so much.
      def strips_for(total, length, join) = ((total - join) / (length - join) - 1e-9).ceil.clamp(1, nil)

      # A share as makers say it: 8 in 100.
      def in_hundred(share) = "#{(share * 100).round(1).to_s.delete_suffix(".0")} in 100"

      def line(says, sum, answer) = Working.new(says:, sum:, answer:)

      def finding(level, code, says, **rest) = Plan::Finding.new(level:, code:, says:, **rest)
    end
  end
end
