# frozen_string_literal: true

module Lantern
  module Cover
    # A wide soft strip caught in tie after tie, standing out as a loop between them; one rail after
    # the other, the first tie used again at the end.
    class TiedLoops < Covering
      covering :tied_loops, title: "Loops caught in ties", takes: %i[ribbon mesh fabric],
        summary: "A wide strip gathered at tie after tie, a loop between each two."
      counts :pieces, :loops
      hands :catch, :twist
      shows loop: :loop_length
      laid :cushion

      spread 0.10 # from memory

      # 9 in a loop takes 9 ft once round twelve ties (common practice).
      option :loop_length, :length, default: Rational(9), most: 60, label: "Strip to a loop",
        help: "From tie to tie, along the strip."
      option :ties, :count, most: 200, label: "Ties on a rail", default_says: "the form's own, or twelve"
      option :rails, :count, most: 8, label: "Rails", default_says: "the rails that the form has"
      strips_from_cloth most: 120, default_says: "the roll’s own, or 18 in from cloth"

      runs_along

      figure :pieces, :count, "Loops", from: :loops
      figure :length, :length, "Strip in all"
      figure :strips, :count, "Strips to cut"

      gives :loop_length, share: 0.85, says: "loops of %s"

      vary :loop_length, takes: :more, says: "The longest loops"

      JOIN = 1
      USUAL_TIES = 12

      def check
        super
        if form.base == :wire && rails > form.section.rails.size
          refuse("rails", "This frame has #{form.section.rails.size} rails; loops cannot be caught on #{rails}.")
        end
        if loop_length <= spacing
          refuse("loop_length", "Ties are #{text(spacing)} apart on the outermost rail: a loop of " \
            "#{text(loop_length)} would not reach from one to the next.")
        end
        if material.sheets? && longest_sheet <= loop_length + JOIN
          refuse("loop_length", "A loop of #{text(loop_length)} is longer than the cloth, #{text(longest_sheet)}.")
        end
        refuse_crowd(loops, "ties", "loops")
      end

      def ties = super || form.ties || USUAL_TIES

      def rails = super || ((form.base == :wire) ? form.section.rails.size : 1)

      def width = strip_width || material.width || Rational(18)

      def loops = ties * rails

      # From one tie to the next, on the outermost rail.
      def spacing = ((form.base == :wire) ? form.rail_run(form.section.rails.size) : form.run) / ties

      def length = loops * loop_length

      # The loop is what gives.
      def needs
        sparing = "keep the loops to #{text(loop_length)}, no more"
        unless material.sheets?
          # Ends meet inside a tie: no roll is opened for sureness (common practice).
          return [Place::Need.run(material: material.id, what: "loops", length:, join: 0, least: loop_length,
            spread: 0, sparing:)]
        end
        [pieces_of(:strips, material: material.id, length: longest_sheet, count: strips, width:, grain:, sparing:)]
      end

      # Strips of cloth that reach the whole; of what comes by the length, none are cut. Cloth so many times as long as
      # wide runs along like ribbon: its ends meet inside a tie (common practice).
      def strips
        return unless material.sheets?
        return strips_for(length, longest_sheet, JOIN) unless longest_sheet >= LENGTHWISE * width
        (loops / (longest_sheet / loop_length + 1e-9).floor.to_f - 1e-9).ceil
      end

      LENGTHWISE = 4

      def working
        [
          line(:loops, "Loops", "#{ties} ties × #{Measure::Words.count(rails, "rail")}, the first tie used again",
            loops.to_s),
          line(:length, "Strip", pencil("%n × %l", loops, loop_length), long_text(length))
        ]
      end

      def findings
        full = loop_length / spacing
        [*(if full < 1.5
             finding(:note, "flat_loops", "A loop of #{text(loop_length)} over #{text(spacing)} hardly stands out; " \
               "twice the distance looks full.", try: {"loop_length" => text((spacing * 2).to_r)})
           end),
          *(if form.ties.nil?
              finding(:note, "no_ties", "This form has no ties of its own: twist #{loops} half chenille stems on " \
                "first, evenly.")
            end)]
      end

      def looped? = true

      def steps
        [*(if form.ties.nil?
             step("ties", "Twist the ties on", "#{ties} on each rail, evenly, half a chenille stem each.", count: loops,
               unit: :ties, move: :twist, minutes: loops * 0.4)
           end),
          step("loops", "Catch the strip in the ties",
            "Gather its whole width at a tie, twist the tie shut, leave #{text(loop_length)} to the next, no more. " \
            "Outer rail first, then the one inside it.", count: loops, unit: :loops, minutes: 2 + loops * 0.8)]
      end

      def closes = form.areas

      def lies = [Place::Loops.caught(form, id:, material:, ties:, rails:, length: loop_length.to_f, width: width.to_f)]
    end
  end
end
