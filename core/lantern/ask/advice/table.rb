# frozen_string_literal: true

module Lantern
  module Ask
    class Advice
      # What lies on the table: one wreath or several, worked, and the materials they share; and neighbours of it, in
      # which one of them is another.
      class Table
        class << self
          # @param work [Work]
          def of_plan(work)
            plan = work.plan
            new([work], materials: plan.materials, sureness: plan.sureness, currency: plan.currency,
              smallest_remnant: plan.smallest_remnant, sale: plan.money.sale)
          end

          # @param occasion [Occasion::Document]
          def of_occasion(occasion)
            new(occasion.works, materials: occasion.materials, sureness: occasion.sureness,
              currency: occasion.currency, smallest_remnant: occasion.smallest_remnant, sale: occasion.money.sale,
              several: true)
          end
        end

        attr_reader :works, :materials, :sureness, :smallest_remnant

        def initialize(works, materials:, sureness:, currency:, smallest_remnant:, sale:, several: false)
          @works, @materials, @sureness, @currency = works, materials, sureness, currency
          @smallest_remnant, @sale, @several = smallest_remnant, sale, several
        end

        def several? = @several

        def on_sale? = @sale

        def units = @works.first&.plan&.units || "in"

        def money(amount) = Measure::Money.says(amount, @currency)

        def money_text(amount) = Measure::Money.text(amount, @currency)

        # How a material is cut for all of them.
        # @return [Cut::Cutting]
        def cutting(material) = (@cuttings ||= {})[material.id] ||= cut(material, @works)

        # The same when one of them is another.
        # @param number [Integer] which of them, from nought
        # @return [Cut::Cutting]
        # @raise [Plan::Refused] when that cannot be made
        def neighbour(material, number, work)
          cut(material, @works.each_with_index.map { |each, i| (i == number) ? work : each })
        end

        # What is bought.
        # @return [Array<Plan::Material>]
        def bought = materials.select { cutting(_1).bought.any? }

        # Every layer, with its wreath.
        # @yieldparam number [Integer] of the wreath, from nought
        # @yieldparam index [Integer] of the layer
        # @yieldparam layer [Layer]
        def each_layer
          @works.each_with_index do |work, number|
            work.layers.each_with_index { |layer, index| yield number, index, layer }
          end
        end

        # @return [BigDecimal] what all of it comes to
        def to_buy(works = @works, materials = @materials)
          materials.sum(BigDecimal(0)) { |each| Table.price(cut(each, works)) }
        end

        # @return [BigDecimal] what the packages of a cutting come to
        def self.price(cutting) = Cost::Entry.new(cutting, nil).to_buy

        private

        def cut(material, works)
          Cut.cut(material, Work.demand(works, [material], sureness: @sureness).fetch(material.id))
        end
      end
    end
  end
end
