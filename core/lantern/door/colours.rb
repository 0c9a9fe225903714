# frozen_string_literal: true

module Lantern
  module Door
    # What is seen of a wreath from the front, by its colours: how much of each, as far as anybody said which it is.
    class Colours
      # Cells across the band: what lies on the front is looked at in each.
      CELLS = 8
      private_constant :CELLS

      # @param work [Work]
      def initialize(work)
        @work = work
      end

      # How different it looks from what is behind it, each colour by how much of it is seen.
      # @param paint [Measure::Colour]
      # @param instead [Hash{String=>Plan::Material}] materials that are tried in the place of others, by their ids
      # @return [Float, nil] as {Measure::Colour#apart}; nil where no colour is known
      def apart(paint, instead = {})
        seen = shares.filter_map do |id, share|
          colour = (instead[id] || @work.plan.material(id))&.colour
          [Measure::Colour.of(colour).apart(paint), share] if colour
        end
        whole = seen.sum(&:last)
        seen.sum { |apart, share| apart * share } / whole if whole.positive?
      end

      # @return [String, nil] the id of the material of which most is seen
      def most = shares.max_by(&:last)&.first

      private

      # The front cell by cell: what lies on top of each.
      def shares
        @shares ||= begin
          cells = {}
          @work.layers.each { |layer| layer.lies.each { |lie| lay(lie, cells) } }
          cells.values.each_with_object(Hash.new(0.0)) { |id, all| all[id] += 1.0 / cells.size }
        end
      end

      def lay(lie, cells)
        lie.front.each do |item|
          material = lie.materials[item[:colour] || 0] or next
          lie.patches(item[:points]).each do |patch|
            patch.rows(cell) { |row, from, to|
              ((from / cell).ceil..(to / cell).floor).each { |column| cells[[row, column]] = material.id }
            }
          end
        end
      end

      def cell = @cell ||= @work.form.face.to_f / CELLS
    end
  end
end
