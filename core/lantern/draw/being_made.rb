# frozen_string_literal: true

module Lantern
  module Draw
    # A wreath being made, from the bare form on, piece by piece in the order of its steps: what of its drawing lies
    # where it lies after so many. The screens go by the same rules; both are held to one fixture.
    class BeingMade
      # What was laid last, and what comes next, as materials of their own.
      LATEST, NEXT = "·latest", "·next"

      # @param worked [Hash] a worked plan
      def initialize(worked)
        @steps, @drawing = worked["steps"], worked["drawing"]
        @own = @steps.each_with_index.group_by { |step, _| step["layer"] }
      end

      # How many moments there are from the bare form to the finished wreath.
      # @return [Integer]
      def last = @last ||= @steps.sum { pieces(_1) }

      # @param id [String] of a step
      # @return [Range, nil] the moments of that step, its beginning and its end
      def of_step(id)
        index = @steps.index { _1["id"] == id } or return
        before = @steps.first(index).sum { pieces(_1) }
        before..(before + pieces(@steps[index]))
      end

      # @param after [Integer] pieces
      # @return [Hash] the drawing then
      def at(after)
        current, counted = moment(after)
        @drawing.merge("layers" => @drawing["layers"].flat_map { laid(_1, current, counted) })
      end

      private

      # Pieces that a step lays; one that counts nothing is done at once.
      def pieces(step) = [step["count"] || 1, 1].max

      # @return [(Integer, Integer)] which step is being done, and how much of it is counted
      def moment(after)
        left = after
        @steps.each_with_index do |step, i|
          return [i, step["count"] ? left : 0] if left < pieces(step)
          left -= pieces(step)
        end
        [@steps.size, 0]
      end

      def laid(lie, current, counted)
        own = @own.fetch(lie["layer"], [])
        ends = own.last or return [lie]
        # What no step lays by itself is shown by its share of the step that ends the layer.
        counts = own.find { |step, _| step["lays"] == lie["key"] && step["count"] } || (ends if ends[0]["count"])
        step, index = counts || ends
        return [lie] if index < current
        return [] if index > current
        counts ? part(lie, step, counted) : [lie]
      end

      def part(lie, step, counted)
        all = lie["front"]
        done = [(counted.fdiv(step["count"]) * all.size).round, all.size].min
        # What is only shown by its share of a step is nothing that the hands take up next.
        coming = (step["lays"] == lie["key"]) ? 1 : 0
        [lie.merge("front" => all.first(done), "back" => lie["back"].first(done),
          **%w[written pictured].to_h { [_1, lie[_1]&.first(done)] }).compact,
          *lit(lie, NEXT, all[done, coming] || []), *lit(lie, LATEST, done.zero? ? [] : [all[done - 1]])]
      end

      def lit(lie, as, items)
        return [] if items.empty?
        [lie.merge("materials" => [as], "front" => items.map { _1.merge("colour" => 0) }, "back" => [])
          .except("written", "pictured", "more")]
      end
    end
  end
end
