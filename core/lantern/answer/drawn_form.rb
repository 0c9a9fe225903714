# frozen_string_literal: true

module Lantern
  module Answer
    # How a form looks that somebody could begin with, in inches whatever it is said in, so that all are drawn at one
    # scale.
    module DrawnForm
      # @param form [Hash] as a plan document holds it
      # @param units [String]
      # @return [Hash, nil] ready for JSON: its `marks` and the `box` they lie in; nothing of what is no form
      def self.of(form, units: "in")
        band = Form::Reader.new(:form).read(form, "form", Plan::Reading.new(units:))&.band or return
        scale = Draw::Scale.new("in")
        {"marks" => Draw::Outline.form(band, scale)["marks"], "box" => Draw.bounds(band, [], scale)}
      end
    end
  end
end
