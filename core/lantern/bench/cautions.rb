# frozen_string_literal: true

module Lantern
  module Bench
    # What a wreath as a whole wants said: what its own steps hold, what follows from hot glue on what it is made of,
    # and what everybody is told.
    module Cautions
      module_function

      # @param form [Form::Band]
      # @param layers [Array<Layer>]
      # @param steps [Array<Place::Step>]
      # @return [Array<Place::Caution>]
      def for(form, layers, steps)
        said = steps.flat_map(&:cautions).uniq
        glue = said.include?(Place::Caution.fetch(:hot_glue))
        more = {
          foam_glue: glue && form.base == :foam, weave_glue: glue && layers.flat_map(&:materials).any?(&:sheer),
          hanging: true, public: true
        }
        wanted = said | more.select { |_, applies| applies }.keys.map { Place::Caution.fetch(_1) }
        Place::Caution::ALL.select { wanted.include?(_1) }
      end
    end
  end
end
