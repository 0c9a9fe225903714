# frozen_string_literal: true

require_relative "cut_sheet"
require_relative "plan_code"
require_relative "frames"

module Server
  module Export
    # A page to hand out: the picture, what to buy, what to cut, the steps, the cautions.
    class PatternCard < CutSheet
      # The picture's share of the page's width, and room left between the columns.
      SHARE = 0.46
      BETWEEN = 18
      # No picture is higher, in points.
      HIGHEST = 300
      # Across the picture: 240 to an inch.
      PIXELS = 800
      LENGTH_MARK = 10
      # Moves that everybody knows, or nobody but the maker: they are not shown.
      UNSHOWN = %w[own look].freeze

      # @param worked [Hash] a worked plan
      # @param picture [Svg::Picture] of the same
      # @param link [String, nil] one that holds the plan, for the code
      def initialize(worked, picture, link = nil)
        super(worked)
        @picture, @link = picture, link
      end

      private

      def subject = "pattern card"

      def write(pdf)
        head(pdf)
        steps(pdf)
        cautions(pdf)
        code(pdf) if @link
      end

      # The plan, to be taken in by whoever gets the card.
      def code(pdf)
        return pdf.text("This plan is too long for a code: its picture carries it.") unless PlanCode.fits?(@link)
        pdf.move_down 10
        pdf.start_new_page if pdf.cursor < PlanCode::SIDE
        PlanCode.draw(pdf, @link, "This wreath's plan: the form, the layers, the steps and what the materials are, " \
          "without anybody's prices or stash. Read the code with a phone, and open its link in Crisp Lantern or " \
          "paste it under the list: it is a wreath there.")
      end

      # The picture, and beside it what it takes.
      def head(pdf)
        pdf.move_down 8
        top = pdf.cursor
        wide = pdf.bounds.width * SHARE
        drawn = [wide, HIGHEST * @picture.proportion].min
        png = Svg::Raster.png(@picture.svg, wide: PIXELS)
        pdf.image(StringIO.new(png), at: [(wide - drawn) / 2, top], width: drawn)
        foot = top - drawn / @picture.proportion
        foot = legend(pdf, foot - 6, wide)
        beside = [wide + BETWEEN, pdf.bounds.width - wide - BETWEEN]
        pdf.bounding_box([beside[0], top], width: beside[1]) { takes(pdf) }
        pdf.move_cursor_to [foot, pdf.cursor].min
      end

      def legend(pdf, top, width)
        @picture.legend.each do |says, colours|
          colours.first(3).each_with_index do |colour, i|
            pdf.fill_color colour.delete("#")
            pdf.fill_and_stroke_rectangle [i * 14, top], 12, 8
          end
          pdf.fill_color "000000"
          pdf.text_box glyphs(says), at: [50, top + 1], width: width - 50, height: 11, size: 8.5,
            overflow: :shrink_to_fit
          top -= 13
        end
        top
      end

      def takes(pdf)
        pdf.text glyphs(form_says), style: :bold
        pdf.text glyphs("#{time} at the bench#{", #{@worked["quantity"]} alike" if @worked["quantity"] > 1}"),
          color: "555555"
        heading(pdf, "You need")
        used = @worked["materials"].select { _1["needed"].positive? }
        used.each { |each| pdf.text glyphs("#{each["name"]}: #{each["needed_says"]}#{bought(each)}") }
        held = @worked["fixings"].reject { _1["material"] }.map { "#{_1["says"]} (#{_1["for"]})" }
        pdf.text glyphs(held.join(", ")) if held.any?
        heading(pdf, "Have ready")
        pdf.text glyphs(Lantern::Measure::Words.sentence(@worked["tools"].join(", ")))
        cutting(pdf)
      end

      # The form and its sizes: "Ring, wire: outside 14 in, inside 8 in".
      def form_says
        sizes = @worked["lengths"].select { |place, _| place.match?(/\Aform\.[a-z_]+\z/) }
          .map { |place, says| "#{place.delete_prefix("form.").tr("_", " ")} #{says}" }
        "#{@worked["form"]["shape"].capitalize}, #{@worked["form"]["base"]}: #{sizes.join(", ")}"
      end

      def time = duration(@worked["minutes"])

      def duration(minutes)
        hours, minutes = minutes.divmod(60)
        return "#{minutes} min" if hours.zero?
        minutes.zero? ? "#{hours} h" : "#{hours} h #{minutes} min"
      end

      # How it is bought by somebody who has nothing yet is not said: what this maker buys is.
      def bought(material)
        packages = material["buy"].sum { _1["count"] }
        packages.zero? ? "" : " (buy #{Lantern::Measure::Words.count(packages, "package")})"
      end

      def heading(pdf, says)
        pdf.move_down 8
        pdf.text says, size: 11, style: :bold
      end

      # What is cut, measured; from what, the cut sheet says.
      def cutting(pdf)
        cut = @worked["steps"].find { _1["id"] == "cut" }
        return unless cut
        heading(pdf, "Cut")
        cut["takes"].each { |each| pdf.text glyphs("#{each["name"]}: #{each["says"]}") }
      end

      def steps(pdf)
        heading(pdf, "Make")
        @shown = {}
        @worked["steps"].each_with_index do |step, i|
          pdf.start_new_page if pdf.cursor < 48 + (shown?(step) ? Frames.room(pdf) : 0)
          pdf.text glyphs("#{i + 1}. #{step["title"]}#{counted(step)}"), style: :bold
          pdf.indent(14) do
            pdf.text glyphs(taken(step)), color: "555555" if step["takes"] && step["id"] != "cut"
            pdf.text glyphs(step["says"])
            pdf.text glyphs(order(step["sequence"])), color: "555555" if step["sequence"]
            [changes(step), waits(step)].compact.each { pdf.text glyphs(_1), color: "555555" }
            moves(pdf, step)
          end
          pdf.move_down 3
        end
      end

      # Whether it has a move that was not shown yet.
      def shown?(step) = moves_of(step).any? { !@shown[_1] }

      def moves_of(step) = (step["moves"] || [step["move"]]) - UNSHOWN

      # How the hands go, each move where it first comes.
      def moves(pdf, step)
        moves_of(step).each do |key|
          before = @shown[key]
          next pdf.text("#{Lantern::Place::Move.fetch(key).says}: as in step #{before}.", color: "555555") if before
          @shown[key] = @worked["steps"].index(step) + 1
          Frames.new(Lantern::Place::Move.fetch(key), measures: step["shows"] || {},
            colours: (step["of"] || []).map { @picture.colour(_1) }).draw(pdf) { glyphs(_1) }
        end
      end

      def counted(step)
        count, one, many = step.values_at("count", "unit_one", "unit")
        count ? " (#{Lantern::Measure::Words.count(count, one, many)})" : ""
      end

      # Where one length ends and the next begins.
      def changes(step)
        return unless step["changes"]&.any?
        after = Lantern::Measure::Words.list(step["changes"])
        "The next length begins after #{after} #{step["unit"]}."
      end

      # What can be made up while it dries, by the numbers of the steps.
      def waits(step)
        return unless step["waits"]
        numbers = step["meanwhile"].map { |id| @worked["steps"].index { _1["id"] == id } + 1 }
        also = " Meanwhile: #{(numbers.size == 1) ? "step" : "steps"} #{Lantern::Measure::Words.list(numbers)}." if
          numbers.any?
        "It dries for about #{duration(step["waits"])}, as the label says.#{also}"
      end

      def taken(step) = step["takes"].map { "#{_1["name"]}: #{_1["says"]}" }.join("; ")

      # Which colour after which: as far as it takes to see how it goes on.
      def order(sequence)
        said = sequence.first(LENGTH_MARK).map { "#{_1["count"]} #{_1["says"]}" }.join(", ")
        "In this order: #{said}#{(sequence.size > LENGTH_MARK) ? " and so on." : "."}"
      end
    end
  end
end
