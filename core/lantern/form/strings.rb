# frozen_string_literal: true

module Lantern
  module Form
    # What a string says against what the sizes say.
    module Strings
      # Differences smaller than this share are a tape's own slack (from memory).
      SLACK = 0.005

      NAMES = {run: "along the middle", inside_run: "along the inside", outside_run: "along the outside",
               girth: "round the band"}.freeze

      module_function

      # A run that a string says is shorter than this share of the drawn one is a mistake (from memory).
      MUCH_SHORTER = 2 / 3.0

      # @return [Array<Plan::Finding>] one for every string that disagrees with the sizes; one that cannot be is asked
      #   about, with both numbers
      def findings(sizes, measured, section, units, face)
        return [] if measured.empty?
        text = ->(inches) { Measure::Length.text(inches, units:) }
        by_sizes = runs_by_sizes(sizes).merge(girth: section.girth)
        measured.filter_map do |name, string|
          size = by_sizes[name]
          doubt = doubtful(name, string, size, face, text)
          at = "form.measured.#{name}"
          next Plan::Finding.new(level: :warn, code: "string_doubtful", at:, says: doubt) if doubt
          next if size.nil? || (string - size).abs <= size * SLACK
          Plan::Finding.new(level: :note, code: "string_differs",
            says: "The string #{NAMES[name]} says #{text.call(string)}, the sizes say #{text.call(size)}. The string " \
              "is used.", at: "form.measured.#{name}")
        end
      end

      def doubtful(name, string, size, face, text)
        if name == :girth && string < 2 * face - 1e-9
          return "A string of #{text.call(string)} cannot go round a face of #{text.call(face)}, which is " \
            "#{text.call(2 * face)} there and back. Which of them is right?"
        end
        return unless name != :girth && size && string < size * MUCH_SHORTER
        "The string #{NAMES[name]} says #{text.call(string)}, the sizes say #{text.call(size)}: that is more than a " \
          "third less. Which of them is right?"
      end

      # The runs that the sizes alone would give.
      def runs_by_sizes(sizes)
        shape = Form.shapes.fetch(sizes[:shape]).new(sizes.merge(measured: nil), units: sizes[:units])
        shape.check
        path, half = shape.path, shape.face / 2
        {run: path.length, inside_run: path.edge(-half), outside_run: path.edge(half)}
      rescue Plan::Refused
        {}
      end

      private_class_method :runs_by_sizes, :doubtful
    end
  end
end
