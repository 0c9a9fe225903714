# frozen_string_literal: true

module Server
  module Routes
    # The questions that the contract declares. The core answers them; nothing is stored.
    module Questions
      # What a question may have to know besides the document that is sent, by the name that the
      # contract has for it.
      BESIDE = {
        "stash" => ->(app, sent) { app.stash_in(sent["units"]) },
        "today" => ->(_, _) { Date.today.iso8601 },
        "sale" => ->(_, _) { Occasions::SHOP.sale(Date.today)["sale"] }
      }.freeze

      def self.registered(app)
        Contract.of(App::CONTRACT).questions.each do |question|
          # Nobody starts with a question that nobody answers.
          Lantern::Ask.const_get(question.answers)
          beside = question.beside.to_h { [_1.to_sym, BESIDE.fetch(_1)] }
          app.post(question.path) do
            document = question.document(sent)
            answer_to(question, beside.transform_values { |known| known.call(self, document) })
          end
        end
      end
    end
  end
end
