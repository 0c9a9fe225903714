# frozen_string_literal: true

module Lantern
  module Plan
    # What of a plan goes along with its picture to somebody else, and how it is taken in there: the form, the layers,
    # the steps, and what its materials are; nothing of what a maker owns, learned or earns.
    module Shared
      OWN = %w[money currency budget learned paces today smallest_remnant].freeze
      OWN_OF_MATERIAL = %w[on_hand notes picture picture_width offers].freeze
      # An offer as it goes along where prices do.
      OFFER = %w[length width count price].freeze
      private_constant :OWN, :OWN_OF_MATERIAL, :OFFER

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
