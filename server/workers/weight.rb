# frozen_string_literal: true

require_relative "../../core/lantern"

module Server
  # What makes a question heavy: told from what is asked, before it is worked out. It decides what is answered aside,
  # and what a maker is told when there was not time enough.
  class Weight
    # A plan with no more than these is small, and is worked where it arrives.
    MOST = {alike: 3, layers: 6, materials: 12, on_hand: 40, corners: 40, parts: 3}.freeze
    # Lengths of a form, and between which of them a plan is small, in its own units.
    LENGTHS = %w[outside inside width height face].freeze
    SIZES = 0.4..80

    # @param document [Object] a plan, an occasion, or whatever was sent in their place
    def initialize(document)
      @document = document.is_a?(Hash) ? document : {}
    end

    def small? = over.empty? && size.nil? && !plans?

    # @param seconds [Numeric] how long it was given
    # @return [Lantern::Problem::Entry]
    def problem(seconds)
      at, what = reasons.first
      Lantern::Problem::Entry.new(at: at || "",
        says: "This was not worked out within #{seconds} seconds and was stopped, so that nothing else has to wait. " \
          "What makes it heavy: #{what || "all of it together"}. Nothing was changed; with less of that it is quick.")
    end

    private

    def plans? = @document["plans"].is_a?(Array)

    # @return [Array<(String, String)>] places and what is there, the heaviest first
    def reasons
      wreaths = ["plans", "#{@document["plans"].size} wreaths on one occasion"] if plans?
      [*([wreaths] if wreaths), *(size ? [size] : []), *over.sort_by { |_, (_, _, share)| -share }
        .map { |_, (at, says, _)| [at, says] }]
    end

    # What goes beyond {MOST}: where it is, in words, and by how much.
    def over
      @over ||= counted.select { |kind, (_, count)| count > MOST.fetch(kind) }
        .to_h { |kind, (at, count)| [kind, [at, words(kind, count), count.fdiv(MOST.fetch(kind))]] }
    end

    def counted
      {alike: ["quantity", number(@document["quantity"])], layers: ["layers", list("layers").size],
       materials: ["materials", list("materials").size],
       on_hand: ["materials", list("materials").sum { _1.is_a?(Hash) ? Array(_1["on_hand"]).size : 0 }],
       corners: ["form.points", Array(form["points"]).size], parts: ["form.parts", Array(form["parts"]).size]}
    end

    def words(kind, count)
      {alike: "#{count} wreaths alike", layers: "#{count} layers", materials: "#{count} materials",
       on_hand: "#{count} lengths on hand", corners: "an outline of #{count} corners",
       parts: "#{count} joined parts"}.fetch(kind)
    end

    # A size of the form that is far from any common one.
    def size
      name, value = form.slice(*LENGTHS).find { |_, each| each.is_a?(Numeric) && !SIZES.cover?(each) }
      ["form.#{name}", "a form whose #{name.tr("_", " ")} is #{value}"] if name
    end

    def form = @document["form"].is_a?(Hash) ? @document["form"] : {}

    def list(name) = @document[name].is_a?(Array) ? @document[name] : []

    def number(value) = value.is_a?(Integer) ? value : 0
  end
end
