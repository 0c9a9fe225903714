# frozen_string_literal: true

module Lantern
  module Ask
    module Occasion
      # A worked occasion, written down as JSON wants it; lengths in its own units.
      class Worked
        def initialize(occasion, batch, calendar)
          @occasion, @batch, @calendar = occasion, batch, calendar
        end

        # @return [Hash]
        def to_h
          {
            "format" => "crisp-lantern/worked-occasion", "version" => Document::VERSION, "name" => @occasion.name,
            "units" => @occasion.units, "currency" => @occasion.currency, "quantity" => @occasion.quantity,
            "wreaths" => @occasion.works.map { wreath(_1) },
            "materials" => stockpiles.map(&:to_h), "cut_sheet" => stockpiles.reject(&:counted?).flat_map(&:cut_sheet),
            "bundles" => handed.bundles, "hand_out" => hand_out,
            "rounds" => Rounds.new(@occasion.works).to_a.map(&:to_h),
            "cost" => @batch.bill.to_h, "cost_working" => @batch.bill.working.map(&:to_h) + saving_rows,
            "saving" => saving, "waiting" => waiting, "budget" => budget,
            "minutes" => @occasion.minutes.round, "dates" => dates, "cautions" => cautions,
            "tools" => @occasion.works.flat_map { _1.course.tools }.uniq,
            "findings" => findings.map(&:to_h)
          }.compact
        end

        private

        def stockpiles = @stockpiles ||= @batch.bill.needed.map { Answer::Stockpile.new(_1, @occasion) }

        def wreath(work)
          {"name" => work.plan.name, "quantity" => work.plan.quantity,
           "coverings" => work.layers.map { _1.class.title }, "minutes" => work.course.minutes.round}
        end

        def handed = @handed ||= HandOut.new(@occasion, @batch.stock)

        def hand_out
          own = %w[length run one many]
          handed.to_a.map { |each| each.merge("parts" => each["parts"].map { |part| part.except(*own) }) }
        end

        # What planning together saves over planning one by one.
        def saving
          saved = @batch.one_by_one - @batch.bill.to_buy
          {"one_by_one" => @occasion.money_text(@batch.one_by_one),
           "together" => @occasion.money_text(@batch.bill.to_buy), "saved" => @occasion.money_text(saved.abs),
           "worse" => saved.negative?}
        end

        def saving_rows
          alone, together = @batch.one_by_one, @batch.bill.to_buy
          [{"key" => "one_by_one", "says" => "Bought and cut one by one", "sum" => "", "answer" => money(alone)},
            {"key" => "saved", "says" => "Together instead saves", "sum" => "#{money(alone)} − #{money(together)}",
             "answer" => money(alone - together)}]
        end

        def money(amount) = @occasion.money_says(amount)

        def waiting
          return unless @calendar.known? && @occasion.sale && @batch.on_sale
          Cost::Waiting.new(regular: @batch.bill.to_buy, on_sale: @batch.on_sale.to_buy, sale: @occasion.sale,
            today: @occasion.today, buy_by: @calendar.buy_by, currency: @occasion.currency).to_h
        end

        def budget
          return unless @occasion.budget
          left = @occasion.budget - @batch.bill.to_pay
          {"budget" => @occasion.money_text(@occasion.budget), "kept" => !left.negative?,
           "says" => left.negative? ? "#{money(-left)} over the #{money(@occasion.budget)} it may cost" :
            "#{money(left)} of #{money(@occasion.budget)} to spare"}
        end

        def dates
          return unless @calendar.known?
          @calendar.days.to_h { |name, day| [name.to_s, day.iso8601] }
            .merge("evenings" => @calendar.evenings.map { {"day" => _1.day.iso8601, "minutes" => _1.minutes.round} })
        end

        def cautions = @occasion.works.flat_map { _1.course.cautions }.uniq.map(&:to_h)

        def findings
          if budget && !budget["kept"]
            over = Plan::Finding.new(level: :warn, code: "over_budget", says: budget["says"], at: "budget")
          end
          [*@calendar.findings, *over]
        end
      end
    end
  end
end
