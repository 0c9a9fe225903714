# frozen_string_literal: true

module Lantern
  class Layer
    # The lines that a layer opens with: what it is, what it takes, which options and figures it has. Every one
    # of them raises while the file is loaded when it names something that nobody declared.
    module Declaring
      FIELDS = {
        length: Plan::Field::Length, count: Plan::Field::Count, number: Plan::Field::Number,
        choice: Plan::Field::Choice, switch: Plan::Field::Switch, list: Plan::Field::List,
        record: Plan::Field::Record, reference: Plan::Field::Reference, area: Plan::Field::Area,
        stack: Plan::Field::Stack, stop: Plan::Field::Stop, spot: Plan::Field::Spot, text: Plan::Field::Text,
        weight: Plan::Field::Weight, layer: Plan::Field::LayerId, either: Plan::Field::Either,
        one_or_several: Plan::Field::OneOrSeveral
      }.freeze

      # @return [Symbol] its name in plans
      attr_reader :method_name

      attr_reader :title, :summary, :takes, :several

      # Names the layer, and makes it known to plans, the API and the screens.
      # @param takes [Array<Symbol>] the kinds of material it can be made of
      # @param several [Boolean] whether colours or patterns rotate, so that it takes more than one
      # @raise [Registry::Taken, Registry::Unknown]
      def known_as(name, title:, takes:, summary: nil, several: false)
        takes.each { Plan::Kind.fetch(_1) }
        @method_name, @title, @summary, @takes, @several = name, title, summary, takes, several
        Plan::Methods.know(name, self)
      end

      # Says where in the work it belongs, or answers that.
      # @return [Stage]
      def stage(key = nil)
        @stage = Stage.fetch(key) if key
        @stage || inherited_from(:stage)
      end

      # Declares an option, and a method of that name that answers it.
      # @param kind [Symbol] one of {FIELDS}
      def option(name, kind, **rest)
        own_options << FIELDS.fetch(kind).new(name, **rest)
        include(Module.new { define_method(name) { @said.options[name] } })
      end

      # @return [Array<Plan::Field>] those of the layer it is a variant of, and its own
      def options = (inherited_from(:options) || []) + own_options

      # Declares a figure where it is made.
      #
      #   figure :gap_wide, :length, "Gap at the wide edge"
      #
      # @param kind [Symbol] one of {Place::Figure::KINDS}
      # @param from [Symbol] the method that answers it; one that answers nil has no such figure
      def figure(key, kind, label, from: key)
        own_figures << Place::Figure.declare(key, kind, label, from:)
      end

      # @return [Array<Place::Figure>] its own, and those of the layer it is a variant of that it does not
      #   declare anew
      def figures
        (inherited_from(:figures) || []).reject { |each| own_figures.any? { _1.key == each.key } } + own_figures
      end

      # Declares which figure the tape counts, and what it counts.
      #
      #   counts :passes, :passes
      #
      # @return [(Symbol, Place::Unit)]
      def counts(figure = nil, unit = nil)
        @counts = [figure, Place::Unit.fetch(unit)] if figure
        @counts || inherited_from(:counts) || [:pieces, Place::Unit.fetch(:pieces_to_cut)]
      end

      # Declares the hand's moves, the usual one first.
      # @return [Array<Place::Move>]
      def hands(*moves)
        @hands = moves.map { Place::Move.fetch(_1) } if moves.any?
        @hands || inherited_from(:hands) || []
      end

      # Declares which of its measures are shown on the frames of its moves: by their keys there, who answers them.
      #
      #   shows turn: :length_per_turn
      #
      # @return [Hash{Symbol=>Symbol}]
      def shows(**measures)
        @shows = measures if measures.any?
        (inherited_from(:shows) || {}).merge(@shows || {})
      end

      # Declares what a test piece of it tells, as it is said: by the figures that it replaces.
      #
      #   practised take_up: "Your knots take up %s, not %s"
      #
      # @return [Hash{Symbol=>String}]
      def practised(**says)
        @practised = says if says.any?
        @practised || inherited_from(:practised) || {}
      end

      # Declares the kinds of lie that its pieces lie in.
      # @return [Array<Class>]
      def laid(*kinds)
        @laid = kinds.map { Place::Lie::KINDS.fetch(_1) } if kinds.any?
        @laid || inherited_from(:laid) || []
      end

      # Declares that strips may be cut from cloth, of a width of their own and along, across or askew.
      def strips_from_cloth(default_says:, most: 60)
        option :strip_width, :length, fine: true, most:, label: "Strip width", default_says: default_says
        option :grain, :choice, fine: true, default: :any, label: "Cut from cloth",
          choices: {any: "Either way", along: "Along", across: "Across", bias: "On the bias"},
          help: "Strips on the bias give round a curve and fray less; they are joined from one long strip."
      end

      # Declares that it runs along the band, so that it may begin and end anywhere on it. The form that such a layer
      # is given is the stretch it covers.
      def runs_along
        option :from, :stop, fine: true, label: "From", default_says: "all the way round",
          help: "By the clock, 0 to 12, clockwise; on an open form how far from its start."
        option :to, :stop, fine: true, label: "To", default_says: "all the way round",
          help: "Where it ends: by the clock, or how far from the start."
        option :part, :count, fine: true, most: Form::MOST_PARTS, label: "Part of a joined form",
          default_says: "all of them", help: "1 is the first."
      end

      # Declares that an option can be worked backwards.
      # @see Vary
      def vary(option, takes:, says:, unit: nil, most: nil)
        own_varies << Vary.new(option:, takes:, says:, unit:, most:)
      end

      # @return [Array<Vary>]
      def varies = (inherited_from(:varies) || []) + own_varies

      # Declares what a maker would give a little of to save a package, in the order in which it would be given up.
      # @see Give
      def gives(option = nil, **how)
        return (inherited_from(:gives) || []) + own_gives unless option
        own_gives << Give.new(option:, **how)
      end

      # Declares that what it needs or says follows from layers above it too, and from what is made of what there.
      def sees_everything = @sees_everything = true

      def sees_everything? = @sees_everything || inherited_from(:sees_everything?) || false

      # Declares that it follows the seams of a joined form, and is not worked on each of its parts.
      def along_seams = @along_seams = true

      def along_seams? = @along_seams || false

      # Declares which piece of a form beside its band it covers, or answers that.
      # @return [Symbol, nil] `:stem`, `:rib`
      def dresses(kind = nil)
        @dresses = kind if kind
        @dresses || inherited_from(:dresses)
      end

      # How far real makes spread about the sum, as a share of it.
      def spread(share = nil)
        @spread = share if share
        @spread || inherited_from(:spread) || Place::Need::FIRST_SPREAD
      end

      # What a layer that says this is called within a sentence.
      # @param options [Hash] as read
      def called(_options) = title.downcase

      # What a material is to have that it is made of, if there is any such: `:wired`.
      # @return [Symbol, nil]
      def prefers(what = nil)
        what ? @prefers = what : @prefers || inherited_from(:prefers)
      end

      # Declares of which kind its material is first thought to be, by what an option says.
      # @param kinds [Hash{Symbol=>Symbol}]
      def takes_first(option = nil, **kinds)
        return @takes_first || inherited_from(:takes_first) unless option
        @takes_first = {"option" => option.to_s, "kinds" => kinds.to_h { |said, kind| [said.to_s, kind.to_s] }}
      end

      # What the layer a plan says weighs, in grams, all of it; a layer that hangs asks for it.
      # @param options [Hash] as read
      def weight_of(_options) = 0.0

      # @return [Hash] for the API; the screens draw their controls from it
      def declare
        {
          "method" => method_name.to_s, "title" => title, "summary" => summary, "takes" => takes.map(&:to_s),
          "several" => several, "prefers" => prefers&.to_s, "takes_first" => takes_first, "stage" => stage.key.to_s,
          "options" => options.map(&:declare), "figures" => figures.map(&:declare)
        }.compact
      end

      private

      def inherited_from(name) = superclass.respond_to?(name) ? superclass.public_send(name) : nil

      def own_options = @own_options ||= []

      def own_figures = @own_figures ||= []

      def own_gives = @own_gives ||= []

      def own_varies = @own_varies ||= []
    end
  end
end
