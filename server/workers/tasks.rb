# frozen_string_literal: true

require "json"
require_relative "../../core/lantern"
require_relative "../storage/photo"

module Server
  class WorkerPool
    # What can be asked aside: each a question with all it needs to know, and text or bytes as its answer. None of
    # them touches anything that is kept.
    module Tasks
      # Pixels across a picture in a list: twice what is seen, for screens that have as many.
      THUMBNAIL = 256
      # What was worked out before is kept of so many workshops in a process; that of the one that asked longest ago
      # goes.
      WORKSHOPS = 3

      CACHES, CACHES_LOCK = {}, Mutex.new
      private_constant :CACHES, :CACHES_LOCK

      class << self
        # Everything that a task needs, so that no worker loads it.
        def load
          return if @loaded
          @loaded = true
          %w[carried class_cards cut_sheet doors_sheet film occasion_sheet on_door pattern_card template]
            .each { require_relative "../export/#{_1}" }
          %w[picture raster reader true_size].each { require_relative "../export/svg/#{_1}" }
        end

        # @return [(Symbol, Object)] `:done` and the answer, `:refused` and problems, `:too_much` when there was no room
        #   for it, or `:failed` and words for the log
        # @yieldparam progress [Object] of a task that takes long
        def answer(task, given, &)
          [:done, public_send(task, *given, &)]
        rescue Lantern::Problem => refused
          [:refused, refused.problems]
        rescue NoMemoryError, SystemStackError
          [:too_much, nil]
        rescue => error
          [:failed, "#{task}: #{error.class}: #{error.message}\n  #{error.backtrace.to_a.first(8).join("\n  ")}"]
        end

        # A task in this process, for those that are small and where there are no workers.
        def call(task, *given, &)
          load
          public_send(task, *given, &)
        end

        # A question that the contract declares.
        # @param answers [String] which class of the core answers it
        # @param beside [Hash{Symbol=>Object}] what it has to know besides
        # @param cached [Array(Object), nil] the workshop of which what was worked out before is kept, if it is
        def question(sent, answers, beside, cached = nil)
          beside = beside.merge(cache: cache_of(*cached)) if cached
          JSON.generate(Lantern::Ask.const_get(answers).answer(sent, **beside))
        end

        # What was worked out before of a workshop's plans, and of nobody else's.
        # @param workshop [Object] what tells it from others
        # @return [Lantern::Cache]
        def cache_of(workshop)
          CACHES_LOCK.synchronize do
            CACHES[workshop] = CACHES.delete(workshop) || Lantern::Cache.new
            CACHES.shift while CACHES.size > WORKSHOPS
            CACHES[workshop]
          end
        end

        def work(plan) = JSON.generate(Lantern.work(plan))

        # With what a wise friend would say.
        def advised(plan) = JSON.generate(Lantern.work(plan, advice: true))

        # A wreath in a line; what cannot be worked says why.
        def summary(plan)
          JSON.generate(Lantern::Answer::Summary.new(Lantern::Work.read(plan)).to_h)
        rescue Lantern::Plan::Refused => refused
          JSON.generate("problem" => refused.problems.first.says)
        end

        def occasion_advice(document) = JSON.generate("advice" => Lantern::Ask::Advice.on_occasion(document))

        # The problems of a plan or a form, if it has any.
        def check(plan) = Lantern.work(plan) && nil

        # @return [(Array, Array<Lantern::Cut::Move>, Array<Hash>)] the cut sheet, what cutting by it does to the
        #   stash, and the rests of forms that are cut
        def cutting(plan)
          work = Lantern::Work.read(plan)
          [Lantern::Answer::Worked.new(work).to_h["cut_sheet"], work.moves, rests([plan])]
        end

        def occasion(document) = JSON.generate(Lantern::Ask::Occasion.work(document))

        # @return [(Array, Array<Lantern::Cut::Move>, Array<Hash>)] as of one plan
        def occasion_cutting(document) = [*Lantern::Ask::Occasion.cutting(document), rests(document["plans"])]

        # @param of [Hash] how many are finished: `count` and those `before`
        # @return [Array<Hash>] the short form at the end of a make
        def finish_form(plan, counts, of = {}) = Lantern::Ask::Finish.new(plan, **of).form(counts)

        # @return [Hash] what a finished make took against what was planned
        def finished(plan, used, seconds, of = {})
          finish = Lantern::Ask::Finish.new(plan, **of)
          {lines: finish.lines(used), steps: finish.steps(seconds), over: finish.over(used)}
        end

        # @return [String] how a form looks, as JSON; null where it is none
        def drawn_form(form, units) = JSON.generate(Lantern::Answer::DrawnForm.of(form, units:))

        def templates(plan) = Lantern.templates(plan).map(&:to_h)

        # @return [String, nil] nil when there is no such part
        def template_svg(plan, part) = template(plan, part)&.svg

        def template_pdf(plan, part, paper) = template(plan, part)&.pdf(paper)

        def cut_sheet_pdf(plan, paper) = Export::CutSheet.new(Lantern.work(plan)).pdf(paper)

        # @param photos [Hash{String=>String}] of its materials, as data addresses
        # @param address [String, nil] where this application is, for a link that holds the plan
        def pattern_card(plan, paper, photos, address = nil)
          worked = Lantern.work(plan)
          link = address && "#{address}/#plan=#{Export::Carried.packed(Lantern::Plan::Shared.outgoing(plan))}"
          Export::PatternCard.new(worked, Svg::Picture.new(worked, plan["materials"] || [], photos), link).pdf(paper)
        end

        # @param photos [Hash{String=>String}] of its materials, as data addresses
        # @param along [Hash, nil] the plan that goes along in it
        def picture(plan, photos = {}, along = nil)
          svg = Svg::Picture.new(Lantern.work(plan), plan["materials"] || [], photos).svg
          along ? Export::Carried.into_svg(svg, along) : svg
        end

        # Small, as lists show it; as text, to be kept.
        def thumbnail(plan, photos = {}) = [Svg::Raster.webp(picture(plan, photos), wide: THUMBNAIL)].pack("m0")

        # @param address [String, nil] where this application is, where a code of the plan that goes along is wanted
        def picture_png(plan, photos, along = nil, address = nil)
          packed = along && Export::Carried.packed(along)
          link = address && packed && "#{address}/#plan=#{packed}"
          Svg::Raster.png(picture(plan, photos), notes: {Export::Carried::KEY => packed}.compact) { |drawn|
            (link && Export::PlanCode.fits?(link)) ? Export::PlanCode.into(drawn, link) : drawn
          }
        end

        # A wreath being made, as an animated picture; says on its way how many frames are done, of how many.
        # @param format [String] one of {Export::Film::FORMATS}
        # @param step [String, nil] the id of the step that is shown alone
        def film(plan, photos, format, step = nil)
          Export::Film.new(Lantern.work(plan), plan["materials"] || [], photos, step:)
            .write(format) { |done, all| yield({"done" => done, "of" => all}) if block_given? }
        end

        # @return [Hash] the plan that goes along in a picture from outside
        def carried_plan(picture) = Export::Carried.plan_in(picture)

        # @return [Hash] the plan that is packed in a link
        def linked_plan(packed) = Export::Carried.plan_of(packed)

        def cut_sheet_csv(plan) = Export::CutSheet.new(Lantern.work(plan)).csv

        def occasion_pdf(document, paper) = Export::OccasionSheet.new(Lantern::Ask::Occasion.work(document)).pdf(paper)

        def occasion_csv(document) = Export::OccasionSheet.new(Lantern::Ask::Occasion.work(document)).csv

        # What a teacher prints of an occasion.
        # @param photos [Array<Hash>] of every plan's materials, as data addresses
        def class_pdf(document, photos, paper)
          # What keeps a wreath from being worked is said by the wreath's name here, and by nothing of its plan's own.
          together = Lantern::Ask::Occasion.work(document)
          cards = document["plans"].zip(photos).map do |plan, pictures|
            worked = Lantern.work(plan)
            Export::PatternCard.new(worked, Svg::Picture.new(worked, plan["materials"] || [], pictures))
          end
          Export::ClassCards.new(together, cards).pdf(paper)
        end

        # @param at [String] where problems are
        # @param square [Boolean] whether only its middle is kept; `cut_out` whether what is clear in it stays clear
        # @return [Photo::Safe]
        def safe_picture(address, at = "picture", square = false, cut_out = false)
          Photo.safe(address, at:, square:, cut_out:)
        end

        # A place with what its photo shows; its colour is that of the photo where a wreath hangs, unless it is said.
        # @param document [Hash] as {Lantern::Door::Place} reads it
        # @param bytes [String, nil] its photo
        # @return [Hash]
        def look_at_place(document, bytes)
          return Lantern::Door::Place.look(document) unless bytes
          looked = Lantern::Door::Place.look(document, &Photo.brightness(bytes))
          about = Lantern::Door::Place.read(looked).paint_about
          {"paint" => (Photo.colour_about(bytes, *about) if about)}.compact.merge(looked)
        end

        # @param asked [Hash] as {Lantern::Ask::OnDoor} takes it
        # @param photos [Hash{String=>String}] of the wreath's materials, as data addresses
        # @param bytes [String, nil] the photo of the place
        # @param scale [Numeric, nil] as of {Export::OnDoor#jpeg}
        # @return [String] a JPEG file
        def door_picture(asked, photos, bytes, scale = nil) = Export::OnDoor.new(asked, photos, bytes).jpeg(scale:)

        # @param doors [Array<Hash>] as {Export::DoorsSheet} takes them
        def doors_pdf(name, doors, paper) = Export::DoorsSheet.new(name, doors).pdf(paper)

        # @param photo [Hash] as {Lantern::Form::FromPhoto} takes it
        # @param bytes [String] the picture
        def photo_sizes(photo, bytes)
          JSON.generate(Lantern::Form::FromPhoto.new(photo, &Photo.brightness(bytes)).to_h)
        end

        def outlines(svg) = JSON.generate("outlines" => Svg::Reader.read(svg))

        def form_svg(plan) = Svg::TrueSize.write(Lantern.work(plan))

        private

        # The rest of every form that is cut, with its name and in its plan's units.
        def rests(plans)
          plans.flat_map do |plan|
            rest = Lantern::Form::Rest.of(plan["form"]) or next []
            name = plan["materials"].find { _1["id"] == plan["form"]["material"] }["name"]
            [{name:, units: plan["units"], form: rest}] * (plan["quantity"] || 1)
          end
        end

        def template(plan, part)
          found = Lantern.templates(plan).find { _1.name == part }
          found && Export::Template.new(found, plan["units"])
        end
      end
    end
  end
end
