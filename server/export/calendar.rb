# frozen_string_literal: true

require "icalendar"
require_relative "../http/problem"

module Server
  module Export
    # The days of an occasion as iCalendar (RFC 5545): the last day to buy, every evening at the bench, the
    # day they hang. Whole days, since nobody said at what hour an evening begins.
    module Calendar
      NAMES = {"buy_by" => "Buy for %s", "make_by" => "%s: everything made", "day" => "%s"}.freeze

      module_function

      # @param id [Integer] the occasion's, so that a calendar that takes it in again changes its days
      # @param worked [Hash] a worked occasion
      # @param stamp [Time] when it was last changed
      # @return [String]
      # @raise [Problem] when it has no day
      def write(id, worked, stamp)
        dates = worked["dates"] or raise Problem.at("day",
          "Say which day they hang, and there are days to put into a calendar.")
        calendar = Icalendar::Calendar.new
        calendar.prodid = "-//Crisp Lantern//EN"
        NAMES.each { |name, says| add(calendar, "#{name}-#{id}", dates[name], format(says, worked["name"]), stamp) }
        dates["evenings"].each_with_index do |evening, i|
          add(calendar, "evening-#{i + 1}-#{id}", evening["day"], "Bench: #{worked["name"]}", stamp,
            "#{evening["minutes"]} minutes at the bench, evening #{i + 1} of #{dates["evenings"].size}.")
        end
        calendar.publish
        calendar.to_ical
      end

      def add(calendar, name, day, summary, stamp, description = nil)
        date = Date.iso8601(day)
        calendar.event do |event|
          event.uid = "#{name}@crisp-lantern.invalid"
          event.dtstamp = Icalendar::Values::DateTime.new(stamp.utc, "tzid" => "UTC")
          event.dtstart = Icalendar::Values::Date.new(date)
          event.dtend = Icalendar::Values::Date.new(date + 1)
          event.summary = summary
          event.description = description if description
          event.transp = "TRANSPARENT"
        end
      end

      private_class_method :add
    end
  end
end
