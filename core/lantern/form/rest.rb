# frozen_string_literal: true

module Lantern
  module Form
    # What is left of a ring that an arc is cut from: an arc of its own, for another wreath, and paid for.
    module Rest
      module_function

      # @param form [Hash] the form of a plan, as its document says it
      # @return [Hash, nil] the rest as such a document; nothing where the form is no arc, is not bought, or leaves
      #   a scrap
      def of(form)
        return unless form["shape"] == "arc" && form["material"]
        kept = form["degrees"] || PartialRing.sizes.find { _1.name == :degrees }.default
        left = 360 - kept
        form.except("material", "before", "measured").merge("degrees" => left) if left >= PartialRing::SCRAP
      end
    end
  end
end
