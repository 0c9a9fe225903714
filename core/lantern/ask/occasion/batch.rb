# frozen_string_literal: true

module Lantern
  module Ask
    module Occasion
      # All wreaths of an occasion cut and bought as one, and held against making them one after another.
      class Batch
        attr_reader :occasion

        # @param occasion [Document]
        def initialize(occasion)
          @occasion = occasion
        end

        # @return [Array<Cut::Cutting>] one for each material
        def stock
          @stock ||= occasion.materials.map { |material| Cut.cut(material, demand.fetch(material.id)) }
        end

        # @return [Cost::Bill]
        def bill = @bill ||= Cost::Bill.of(occasion, stock, minutes: occasion.minutes)

        # The same at sale prices, or nil when there are none.
        # @return [Cost::Bill, nil]
        def on_sale
          if occasion.money.sale || occasion.materials.none? { |material| material.offers.any? { _1[:sale_price] } }
            return
          end
          @on_sale ||= Batch.new(occasion.with(materials: Plan::Terms.new(sale: true).priced(occasion.materials),
            money: occasion.money.with(sale: true))).bill
        end

        # What it would come to if each were bought and cut by itself, in their order, as sure as together and with
        # what the ones before have left in the stash, closed packages among it. What is in reserve counts as taken: one
        # hand takes more of everything.
        # @return [BigDecimal]
        def one_by_one
          @one_by_one ||= begin
            hand = occasion.materials.to_h { [_1.id, _1.on_hand] }
            occasion.works.sum(BigDecimal(0)) do |work|
              priced = occasion.money.priced(work.plan.materials)
              alone = work.with(sureness: occasion.sureness,
                materials: priced.map { |each| each.with(on_hand: hand.fetch(each.id)) })
              alone.stock.each { |cutting| hand[cutting.material.id] = left(at_most(cutting), alone.plan) }
              alone.to_buy
            end
          end
        end

        private

        def demand
          @demand ||= Work.demand(occasion.works, occasion.materials, sureness: occasion.sureness) do |need, work|
            need.asked_by(work.plan.name, occasion.works.index { _1.equal?(work) } + 1)
          end
        end

        def at_most(cutting)
          cutting.demand.insured? ? Cut.cut(cutting.material, cutting.demand.at_most) : cutting
        end

        # What is on hand of a material after it was cut.
        def left(cutting, plan)
          material = cutting.material
          if material.counted?
            taken = cutting.bars.select { _1.source == :on_hand }
            return [material.on_hand.sum - taken.sum { |bar| bar.cuts.sum(&:count) } + bought_and_left(cutting)]
          end
          return cloth_left(cutting, plan) if material.sheets?
          cutting.untouched + cutting.bars.map(&:left).select { _1 >= plan.smallest_remnant && _1.positive? }
        end

        # Sheets that nobody opened stay as they are, tapering ones too.
        def cloth_left(cutting, plan)
          opened = cutting.bars.select { _1.source == :on_hand }.map(&:index)
          whole = cutting.material.on_hand.each_with_index.reject { |_, index| opened.include?(index) }.map(&:first)
          whole + cutting.bars.flat_map { _1.kept(plan.smallest_remnant) }
            .map { |width, length| {width:, length:, end_width: nil} }
        end

        def bought_and_left(cutting)
          cutting.bought.sum { |offer, count| cutting.material.offers[offer][:count] * count } -
            cutting.bars.select { _1.source == :offer }.sum { |bar| bar.cuts.sum(&:count) }
        end
      end
    end
  end
end
