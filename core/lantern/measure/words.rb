# frozen_string_literal: true

module Lantern
  module Measure
    # How numbers and lists are said in a sentence.
    module Words
      module_function

      # A number with its word: "1 strip", "3 strips".
      # @param many [String] the plural, where it is not the word with an s
      def count(number, one, many = "#{one}s") = "#{number} #{(number == 1) ? one : many}"

      # @return [String] "a", "a and b", "a, b and c"
      def list(words, last: "and")
        *others, final = words
        others.empty? ? final.to_s : "#{others.join(", ")} #{last} #{final}"
      end

      # The first letter large, everything else as it is: names keep the capitals their owners gave them.
      def sentence(text) = text.sub(/\A./, &:upcase)

      # @return [String] "5 %", "over 99 %": no estimate is certain
      def percent(share)
        return "over 99 %" if share < 1 && share > 0.99
        hundredths = share * 100
        "#{(hundredths.abs < 1) ? short(hundredths.round(1)) : hundredths.round} %"
      end

      # A chance, never told as more than it is.
      # @return [String] "93 %", "over 99 %"
      def chance(share) = (share > 0.99) ? "over 99 %" : "#{(share * 100).floor} %"

      # An hour of the clock by which places are said.
      # @param hour [Numeric] 0 to 12
      # @return [String] "6 o’clock", "half past 10"
      def hour(hour, places: 1)
        whole, part = hour.divmod(1)
        said = whole.to_i.zero? ? 12 : whole.to_i
        return "#{said} o’clock" if part < 0.05
        return "half past #{said}" if (part - 0.5).abs < 0.05
        "#{short(hour.to_f.round(places))} o’clock"
      end

      # @return [String] "1st", "2nd", "3rd", "14th"
      def ordinal(number)
        return "#{number}th" if (number % 100).between?(11, 13)
        "#{number}#{{1 => "st", 2 => "nd", 3 => "rd"}.fetch(number % 10, "th")}"
      end

      # @param day [Date]
      # @return [String] "5 June 2027"
      def day(day) = day.strftime("%-d %B %Y")

      # @return [String] a number without noughts that say nothing
      def number(value) = short(value.round(2))

      # A number without a nought that says nothing.
      def short(number) = number.to_s.delete_suffix(".0")
    end
  end
end
