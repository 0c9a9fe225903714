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

      # @return [Array<Plan::Finding>] one for every string that disagrees with the sizes
      def findings(sizes, measured, section, units)
        return [] if measured.empty?
        text = ->(inches) { Measure::Length.text(inches, units:) }
        by_sizes = runs_by_sizes(sizes).merge(girth: section.girth)
        measured.filter_map do |name, string|
          size = by_sizes[name]
          next if size.nil? || (string - size).abs <= size * SLACK
          Plan::Finding.new(level: :note, code: "string_differs",
            says: "The string #{NAMES[name]} says #{text.call(string)}, the sizes say #{text.call(size)}. The string " \
              "is used.", at: "form.measured.#{name}")
        end
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

      private_class_method :runs_by_sizes
    end
  end
end
