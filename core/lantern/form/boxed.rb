# frozen_string_literal: true

module Lantern
  module Form
    # What shapes share that are known by their width and height over all and by their face. The
    # middle of the band fits into a box that is a face smaller both ways, since every edge and
    # every rounded corner of the outside lies half a face from it.
    #
    # A string can stand in for any of them: the run says how large the form is, the girth how wide
    # its band, and what nobody said has the proportions of a typical form.
    #
    # @abstract a subclass answers `trace(width, height)`: its middle path in a box of that size, about
    #   nought; and perhaps {#check_own}
    class Boxed < Shape
      # Declares the sizes. A shape whose height follows from its width has none of its own.
      # @param corners [Boolean] whether it has any, so that they may be pointed or rounded
      def self.box(height: true, corners: false)
        size :width, label: "Width, over all", help: "Across it at its widest, outside edge to outside edge."
        size :height, label: "Height, over all", help: "From its lowest to its highest point." if height
        size :face, label: "Face", help: "Across the band, from edge to edge."
        sizes << Reader::CORNERS if corners
      end

      def check
        check_known
        check_strings
        check_own
        smallest = [width, height].min
        if face >= smallest / 2
          refuse("face", "A face of #{text(face)} leaves no middle in a form #{text(smallest)} across.")
        end
        if path.tightest_radius < face / 2 - 1e-9
          refuse("face", "The band (#{text(face)} across) is wider than the tightest bend allows " \
            "(#{text(path.tightest_radius)} along its middle): the inside edge would fold over itself.")
        end
        if path.edge(-face / 2) <= 0
          refuse("face", "With a face of #{text(face)} nothing is left of the inside edge.")
        end
      end

      # What a shape has to say of its own sizes, once all of them are known.
      # @raise [Plan::Refused]
      def check_own = nil

      def face = @face ||= (sizes[:face] || girth_face || edges_face).to_f

      def path = @path ||= sized_by_string(pointed? ? with_points : trace(width - face, height - face))

      def dimensions
        left, top, right, bottom = path.reach(face / 2)
        [{about: "form.width", from: [left, bottom], to: [right, bottom], length: right - left},
          ({about: "form.height", from: [right, top], to: [right, bottom], length: bottom - top} if own_height?),
          across_band].compact
      end

      private

      # Bent wire and cut board meet in a point at a corner, foam and vine go round it.
      def pointed? = self.class.sizes.include?(Reader::CORNERS) && Base.pointed?(sizes)

      # How often the middle is drawn anew until its points stand where the sizes say.
      TRIES = 60
      CLOSE = 1e-9
      private_constant :TRIES, :CLOSE

      # Sizes are over all, points included: the middle is drawn smaller by as much as they stick out.
      def with_points
        wide, high = width - face, height - face
        TRIES.times do
          drawn = trace(wide, high).cornered(true)
          left, top, right, bottom = drawn.reach(face / 2)
          over_wide = right - left - width
          over_high = own_height? ? bottom - top - height : 0.0
          if over_wide.abs < CLOSE && over_high.abs < CLOSE || string
            return drawn.placed(x: -(left + right) / 2, y: -(top + bottom) / 2)
          end
          wide -= over_wide
          high -= own_height? ? over_high : over_wide
          no_room_for_points if [wide, high].min <= 0
        end
        no_room_for_points
      end

      def no_room_for_points = refuse("face", "With a face of #{text(face)} the points alone reach farther than the " \
        "form is large.")

      # The face, where the tape is laid across the band: a quarter of the way round.
      def across_band
        along = path.length / 4
        {about: "form.face", from: path.beside(along, -face / 2), to: path.beside(along, face / 2), length: face,
         across: true}
      end

      def own_height? = self.class.sizes.any? { _1.name == :height }

      def width = (sizes[:width] || typical(:width)).to_f

      def height = (sizes[:height] || (own_height? ? typical(:height) : width)).to_f

      # A size that nobody said, in the proportions of a typical form: against the size that was
      # said, or else against the string.
      def typical(name)
        usual = self.class.typical
        known = %i[width height].find { sizes[_1] }
        usual[name] * (known ? sizes[known].to_f / usual[known] : string / typical_run)
      end

      def typical_run = @typical_run ||= self.class.new(@sizes.merge(measured: nil, **self.class.typical),
        units: @units).path.length

      # A string along the middle, or along both edges, says how large the form really is.
      def sized_by_string(path) = string ? path.scaled(string / path.length) : path

      def string = measured[:run] || edges_mean

      def edges_mean
        inside, outside = measured.values_at(:inside_run, :outside_run)
        (inside + outside) / 2 if inside && outside
      end

      # Half the difference of both edges, over one turn.
      # Source: parallel curves (Steiner).
      def edges_face
        inside, outside = measured.values_at(:inside_run, :outside_run)
        (outside - inside) / (2 * Math::PI) if inside && outside
      end

      def check_known
        wanted = [:width, (:height if own_height?)].compact
        missing = wanted.find { !sizes[_1] } unless string
        missing ||= :face unless sizes[:face] || girth_face || edges_face
        if missing
          refuse(missing, "#{self.class.sizes.find { _1.name == missing }.label} is missing; a string along the " \
            "middle and one round the band would do as well.")
        end
      end

      def check_strings
        runs = measured.values_at(:inside_run, :run, :outside_run).compact
        if runs != runs.sort || runs.uniq != runs
          refuse("measured.inside_run", "Along the inside a string must be shorter than along the middle, and there " \
            "shorter than along the outside.")
        end
        if !sizes[:face] && girth_face && girth_face <= 0
          refuse("measured.girth", "#{text(measured[:girth])} round the band is too little for such a base.")
        end
      end
    end
  end
end
