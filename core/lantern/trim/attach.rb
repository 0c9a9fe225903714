# frozen_string_literal: true

module Lantern
  module Trim
    # Something made or bought, fixed on at its place: picks, blooms, a sign, lights. What it weighs says
    # whether glue alone will do.
    class Attach < Trimming
      trimming :attach, title: "Something fixed on", takes: %i[piece ribbon wire],
        summary: "Picks, blooms, a sign, lights: at their place, fixed so that they hold."
      counts :pieces, :things
      hands :tack, :tie_on, :cable_tie, :sign_on, :swag
      laid :disc, :sprig, :board, :tag, :cut_out, :cord

      spread 0.0

      # What can be fixed on: what it is called in the list, what it is counted as, and how it lies.
      Thing = Value.define(:title, :unit, :lie)
      THINGS = {
        pick: Thing.new(title: "Pick", unit: :picks, lie: Place::Lie::Sprig),
        bloom: Thing.new(title: "Bloom", unit: :blooms, lie: Place::Lie::Disc),
        swag: Thing.new(title: "Swag of crossed picks", unit: :picks, lie: Place::Lie::Sprig),
        sign: Thing.new(title: "Sign", unit: :signs, lie: Place::Lie::Board),
        lights: Thing.new(title: "Lights on a battery", unit: :lights, lie: Place::Lie::Disc),
        overlay: Thing.new(title: "Ready-made wreath over everything", unit: :pieces, lie: Place::Lie::Disc),
        other: Thing.new(title: "Something else", unit: :pieces, lie: Place::Lie::Tag)
      }.freeze

      # How it can be fixed: what that is called, what it holds in grams (all from memory: pull at it before it
      # hangs), what that is said to hold, and how the hands go.
      Fixing = Value.define(:title, :holds, :holding, :says)
      FIXINGS = {
        glue: Fixing.new(title: "Glue", holds: 60, holding: "glue alone holds",
          says: "Glue it on, and hold it until it has set."),
        chenille: Fixing.new(title: "Chenille stems", holds: 400, holding: "two chenille stems hold",
          says: "Two chenille stems through it and round the form, twisted behind."),
        wire: Fixing.new(title: "Wire", holds: 2000, holding: "a wire holds",
          says: "Wire through it and round the form, twisted behind, the ends turned in."),
        ties: Fixing.new(title: "Cable ties", holds: 800, holding: "two cable ties hold",
          says: "Two cable ties through it and round the form, cut short behind; one holds a pick.")
      }.freeze

      option :what, :choice, open: true, default: :pick, label: "What", choices: THINGS.transform_values(&:title)
      option :count, :count, most: 200, label: "How many", default_says: "one, or two for a swag"
      option :weight, :weight, label: "Each weighs", help: "250 g or 8 oz; a kitchen scale says."
      option :fixing, :choice, default: :glue, label: "Fixed with", choices: FIXINGS.transform_values(&:title)
      option :at, :spot, default: 6.0, most: 12.0, label: "At, by the clock",
        help: "Twelve is the top; drag it on the drawing."
      option :drop, :length, where: {at: [:middle]}, most: 240, drawn: :cord,
        label: "Hangs in the opening by", default_says: "a third of the opening",
        help: "From the top of the inside edge down to it."
      option :cord, :reference, where: {at: [:middle]}, kinds: %i[rope ribbon wire], label: "On what cord"
      option :on, :layer, fine: true, label: "On another thing", default_says: "on the form itself"
      option :size, :length, most: 120, label: "Across",
        default_says: "a third of the face, or of the wreath for a sign"

      include Placed

      figure :pieces, :count, "To fix on", from: :count
      figure :length, :length, "Length"

      # @return [Float] grams
      def self.weight_of(options) = (options[:weight] || 0.0) * (options[:count] || usual_count(options[:what]))

      # @return [Integer] how many there are when nobody says
      def self.usual_count(what) = (what == :swag) ? 2 : 1

      def self.called(options)
        what = options[:what] || :pick
        THINGS.key?(what) ? Place::Unit.fetch(THINGS[what].unit).word(options[:count] || 1) : what
      end

      def check
        if material && !self.class.takes.include?(material.kind)
          takes = Measure::Words.list(self.class.takes, last: "or")
          refuse("material", "#{material.name} is #{material.kind}; this takes #{takes}.")
        end
        refuse_crowd(count, "count", "things")
        check_beneath
        check_drop if in_the_middle?
        cord && other(cord, %i[rope ribbon wire], "cord")
      end

      # Hung in the opening, from the top of the inside edge.
      def in_the_middle? = at == :middle

      def drop = super || (opening[3] - opening[1]).to_r.round(3) / 3

      # Round the band at the top, down and a knot (from memory).
      KNOT = 4

      def cord_length = up_to_mark(2 * drop + KNOT)

      def others = [*(@plan.material(cord) if cord)]

      def thing = THINGS.fetch(what, THINGS[:other])

      def fixed = FIXINGS.fetch(fixing)

      def count = super || self.class.usual_count(what)

      def length = 0.0

      def weighs = weight.to_f * count

      def size
        super || (material.picture_width if pictured?) ||
          {sign: form.silhouette.width / 3, swag: form.face * 2}.fetch(what, form.face / 3).to_r.round(3)
      end

      def needs = [*things, *(hung if in_the_middle? && cord)]

      def hung = Place::Need.pieces(material: cord, what: :hangers, length: cord_length, count: 1)

      def things
        return [] unless material
        return [Place::Need.items(material: material.id, what: thing.unit, count:)] if material.counted?
        [pieces_of(thing.unit, material: material.id, length: up_to_mark(size), count:)]
      end

      def working
        [
          line(:count, "How many", said?(:count) ? "as you said" : "as is usual", count.to_s),
          *(if in_the_middle?
              line(:cord, "The cord it hangs by", pencil("2 × %l + %l for the knot, up to the mark", drop, KNOT),
                text(cord_length))
            end),
          *(line(:weight, "They weigh", "#{count} × #{weight.round} g", "#{(count * weight).round} g") if weight),
          line(:holds, "Glue alone holds", "about, from memory", "#{FIXINGS[:glue].holds} g each")
        ]
      end

      def findings = [*too_heavy, *hides, *batteries, *same_place, *no_cord]

      def steps
        return [hanging] if in_the_middle?
        title = (count == 1) ? "Fix the #{word} on at #{clock}" : "Fix #{count} #{word} on, from #{clock}"
        more = {
          swag: "Cross their stems and bind them where they cross.",
          lights: "The battery box behind, where a hand reaches it."
        }[what]
        through = "Push the stems through the bow’s loops and out behind." if through_a_bow?
        [step("fix", title, [through, fixed.says, more].compact.join(" "), count: (count if count > 1),
          unit: (thing.unit if count > 1), lays: thing.unit, minutes: count * 1.5,
          move: fixing_move, look: "Pull at it: does it hold?")]
      end

      def fixing_move
        return :tack if fixing == :glue
        {sign: :sign_on, swag: :swag}.fetch(what, (fixing == :ties) ? :cable_tie : :tie_on)
      end

      def fixings
        {glue: (fixing == :glue) ? count * 1.0 : count * 0.5, chenille: (fixing == :chenille) ? count * 2.0 : 0.0,
         cable: ties, wire: wires}
      end

      # What lies over everything is to hide what is beneath.
      def hiding? = what == :overlay

      def lies
        return [in_picture, *cord_lie] if pictured?
        narrow = thing.lie == Place::Lie::Sprig
        own = word unless THINGS.key?(what)
        [thing.lie.new(layer: id, unit: thing.unit, called: own, words: own, materials: [material].compact,
          width: narrow ? size.to_f / 3 : [size.to_f, 0.2].max,
          front: places.each_with_index.map { |place, i| {points: shape(place, i)} }), *cord_lie]
      end

      private

      # A swag takes a tie and three wires (common practice).
      def ties
        return (what == :swag) ? 1 : 0 unless fixing == :ties
        count * ((what == :pick) ? 1 : 2)
      end

      def wires
        return 3 if what == :swag
        return 4 if what == :overlay && fixing != :ties
        (fixing == :wire) ? count : 0
      end

      # Picks and beads that sit on a bow are woven through it.
      def through_a_bow? = beneath&.kind == Bow && what != :sign

      def hanging
        of = @plan.material(cord)&.name || "cord"
        step("hang", "Hang the #{word} in the middle", "#{text(cord_length)} of #{of}: " \
          "round the band at the top, down #{text(drop)}, and a knot.", lays: thing.unit, minutes: 3, move: :tie_on,
          look: "Does it hang free, in the middle?")
      end

      def cord_lie
        hung = @plan.material(cord) if in_the_middle? && cord
        return unless hung
        x = (opening[0] + opening[2]) / 2
        width = (hung.diameter || hung.width).to_f
        [Place::Lie::Cord.new(layer: id, unit: :hangers, materials: [hung], width:,
          front: [{points: [[x, opening[1]], [x, opening[1] + drop.to_f]]}])]
      end

      # Left, top, right and bottom of what the inside edge leaves open.
      def opening = form.opening.box

      def check_drop
        refuse("at", "This form is open: nothing can hang in its middle.") unless form.closed?
        high = opening[3] - opening[1]
        return if drop <= high
        refuse("drop", "The opening is #{text(high)} high; a drop of #{text(drop)} reaches past it.")
      end

      def no_cord
        return unless in_the_middle? && cord.nil?
        finding(:note, "no_cord", "Say what it hangs by, and #{text(cord_length)} of it is counted.")
      end

      # What it is in words; a maker's own word stays as it is.
      def word = THINGS.key?(what) ? Place::Unit.fetch(thing.unit).word(count) : what

      def clock = Form::Clock.text(at)

      def places
        start = in_the_middle? ? 0.0 : Form::Clock.along(form, at)
        (0...count).map { |i| (what == :swag) ? start : start + i * size.to_f * 1.05 }
      end

      def pictured? = material&.cut_out?

      # As its photo shows it, upright.
      def in_picture
        Place::Lie::CutOut.new(layer: id, unit: thing.unit, called: (word unless THINGS.key?(what)),
          materials: [material], width: size.to_f, front: Place::Lie::CutOut.items(material,
            places.map { [middle_of(_1), Place::Lie::CutOut::UP] }, size))
      end

      def middle_of(along)
        return [(opening[0] + opening[2]) / 2, opening[1] + drop.to_f] if in_the_middle?
        form.path.beside(along, 0.0)
      end

      def shape(along, i)
        x, y = middle_of(along)
        half = size.to_f / 2
        case what
        when :sign
          [[-1, -0.4], [1, -0.4], [1, 0.4], [-1, 0.4]].map { |dx, dy| [x + dx * half, y + dy * half] }
        when :swag
          [-1, 1].map { |end_| [x + end_ * half * (i.even? ? 1 : -1), y + end_ * half * 0.5] }
        when :pick
          [[x, y + half * 0.9], [x + half * 0.3, y - half * 0.9]]
        else
          (thing.lie == Place::Lie::Tag) ? Place::Lie::Tag.outline(x, y, size.to_f) : [[x, y]]
        end
      end

      def too_heavy
        return unless weight && weight > fixed.holds
        better = FIXINGS.select { |_, each| each.holds >= weight }.min_by { |_, each| each.holds }&.first
        finding(:warn, "too_heavy", "#{weight.round} g is more than #{fixed.holding}, about #{fixed.holds} g.",
          try: ({"fixing" => better.to_s} if better))
      end

      def hides
        return unless what == :sign && size > form.silhouette.width / 2
        finding(:note, "hides", "The sign is #{text(size)} across: what lies behind it nobody sees. It need not be " \
          "covered there.")
      end

      def batteries
        return unless what == :lights
        finding(:note, "batteries",
          "Keep the battery box where a hand reaches it, and lamps that grow warm away from " \
          "fibre.")
      end
    end
  end
end
