# frozen_string_literal: true

module Lantern
  module Form
    # What every shape of form shares: it declares the sizes a tape can measure, checks that they
    # can be, and gives the middle of its band as a path.
    #
    #   class Ring < Shape
    #     shape :ring, title: "Ring", typical: {outside: 14, inside: 8}
    #     size :outside, label: "Outside, across"
    #     def path = ...
    #     def face = ...
    #   end
    #
    # @abstract a subclass answers `path`, `face`, `dimensions` and `check`
    class Shape
      class << self
        attr_reader :shape_name, :title, :typical

        # Names the shape, and makes it known.
        # @param typical [Hash] sizes to begin with, in inches (from memory: measure the form)
        def shape(name, title:, typical:)
          @shape_name = name
          @title = title
          @typical = typical
          SHAPES.know(name, self)
        end

        # Declares a size as a length in the form's record.
        def size(name, **rest) = sizes << Plan::Field::Length.new(name, most: 1200, **rest)

        def sizes = @sizes ||= []

        # Whether its band has two ends, so that places along it are lengths from its start.
        # @param _form [Hash] as it stands in a document
        def open?(_form) = false
      end

      # @param sizes [Hash] the record as read; lengths in inches
      # @param units [String] for sentences
      def initialize(sizes, units:)
        @sizes = sizes
        @units = units
        @measured = (sizes[:measured] || {}).compact.transform_values(&:to_f)
      end

      attr_reader :sizes, :measured

      # Raises for sizes that cannot be.
      # @raise [Plan::Refused]
      def check = nil

      # What a drawing says about the sizes.
      def dimensions = []

      # Pieces of the form beside its band, which coverings address by name.
      # @return [Array<Part>] ribs from left to right, and a stem
      def parts = []

      # What it is joined from, each as a form of its own; nothing for a form of one piece.
      # @return [Array<Band>, nil]
      def members = nil

      # Where its parts lie on one another; nothing where none does.
      # @return [Array<(Path, Numeric)>, nil]
      def seams = nil

      # In how many places its parts are tied together.
      def joints = 0

      # What a maker should know of this form.
      # @return [Array<Plan::Finding>]
      def findings = []

      # What has to be done to it before it is covered.
      # @return [Array<String>] sentences
      def preparing = []

      # What making it ready holds.
      # @return [Array<Symbol>] keys of {Place::Caution}
      def holds = []

      private

      # The face that goes with a measured girth, for the base at hand.
      def girth_face = measured[:girth] && Base.face_from_girth(sizes, measured[:girth])

      def note(code, says, **rest) = Plan::Finding.new(level: :note, code:, says:, **rest)

      def refuse(key, says) = raise(Plan::Refused.at("form.#{key}", says))

      def text(inches) = Measure::Length.text(inches, units: @units)
    end
  end
end
