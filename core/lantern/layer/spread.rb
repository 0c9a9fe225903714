# frozen_string_literal: true

module Lantern
  class Layer
    # Several alike, spread along the band: so far apart, so many a section, or in every so-manieth of the form's own
    # ties. How many there are can be said instead.
    module Spread
      def self.included(kind)
        kind.option :spacing, :length, most: 240, label: "From one to the next"
        kind.option :per_section, :count, most: 60, fine: true, label: "In every section"
        kind.option :every, :count, most: 60, fine: true, label: "One in how many ties",
          help: "2 is every other tie of a form with ties on it."
      end

      # How many there are, where it follows from how they are spread.
      # @return [Integer, nil]
      def fitting
        return (form.run / spacing + 1e-9).floor if spacing
        return per_section * form.sections if per_section
        [ties / every, 1].max if every
      end

      # @return [String, nil] its sum, in words and the maker's numbers
      def fitting_says
        return pencil("%l ÷ %l, rounded down", form.run, spacing) if spacing
        return "#{form.sections} × #{per_section}" if per_section
        "#{ties} ÷ #{every}, rounded down" if every
      end

      # The form's own ties, on all its rails.
      # @return [Integer]
      def ties = form.ties * [form.section.rails.size, 1].max

      private

      # @param counted [Boolean] whether it is said how many there are along the band
      # @raise [Plan::Refused] for more than one way of saying it, and for what the form has not
      def check_spread(counted)
        said = {count: counted, spacing: !spacing.nil?, per_section: !per_section.nil?, every: !every.nil?}
          .select { _2 }.keys
        if said.size > 1
          refuse(said.last,
            "Say how many, how far apart, how many a section or in which ties; not more than one of them.")
        end
        refuse("every", "This form has no ties on it: say on the form how many a rail has.") if every && !form.ties
        return unless spacing && spacing > form.run
        refuse("spacing", "At #{text(spacing)} apart not one fits on #{text(form.run)}.")
      end
    end
  end
end
