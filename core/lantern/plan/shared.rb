# frozen_string_literal: true

module Lantern
  module Plan
    # What of a plan goes along with its picture to somebody else, and how it is taken in there: the form, the layers,
    # the steps, and what its materials are; nothing of what a maker owns, learned or earns.
    module Shared
      OWN = %w[money currency budget learned paces today smallest_remnant].freeze
      OWN_OF_MATERIAL = %w[on_hand notes picture picture_width cut_out offers tried].freeze
      # An offer as it goes along where prices do.
      OFFER = %w[length width count price].freeze
      # Of so many at most is asked which it is.
      MOST_LIKE = 4
      private_constant :OWN, :OWN_OF_MATERIAL, :OFFER, :MOST_LIKE

      module_function

      # @param document [Hash] a plan document
      # @param prices [Boolean] whether what its materials cost goes along
      # @return [Hash] a plan document
      def outgoing(document, prices: false)
        materials = Array(document["materials"]).grep(Hash).map do |material|
          offers = Array(material["offers"]).grep(Hash).map { _1.slice(*OFFER) }
          material.except(*OWN_OF_MATERIAL).merge(prices ? {"offers" => offers} : {})
        end
        document.except(*OWN).merge("materials" => materials, **(prices ? document.slice("currency") : {}))
      end

      # With what is known here in the place of what is the same thing: of one kind, name, width and thickness.
      # @param document [Hash] a plan document from elsewhere
      # @param stash [Hash{String=>(Hash, String)}] what is known here, by its ids: document and units
      # @return [Hash] a plan document
      def incoming(document, stash)
        known = stash.transform_values { |material, units| told(material, units) }
        free = known.keys
        ids = Array(document["materials"]).grep(Hash).filter_map { |material|
          own = told(material, document["units"]) or next
          id = free.find { known[_1] == own } or next
          free.delete(id)
          [material["id"], id]
        }.to_h
        ids.empty? ? document : Apart.renamed(document, ids)
      end

      # What of a plan from elsewhere may be something that is known here under another name: of the same kind, width
      # and thickness.
      # @param document [Hash] a plan document, as {incoming} answers it
      # @param stash [Hash{String=>(Hash, String)}] as of {incoming}
      # @return [Array<Hash>] ready for JSON: the `id` and `name` of each, and those it may be `like`
      def unsure(document, stash)
        known = stash.transform_values { |material, units| told(material, units)&.except(:name) }
        Array(document["materials"]).grep(Hash).filter_map do |material|
          own = told(material, document["units"])&.except(:name)
          next if own.nil? || stash.key?(material["id"])
          like = known.select { _2 == own }.keys.first(MOST_LIKE).map { {"id" => _1, "name" => stash[_1][0]["name"]} }
          {"id" => material["id"], "name" => material["name"], "like" => like} if like.any?
        end
      end

      # With materials of the stash in the place of some of its own.
      # @param ids [Hash{String=>String}] theirs by those of its own
      # @param stash [Hash{String=>Hash}] documents by their ids
      # @return [Hash] a plan document
      def instead(document, ids, stash)
        plan = Apart.renamed(document, ids)
        taken = plan["materials"].map { ids.value?(_1["id"]) ? stash.fetch(_1["id"]) : _1 }
        plan.merge("materials" => taken.uniq { _1["id"] })
      end

      # What cannot be read is the same as nothing.
      def told(material, units)
        Material.check(material, units:).to_h.slice(:kind, :name, :width, :diameter)
      rescue Refused
        nil
      end
      private_class_method :told
    end
  end
end
