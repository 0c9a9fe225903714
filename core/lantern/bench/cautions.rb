# frozen_string_literal: true

module Lantern
  module Bench
    # Which cautions a wreath as a whole wants said.
    module Cautions
      module_function

      # @param form [Form::Band]
      # @param layers [Array<Layer>]
      # @return [Array<Place::Caution>]
      def for(form, layers)
        materials = layers.flat_map(&:materials)
        wanted = {
          hot_glue: true, foam_glue: form.base == :foam, blade: form.base == :foam,
          weave_glue: materials.any?(&:sheer), wire_ends: form.base == :wire || materials.any?(&:wired),
          singe: materials.any? { %i[rope ribbon].include?(_1.kind) }, hanging: true, public: true
        }
        wanted.select { |_, applies| applies }.keys.map { Place::Caution.fetch(_1) }
      end
    end
  end
end
