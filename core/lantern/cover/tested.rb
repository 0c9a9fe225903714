# frozen_string_literal: true

module Lantern
  module Cover
    # A test piece of a wound covering: the maker winds a few turns and measures what they took and
    # what they cover; that replaces the sum. It is the covering's option `test_piece`.
    module Tested
      # What a covering with a test piece can say of it.
      module Declaring
        def tested_by(help)
          practised length_per_turn: "One of yours takes %s, not %s"
          option :test_piece, :record, label: "Test piece", help:, fields: [
            Plan::Field::Count.new(:turns, most: 200, label: "Turns you wound"),
            Plan::Field::Length.new(:took, label: "What they took"),
            Plan::Field::Length.new(:covers, label: "What they cover, at the edge where they crowd")
          ]
        end
      end

      def self.included(covering) = covering.extend(Declaring)

      # @return [Float, nil] inches of material to one turn, as measured
      def measured_turn = test_piece && test_piece[:took] && (test_piece[:took] / test_piece[:turns]).to_f

      # @return [Float, nil] inches of the edge that one turn covers, as measured
      def measured_advance = test_piece && test_piece[:covers] && (test_piece[:covers] / test_piece[:turns]).to_f

      # @raise [Plan::Refused]
      def check_test_piece
        return unless test_piece
        refuse("test_piece.turns", "Say how many turns the test piece has.") unless test_piece[:turns]
        unless test_piece[:took] || test_piece[:covers]
          refuse("test_piece", "A test piece needs what its turns took, or what they cover.")
        end
        return unless measured_turn && measured_turn < least_turn
        refuse("test_piece.took", "A turn of #{text(measured_turn)} does not reach round a band that is " \
          "#{text(form.girth)} around.")
      end

      # A turn that takes less than this has not gone round.
      def least_turn = form.girth * 0.9

      # What the plan says of where its numbers come from.
      def test_piece_finding
        used = [
          ("what a turn takes (#{text(measured_turn)})" if measured_turn),
          ("how far it goes (#{text(measured_advance)})" if measured_advance)
        ].compact
        finding(:note, "tested", "Your test piece says #{Measure::Words.list(used)}; the sum is not used there.")
      end
    end
  end
end
