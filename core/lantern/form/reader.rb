# frozen_string_literal: true

module Lantern
  module Form
    # Reads a plan's form: its base and its shape say which sizes go with them.
    class Reader < Plan::Field
      MEASURED = [
        Length.new(:run, label: "String along the middle", help: "Once round, along the middle of the band."),
        Length.new(:inside_run, label: "String along the inside", help: "Once round, along the inside edge."),
        Length.new(:outside_run, label: "String along the outside", help: "Once round, along the outside edge."),
        Length.new(:girth, most: 240, label: "String round the band",
          help: "Once round the band: front, edge, back, edge.")
      ].freeze

      CORNERS = Choice.new(:corners, fine: true, choices: {pointed: "Pointed", rounded: "Rounded"}, label: "Corners",
        default_says: "pointed on wire and board, rounded on foam and vine",
        help: "Bent wire and cut board meet in a point; foam goes round.")

      def read(value, at, reading)
        unless value.is_a?(Hash)
          return reading.refuse(at, "The form must be an object with named fields; #{reading.quote(value)} is none.")
        end
        before = reading.problems.size
        sizes = record(value).read(value, at, reading).merge(units: reading.units)
        return if reading.problems.size > before
        band = reading.collect {
          reading.cache.fetch(:form, sizes, bytes: :bytes.to_proc) { Form.measure(sizes) }
        }
        band && Said.new(sizes:, band:)
      end

      # What a form is taken for when nothing is known of it but what a string says: a round ring.
      BY_STRING = {base: :vine, shape: :ring}.freeze

      # @return [Array<Plan::Field>] what a form of this base and shape is made of
      def fields_for(value)
        usual, base, shape = which(value.is_a?(Hash) ? value : {})
        own = shape ? shape.last.sizes : []
        own += [CORNERS] unless own.include?(CORNERS)
        common_fields(usual) + own + (base ? base.last : [])
      end

      private

      # Made once for every base and shape.
      def record(value)
        usual, base, shape = which(value)
        (@records ||= {})[[usual.empty?, base&.first, shape&.first]] ||=
          Record.new(name, fields: fields_for(value), label:)
      end

      # What it is taken for, its base's fields and its shape, as far as they are known.
      def which(value)
        usual = (value.keys - %w[material before] == ["measured"]) ? BY_STRING : {}
        base = Base::FIELDS.find { |name, _| name.to_s == (value["base"] || usual[:base].to_s) }
        shape = Form.shapes.find { |name, _| name.to_s == (value["shape"] || usual[:shape].to_s) }
        [usual, base, shape]
      end

      def common_fields(usual)
        [
          Choice.new(:base, choices: Base::TITLES, required: usual.empty?, default: usual[:base], label: "Base"),
          Choice.new(:shape, choices: -> { Form.shapes.transform_values(&:title) }, required: usual.empty?,
            default: usual[:shape], label: "Shape"),
          Record.new(:measured, fields: MEASURED, label: "What a string says"),
          Reference.new(:material, kinds: %i[form], label: "The form itself"), Before.new(:before)
        ]
      end
    end

    Plan::Document.open_forms_are do |form|
      Form.shapes.any? { |name, shape| name.to_s == form["shape"] && shape.open?(form) }
    end
    Plan::Document.form_is_read_by { Reader.new(:form, required: true, label: "The form") }
  end
end
