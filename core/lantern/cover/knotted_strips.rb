# frozen_string_literal: true

module Lantern
  module Cover
    # Strips tied round a rail or round the whole band, tails outward.
    class KnottedStrips < Covering
      include Telling
      include Judging

      covering :knotted_strips, title: "Knotted strips", takes: %i[ribbon fabric mesh], several: true,
        summary: "Short strips knotted side by side, their tails outward."
      counts :pieces, :strips_to_cut
      hands :knot
      shows tail: :tail
      practised take_up: "Your knots take up %s, not %s", pitch: "A knot of yours covers %s, not %s"
      laid :knot

      spread 0.07 # from memory

      option :tail, :length, most: 60, label: "Tail", default_says: "3 in", help: "From the knot to the end, each side."
      option :cut, :length, most: 240, label: "Cut each", default_says: "from the tails and the knot",
        help: "Said instead of the tails; what is left of it beyond the knot are the tails."
      option :strips, :count, most: 4000, label: "Strips in all", default_says: "as many as fit, and spares"
      strips_from_cloth most: 60, default_says: "the ribbon’s own, or 1 in from cloth"
      option :rail, :count, most: 8, label: "Rail", default_says: "round the whole band", help: "1 is the innermost."
      option :per_section, :count, most: 500, label: "Strips in a section", default_says: "as many as fit"
      option :packed_pitch, :length, fine: true, most: 24, label: "A knot takes",
        default_says: "one and a half bundles, a guess",
        help: "How much of the rail one knot takes when they are pushed together."
      option :order, :choice, default: :spread, label: "Colours",
        choices: {spread: "Spread evenly", alternating: "Alternating", blocks: "In blocks",
                  darkest_first: "Spread evenly, tied darkest first"}
      option :mix, :list, of: Plan::Field::Count.new(:parts, label: "Parts of a colour", most: 99), most: 24,
        label: "Parts of each colour", default_says: "the same of each",
        help: "2, 1 is twice as many of the first as of the second."
      option :spare, :number, fine: true, default: 0.05, least: 0.0, most: 1.0, label: "Spare strips",
        help: "As a share of all."
      option :test_piece, :record, label: "Test piece", help: "Tie a few, measure, and these replace the guesses.",
        fields: [
          Plan::Field::Length.new(:cut, label: "Cut length of the one you tied"),
          Plan::Field::Length.new(:tails, label: "Its two tails together"),
          Plan::Field::Count.new(:strips, label: "Strips you tied side by side"),
          Plan::Field::Length.new(:covers, label: "They cover")
        ]

      option :knots, :choice, fine: true, default: :face, label: "Knots sit",
        choices: {face: "On the face", outside: "Pulled to the outer edge"}
      runs_along

      figure :pieces, :count, "Strips to cut"
      figure :per_section, :count, "Strips in a section"
      figure :tied, :count, "Strips tied"
      figure :piece_length, :length, "Each strip"
      figure :pitch, :length, "A knot takes"
      figure :take_up, :length, "Take-up of a knot"
      figure :length, :length, "All strips, end to end"

      gives :spare, to: 0.0, says: "%s spare strips", percent: true
      gives :tail, share: 0.85, says: "tails of %s"

      vary :tail, takes: :more, says: "The longest tail"
      vary :per_section, takes: :more, says: "The most strips in a section", unit: "strips"

      # What is usual (common practice).
      TAIL = Rational(3)
      # The take-up of a knot is a guess until one is tied: so much is left of any strip that goes round at all.
      SHORTEST = Rational(1, 4)
      # From memory: a test piece replaces all three.
      TAKE_UP_BUNDLES = 9
      PITCH_BUNDLES = 1.5
      LOOSENESS = 2.5
      # Sheer ribbon and netting are thin, and pack without a gap between bundles (from memory).
      SHEER = 1 / 200r
      SHEER_BUNDLES = 1.0

      def check
        super
        check_rail
        check_test_piece
        check_said
        if mix.any? && mix.size != materials.size
          refuse("mix", "#{mix.size} parts for #{materials.size} materials: say one for each.")
        end
        if strip_width && (narrow = materials.find { _1.width && strip_width > _1.width })
          refuse("strip_width",
            "A strip #{text(strip_width)} wide cannot be cut from #{narrow.name}, which is #{text(narrow.width)} wide.")
        end
        refuse_crowd(pieces, "per_section", "strips")
      end

      def width = strip_width || material.width || Rational(1)

      # A strip bunched in a knot, as a round bundle.
      def bundle = Math.sqrt(4 * width * thick * LOOSENESS / Math::PI)

      def thick = material.thickness || (sheer? ? SHEER : material.thickness_or_guess)

      def sheer? = material.sheer || material.kind == :mesh

      # What the knot goes round.
      def bar_girth = rail ? form.rail_girth : form.girth

      # What the knots sit along.
      def bar_run = rail ? form.rail_run(rail) : form.run

      def take_up = measured_take_up || TAKE_UP_BUNDLES * bundle

      def pitch = packed_pitch&.to_f || measured_pitch || (sheer? ? SHEER_BUNDLES : PITCH_BUNDLES) * bundle

      # What is left on either side of the knot, where the whole strip is said.
      def tail
        return super || TAIL unless cut
        [((cut - bar_girth - take_up) / 2).to_r.round(4), SHORTEST].max
      end

      def per_section = super || (strips ? strips.fdiv(form.sections).ceil : side_by_side(bar_run / form.sections))

      # Strips tied, without spares.
      def tied = strips || per_section * form.sections

      def pieces = strips || (tied * (1 + spare) - 1e-9).ceil

      def piece_length = up_to_mark(cut || 2 * tail + bar_girth + take_up)

      def needs
        materials.zip(shares(pieces)).filter_map do |each, count|
          next if count.zero?
          pieces_of(:strips, of: (", #{each.name}" unless materials.one?), material: each.id, length: piece_length,
            count:, width: (width if each.sheets?), grain:, spread: (strips ? 0 : self.class.spread),
            spares: (count - count.to_r * tied / pieces).floor)
        end
      end

      def length = pieces * piece_length

      def working
        [
          line(:bundle, "A strip bunched in the knot",
            measured_take_up ? "as measured" :
            pencil("√(4 × %l × #{figure(thick)} × 2.5 ÷ π)", width), text(bundle)),
          line(:take_up, "Take-up of the knot", measured_take_up ? "test piece: cut, less its tails, less once round" :
            pencil("9 × %l, a guess", bundle), text(take_up)),
          *length_lines,
          *(strips ? strips_lines : section_lines)
        ]
      end

      def length_lines
        unless cut
          return [line(:piece_length, "Cut each", pencil("2 × %l + %l once round + %l, up to the mark", tail,
            bar_girth, take_up), text(piece_length))]
        end
        [line(:piece_length, "Cut each", "as you said, up to the mark", text(piece_length)),
          line(:tails, "Its tails, each", tails_sum,
            text(tail))]
      end

      def strips_lines
        [line(:tied, "Strips in all", "as you said", strips.to_s),
          line(:apart, "From knot to knot", pencil("%l ÷ %n", bar_run, strips), text(bar_run / strips))]
      end

      def section_lines
        [
          line(:section, "A section", pencil("%l ÷ %n", bar_run, form.sections), text(bar_run / form.sections)),
          line(:per_section, "Strips in a section",
            said?(:per_section) ? "as you said" : pencil("%l ÷ %l#{" by your test piece" if measured_pitch}, " \
              "rounded up", bar_run / form.sections, pitch), per_section.to_s),
          line(:tied, "All sections", "#{form.sections} × #{per_section}", tied.to_s),
          line(:pieces, "With spares", pencil("%n + %p, rounded up", tied, spare), pieces.to_s)
        ]
      end

      def findings
        [*guessed, *(shrinks unless strips), *loose, *short_tails]
      end

      # Round one rail they do not mean to close the band.
      def closes = rail ? nil : form.areas

      def lies
        [Place::Knots.tied(form, id:, materials:, order: colours, rail:, tail: tail.to_f, width: width.to_f, bundle:,
          outside: knots == :outside)]
      end

      # Which of the materials each tied strip is, in order round the form.
      def colours = Measure::Spreading.public_send((order == :darkest_first) ? :spread : order, shares(tied))

      private

      def darkest_first? = order == :darkest_first && materials.size > 1

      # The prettiest last, so that it lies on top.
      def darkest_says
        " Evenly round the form, the darkest first: what is tied last lies on top." if darkest_first?
      end

      def sequence
        return in_turn(colours) unless darkest_first?
        counts = colours.tally
        counts.keys.sort_by { [light(materials[_1]), _1] }.map { [materials[_1].name, counts[_1]] }
      end

      # How light a colour is.
      # Source: Rec. ITU-R BT.709, the weights of luma.
      def light(material)
        red, green, blue = material.colour.to_s.scan(/\h\h/).first(3).map(&:hex)
        blue ? 0.2126 * red + 0.7152 * green + 0.0722 * blue : 128.0
      end

      def check_said
        refuse("cut", "Say how long each strip is cut, or its tails; not both.") if cut && said?(:tail)
        if cut && cut <= bar_girth
          refuse("cut", "Once round takes #{text(bar_girth)}: a strip of #{text(cut)} cannot be knotted round it.")
        end
        refuse("strips", "Say how many in all, or how many in a section; not both.") if strips && said?(:per_section)
      end

      # So many strips divided among the materials by their parts: the largest remainders get the odd ones.
      def shares(total)
        parts = mix.any? ? mix : materials.map { 1 }
        exact = parts.map { Rational(_1 * total, parts.sum) }
        counts = exact.map(&:floor)
        exact.each_index.max_by(total - counts.sum) { |i| [exact[i] - counts[i], -i] }.each { counts[_1] += 1 }
        counts
      end

      def measured_take_up
        return unless test_piece && test_piece[:cut]
        (test_piece[:cut] - test_piece[:tails]).to_f - bar_girth
      end

      def measured_pitch
        (test_piece[:covers] / test_piece[:strips]).to_f if test_piece && test_piece[:covers]
      end

      def check_rail
        return unless rail
        unless form.base == :wire
          refuse("rail", "Only a wire frame has rails; leave the rail out to tie round the whole band.")
        end
        count = form.section.rails.size
        refuse("rail", "This frame has #{count} rails; there is no rail #{rail}.") if rail > count
      end

      def check_test_piece
        return unless test_piece
        if test_piece[:cut].nil? != test_piece[:tails].nil?
          refuse("test_piece", "A test piece needs its cut length and its tails, both.")
        end
        if test_piece[:strips].nil? != test_piece[:covers].nil?
          refuse("test_piece", "Say how many strips you tied and what they cover, both.")
        end
        return unless measured_take_up
        if measured_take_up.negative?
          refuse("test_piece.tails", "The tails (#{text(test_piece[:tails])}) and once round (#{text(bar_girth)}) " \
            "come to more than the strip was cut (#{text(test_piece[:cut])}).")
        end
      end

      def guessed
        return if measured_take_up && (measured_pitch || packed_pitch || said?(:per_section))
        finding(:note, "guess", "The knot’s take-up and how closely knots pack are guesses. Tie five, measure, and " \
          "fill in the test piece before you cut them all.")
      end

      # A double knot needs as much to pull on (from memory).
      LEAST_TAIL = Rational(3, 2)

      def tails_sum
        return "next to nothing is left of it" if tail == SHORTEST
        pencil("(%l − %l once round − %l) ÷ 2", cut, bar_girth, take_up)
      end

      # As many knots as close so much of a rail.
      def side_by_side(run) = (run / pitch - 1e-9).ceil
    end
  end
end
