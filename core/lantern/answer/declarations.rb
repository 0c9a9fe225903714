# frozen_string_literal: true

module Lantern
  module Answer
    # What a plan can say, written down for the API: every form, layer, kind of material and stage with its
    # fields, labels, defaults and ranges.
    module Declarations
      module_function

      # @return [Hash] ready for JSON
      def to_h
        {
          "forms" => forms, "coverings" => Plan::Methods.sort_by { _1.method_name.to_s }.map(&:declare),
          "materials" => Plan::Kind.declare, "stages" => Stage.declare,
          "lies" => Place::Lie::KINDS.map { [_1.kind.to_s, _1.look.to_h] }.to_h,
          "textures" => Draw::Texture::ALL.map(&:to_h), "moves" => Place::Move::ALL.map(&:declare),
          "money" => Plan::Terms.field.fields.map(&:declare),
          "steps" => Plan::OwnStep.field.declare,
          "cutting" => Plan::Document.cutting_fields.map(&:declare),
          "places" => Door::Place.asked.map(&:declare)
        }
      end

      def forms
        {
          "bases" => Form::Base::TITLES.map { |name, title| declared(name, title, Form::Base::FIELDS[name]) },
          "shapes" => Form.in_order.map { |name, shape| shape(name, shape) },
          "measured" => Form::Reader::MEASURED.map(&:declare), "before" => Form::Before.new(:before).declare,
          "shelf" => Form::Shelf.declare.map { _1.merge("drawing" => DrawnForm.of(_1["form"])) },
          "sheets" => Form::FromPhoto.declare_sheets
        }
      end

      def declared(name, title, fields) = {"name" => name.to_s, "title" => title, "fields" => fields.map(&:declare)}

      # Typical sizes carry their units, so that they mean the same in every plan.
      def shape(name, shape)
        typical = shape.typical.to_h { |size, inches| [size.to_s, inches.is_a?(Numeric) ? "#{inches} in" : inches] }
        declared(name, shape.title, shape.sizes)
          .merge("typical" => typical, "sketch" => sketch("base" => "foam", "shape" => name.to_s, **typical))
      end

      # A form as a small drawing: the line of its middle, how wide its band is, and what is beside it.
      def sketch(form)
        band = Form::Reader.new(:form).read(form, "form", Plan::Reading.new(units: "in")).band
        scale = Draw::Scale.new("in")
        Draw::Outline.form(band, scale).slice("middle", "face", "parts").merge("box" => Draw.bounds(band, [], scale))
      end

      private_class_method :forms, :declared, :shape, :sketch
    end
  end
end
