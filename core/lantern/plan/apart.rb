# frozen_string_literal: true

module Lantern
  module Plan
    # A plan may come from anywhere, with a material whose id another material here has already. If they are two things,
    # the plan's gets an id of its own, wherever the plan names it.
    class Apart
      # What tells one thing from another; where a plan says nothing of it, it is no other.
      TOLD_BY = %i[kind name width diameter colour].freeze

      # @param document [Hash] a plan document
      # @param ids [Hash{String=>String}] new ids of its materials by the old ones
      # @return [Hash] the plan, wherever it names one
      def self.renamed(document, ids)
        plan = Rewriting.call(document) { |value, field|
          field.is_a?(Field::Reference) ? ids.fetch(value, value) : value
        }
        {"materials" => "id", "learned" => "material"}.reduce(plan) do |now, (list, key)|
          # What is no list of objects is refused where the plan is worked.
          next now unless now[list].is_a?(Array)
          now.merge(list => now[list].map { _1.is_a?(Hash) ? _1.merge(key => ids.fetch(_1[key], _1[key])) : _1 })
        end
      end

      # @param others [Hash{String=>(Hash, String)}] materials that are here, by their ids: document and units
      # @param taken [Array<String>] the ids of all that are
      def initialize(others, taken: others.keys)
        @others, @taken = others, taken
      end

      # @param document [Hash] a plan document
      # @param before [Array<Hash>] its materials as they were last kept; what is as it was then is the same thing still
      # @return [(Hash, Hash{String=>String})] the plan, and the new ids by the old ones
      def call(document, before: [])
        units = document["units"]
        kept = before.to_h { [_1["id"], _1] }
        taken = [*@taken, *Array(document["materials"]).map { _1["id"] }]
        ids = Array(document["materials"]).filter_map { |material|
          id = material["id"]
          next unless @others.key?(id) && other?(material, units, kept[id])
          [id, free(id, taken).tap { taken << _1 }]
        }.to_h
        [ids.empty? ? document : Apart.renamed(document, ids), ids]
      end

      private

      # What cannot be read is told apart from nothing.
      def told(material, units)
        Material.check(material, units:).to_h.slice(*TOLD_BY)
      rescue Refused
        nil
      end

      def other?(material, units, kept)
        own, here = told(material, units), told(*@others[material["id"]])
        return false if own.nil? || here.nil? || own.none? { |what, said| !said.nil? && said != here[what] }
        # Only then it matters whether it was so before.
        kept.nil? || own != told(kept, units)
      end

      def free(id, taken) = (2..).lazy.map { "#{id[0, 54]}-#{_1}" }.find { !taken.include?(_1) }
    end
  end
end
