# frozen_string_literal: true

module Lantern
  module Trim
    # What has its place on a wreath: at an hour of the clock, or on another layer, where that one is.
    module Placed
      # Two things nearer than this, in hours, are in one place (from memory).
      NEAR = 0.25

      def self.included(kind) = kind.sees_everything

      # The layer of the plan that it sits on.
      # @return [Plan::LayerSaid, nil]
      def beneath = beneath_of(on)

      # What it sits on is there before it.
      def needs_first = Array(on).to_h { [_1, "it sits on it"] }

      # @raise [Plan::Refused] when it sits on nothing, or on itself in the end
      def check_beneath
        return unless on
        refuse("on", "There is no layer “#{on}” for it to sit on.") unless beneath
        refuse_circle([said])
        return if beneath.options.key?(:at)
        refuse("on", "#{beneath.kind.title} has no place of its own to sit on: say the hour.")
      end

      # @raise [Plan::Refused] for what cannot hang in the opening with what it sits on
      def check_hour
        return unless on && at == :middle
        refuse("on", "What it would sit on hangs in the middle: fix it to that first, and say the hour here.")
      end

      # Where a thing is that says nothing of it.
      USUAL = 6.0

      # Where it is: its own hour, or that of what it sits on.
      def at = on ? hour_of(place_of(beneath)) : super

      # Whether it is to hide what lies beneath.
      def hiding? = false

      # What is in the same place and not meant as a stack.
      def same_place
        return if on || at == :middle
        others = @plan.layers.take_while { _1.id != id }.select { |each|
          each.kind.include?(Placed) && each.options[:on].nil? && near?(each.options[:at])
        }
        return if others.empty?
        there = others.first.kind.called(others.first.options)
        finding(:warn, "same_place", "It sits where the #{there} is: move one of them, or " \
          "set it on the other.", try: {"on" => others.first.id})
      end

      private

      # @param way [Array<Plan::LayerSaid>] each of which sits on the one after it
      def refuse_circle(way)
        Array(way.last.options[:on]).each do |id|
          below = @plan.layers.find { _1.id == id } or next
          refuse_circle([*way, below]) unless way.include?(below)
          refuse("on", circle([*way, below])) if below == said
        end
      end

      def circle(way)
        return "It cannot sit on itself." if way.size == 2
        names = way.map { "#{_1.kind.called(_1.options)} (#{_1.id})" }
        "It would sit on itself: the #{names.first} on the #{names[1..].join(", that on the ")}. One of them has to " \
          "sit on the form."
      end

      # Of several that something sits on, the uppermost.
      def beneath_of(on) = Array(on).last&.then { |id| @plan.layers.find { _1.id == id } }

      # What is so far along the band is at an hour too.
      def hour_of(place)
        place.is_a?(Hash) ? Form::Clock.hour(form, place[:along].to_f) : place || USUAL
      end

      def place_of(said, deep = 0)
        below = beneath_of(said.options[:on])
        return place_of(below, deep + 1) if below && deep < @plan.layers.size
        said.options[:at] || said.kind.options.find { _1.name == :at }.default
      end

      def near?(hour)
        hour.is_a?(Numeric) && at.is_a?(Numeric) && (((hour - at + 6) % 12) - 6).abs < NEAR
      end
    end
  end
end
