# frozen_string_literal: true

module Lantern
  module Ask
    # What a wise friend would say to a plan, or to all plans of an occasion: what saves a package, what is only just
    # enough, what the stash would do, whether to wait, and what is bought only to be sure. Every answer is found by
    # working neighbouring plans.
    class Advice
      # In this order when they save the same.
      KINDS = %i[OneFewer StashFirst Wait Insurance JustEnough].freeze

      class << self
        # @param plan [Hash] a plan document
        # @return [Hash] ready for JSON
        # @raise [Plan::Refused]
        def answer(plan, **known) = {"advice" => on_plan(plan, **known)}

        # @param document [Hash] a plan
        # @param stash [Array<Hash>] materials that are known besides those of the plan
        # @param today [String, nil] a day, as in 2026-11-25
        # @param sale [String, nil] the day of the next sale
        # @return [Array<Hash>] ready for JSON
        # @raise [Plan::Refused]
        def on_plan(document, **known) = on_work(Work.read(document, cache: Cache.new), document, **known)

        # The same of a plan that is read already.
        # @param work [Work]
        def on_work(work, document, stash: [], today: nil, sale: nil)
          new(Table.of_plan(work), stash: Stash.new(document, stash), today: day(today) || work.plan.today,
            sale: day(sale)).to_a
        end

        # @param document [Hash] an occasion
        # @return [Array<Hash>] as of a plan; `wreath` says whose layers a change is of, by its number
        # @raise [Plan::Refused]
        def on_occasion(document)
          occasion = Occasion::Document.read(document)
          new(Table.of_occasion(occasion), today: occasion.today, sale: occasion.sale).to_a
        end

        private

        def day(text) = text && Date.iso8601(text)
      end

      def initialize(table, stash: nil, today: nil, sale: nil)
        @table, @stash, @today, @sale = table, stash, today, sale
      end

      # A friend says so much and no more.
      MOST = 3

      # @return [Array<Hash>] what saves most first
      def to_a
        said = KINDS.flat_map { Advice.const_get(_1).new(@table, stash: @stash, today: @today, sale: @sale).to_a }
        insured = said.select { _1.code == "insurance" }.map(&:material)
        # What is bought only to be sure is not said to be needed.
        said.reject! { |each| each.code == "one_fewer" && each.try.nil? && insured.include?(each.material) }
        said.sort_by.with_index { |each, i| [-each.saves, i] }.first(MOST).map { _1.to_h(@table) }
      end
    end
  end
end
