# frozen_string_literal: true

module Lantern
  module Place
    # How a way of lying looks: its marks, the undermost first. Whoever draws prints these marks ({Print}) and knows no
    # kind by name; what a piece hides and how far it reaches follow from them.
    #
    #   looks order: :any do
    #     area "M0 -.5 L1 -1 L1 1 L0 .5 Z", frame: :ends, edge: 0.06
    #     line "M.1 0 L.8 0", frame: :ends, width: 0.1, opacity: 0.5
    #   end
    #
    # A place in a path is `along across`. What that means says the frame ({Frame}); on a leg, `along` is a share of its
    # length, or with a `w` of half the strip's width (`1-.8w`), and `across` is in halves of the width. Widths and
    # edges of marks are in halves of the width too.
    class Look
      # One mark. `paint` is `material`, `ink`, `light` or `accent`; `edge` the width of the line round an area, `along`
      # where lines run along a strip, as shares of the way across it.
      Mark = Value.define(:shape, :frame, :path, :paint, :opacity, :width, :edge, :side, :near, :along, :grain) do
        # Whether it is of the piece's own stuff, and so hides what lies beneath.
        def solid? = shape == :area && paint == :material && opacity == 1

        # Whether it is drawn where the piece is seen from its far side, through the form.
        def far? = paint == :material && !near

        def to_h
          {"shape" => shape.to_s, "frame" => frame.to_s, "path" => path, "paint" => paint.to_s, "opacity" => opacity,
           "width" => width, "edge" => edge, "side" => side&.to_s, "near" => near || nil, "along" => along,
           "grain" => grain || nil}.compact
        end
      end

      # `:beside`: its pieces lie beside one another. `:any`: which lies over which does not matter. `:kept`: each lies
      # over those before it.
      ORDERS = %i[beside any kept].freeze

      # @return [Array<Mark>]
      attr_reader :marks
      # @return [Symbol] one of {ORDERS}
      attr_reader :order
      # @return [Float, nil] half its width at most so much of its length
      attr_reader :slender
      # @return [Float] by how many degrees every piece is turned against the one before it
      attr_reader :turn

      # @param coat [Boolean] whether it is a colour on the form itself
      # @param round [Boolean] whether light lies on it as on a cord
      def initialize(order: :beside, slender: nil, turn: 0, coat: false, round: false, &declared)
        @order, @slender, @turn, @coat, @round = order, slender, turn, coat, round
        raise ArgumentError, "“#{order}” is no order: #{ORDERS.join(", ")}." unless ORDERS.include?(order)
        @marks = []
        instance_eval(&declared) if declared
        @marks.freeze
      end

      def coat? = @coat

      def round? = @round

      # How far its marks lie beyond the points of a piece, in halves of the width.
      # @return [Float]
      def beyond = @beyond ||= marks.map { beyond_of(_1) }.max || 0.0

      # @return [Array<Mark>] those that hide what lies beneath
      def solids = @solids ||= marks.select(&:solid?)

      # @return [Hash] as the declarations publish it
      def to_h
        {"order" => order.to_s, "slender" => slender, "turn" => turn, "coat" => @coat || nil, "round" => @round || nil,
         "marks" => marks.map(&:to_h)}.compact
      end

      private

      # An area, filled; without a path the outline of the piece's own points.
      def area(path = nil, frame: :points, paint: :material, opacity: 1, edge: nil, **more)
        mark(:area, path, frame:, paint:, opacity:, edge:, **more)
      end

      # A line; without a path the one through the piece's own points.
      def line(path = nil, width:, frame: :points, paint: :ink, opacity: 1, **more)
        mark(:line, path, frame:, paint:, opacity:, width:, **more)
      end

      def mark(shape, path, frame:, paint:, opacity:, width: nil, edge: nil, side: nil, near: false, along: nil,
        grain: false)
        Frame::ALL.fetch(frame)
        @marks << Mark.new(shape:, frame:, path: path && Path.read(path), paint:, opacity:, width:, edge:, side:, near:,
          along:, grain:)
      end

      def oval(...) = Path.oval(...)

      def beyond_of(mark)
        return (mark.width || mark.edge || 0) / 2.0 unless mark.path && %i[legs ends round].include?(mark.frame)
        mark.path.flat_map { |letter, *places|
          next [1.0] if letter == "A"
          places.map { |along, halves, across| far(mark, along, halves, across) }
        }.max
      end

      def far(mark, along, halves, across)
        return Math.hypot(along + halves, across) if mark.frame == :round
        [across.abs, (halves if along >= 1), (-halves if along <= 0)].compact.max
      end
    end
  end
end
