# frozen_string_literal: true

module Lantern
  module Form
    # What a form is made of, the sizes that go with it, and the cut across its band.
    module Base
      # Rails of common wire frames, their thickness and their dish are from memory: measure them.
      RAILS = 4
      RAIL_DIAMETER = Rational(3, 25)
      DISH_OF_FACE = Rational(1, 6)
      SECTIONS = 12
      THICKNESS = {foam: Rational(1), board: Rational(3, 16)}.freeze

      TITLES = {wire: "Wire frame", foam: "Foam", board: "Cut board", vine: "Vine or straw"}.freeze

      FIELDS = {
        wire: [
          Plan::Field::Count.new(:rails, least: 2, most: 8, default: RAILS, label: "Rails",
            help: "How many wires run round side by side."),
          Plan::Field::Length.new(:rail_diameter, most: 4, default: RAIL_DIAMETER, label: "Wire thickness"),
          Plan::Field::Length.new(:dish, zero: true, most: 24, label: "Dish", default_says: "a sixth of the face",
            help: "How far the middle rails stand above the edge rails when it lies on a table."),
          Plan::Field::Count.new(:sections, least: 1, most: 200, default: SECTIONS, label: "Sections",
            help: "From one crossbar to the next."),
          Plan::Field::Count.new(:ties, least: 1, most: 200, fine: true, label: "Ties on a rail", default_says: "none",
            help: "For a form that is sold with ties twisted on to its rails.")
        ],
        foam: [
          Plan::Field::Choice.new(:section, default: :round, label: "Cut through",
            choices: {round: "Round", half_round: "Flat back", flat: "Flat"}),
          Plan::Field::Length.new(:thickness, most: 24, label: "Thickness", default_says: "1 in, for flat foam only")
        ],
        board: [Plan::Field::Length.new(:thickness, most: 24, default: THICKNESS[:board], label: "Thickness")],
        vine: []
      }.freeze

      # Where corners are pointed unless it is said.
      POINTED = %i[wire board].freeze

      module_function

      # @return [Boolean] whether the edges meet in a point at corners
      def pointed?(sizes) = sizes[:corners] ? sizes[:corners] == :pointed : POINTED.include?(sizes[:base])

      # @return [Section] the cut across a band of this face
      # @raise [Plan::Refused] when it cannot be
      def section(sizes, face, units:)
        case sizes[:base]
        when :wire then wire(sizes, face, units)
        when :foam then foam(sizes, face)
        when :board then Section.flat(face, sizes[:thickness].to_f)
        when :vine then Section.round(face)
        end
      end

      # The face of a band whose girth is known and whose section is, near enough: a dish is left out.
      def face_from_girth(sizes, girth)
        case sizes[:base]
        when :wire then (girth - Math::PI * sizes[:rail_diameter].to_f) / 2 + sizes[:rail_diameter].to_f
        when :board then girth / 2 - sizes[:thickness].to_f
        when :vine then girth / Math::PI
        when :foam
          case sizes[:section]
          when :round then girth / Math::PI
          when :half_round then girth / (1 + Math::PI / 2)
          when :flat then girth / 2 - (sizes[:thickness] || THICKNESS[:foam]).to_f
          end
        end
      end

      def wire(sizes, face, units)
        rails, diameter = sizes[:rails], sizes[:rail_diameter].to_f
        if rails * diameter > face
          text = ->(inches) { Measure::Length.text(inches, units:) }
          raise Plan::Refused.at("form.rails",
            "#{rails} rails #{text.call(diameter)} thick do not fit side by side on a face of #{text.call(face)}.")
        end
        Section.wire(face, count: rails, diameter:, dish: (sizes[:dish] || DISH_OF_FACE * face.to_r).to_f)
      end

      def foam(sizes, face)
        case sizes[:section]
        when :round then Section.round(face)
        when :half_round then Section.half_round(face)
        when :flat then Section.flat(face, (sizes[:thickness] || THICKNESS[:foam]).to_f)
        end
      end

      private_class_method :wire, :foam
    end
  end
end
