# frozen_string_literal: true

module Trial
  # What no step of a wreath may say, and what every one has to.
  module Told
    # What a step must speak of or take where it warns of something.
    CAUSES = {
      /\AGlue is hot/ => /glue|tack/i, /\ACut wire flies/ => /wire|stem|tie|hairpin|grid/i,
      /\ACut foam/ => /cut it there/, /\ASinge/ => /singe/i
    }.freeze
    # What a look may only ask of a job of that kind, by the ids of its steps.
    LOOKS = {
      /two side by side/ => /\Acut\z/, /loops? stand alike|folds? of one size/ => /fold|loops|make|ties/,
      /laps? the last/ => /\.(wind|test)\z/, /coils touch/ => /coil|stem/, /mouths/ => /layer|make/,
      /rows level/ => /rows/, /knots/ => /knot/, /hang straight/ => /\.hang|hanger|fit|loop/
    }.freeze
    SCREEN = /\b(?:click|tap|screen|button|tab|menu|scroll|swipe)\b/i
    MEASURE = %r{\d(?: \d+/\d+|/\d+|\.\d+)? (?:in|cm|mm|ft|m)\b}

    module_function

    # @param worked [Hash]
    # @return [Array<String>] what is wrong
    def wrong(worked)
      steps = worked["steps"]
      twice = steps.map { _1["title"] }.tally.select { _2 > 1 }.keys.map { "two steps are called “#{_1}”" }
      twice + steps.flat_map { |step| of(step).map { "#{step["title"]}: #{_1}" } }
    end

    def of(step)
      said = [step["title"], step["says"], *step.fetch("takes", []).map { _1["says"] }].join(" ")
      [
        ("says nothing" if step["says"].strip.empty?), ("asks nothing" if step["look"].to_s.strip.empty?),
        ("speaks of a screen" if said.match?(SCREEN)), ("is made without a measure" if unmeasured?(step)),
        ("compares one piece with another" if step["count"].to_i == 1 && step["look"].match?(/two side|they alike/)),
        *step["cautions"].map { |caution| "warns without a cause: #{caution}" unless cause?(caution, said) },
        *LOOKS.map { |look, job|
          "asks what belongs to another job" if step["look"].match?(look) && !step["id"].match?(job)
        },
        ("says a word twice: #{said[TWICE]}" if said.match?(TWICE)),
        ("has a gap" if said.match?(/  | [,.]|\.\.|\bnil\b|#</))
      ].compact
    end

    TWICE = /\b(\w{2,}) \1\b/

    # A bow or a bundle is made by its measures; what is bought has none.
    def unmeasured?(step) = step["id"].end_with?(".make") && [MEASURE, /stems/].none? { step["says"].match?(_1) }

    def cause?(caution, said)
      needed = CAUSES.find { |start, _| caution.match?(start) }&.last
      needed.nil? || said.match?(needed)
    end
  end
end
