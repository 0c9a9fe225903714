# frozen_string_literal: true

module Server
  class Store
    # Wreaths whose plans come from somebody else: what of them is in this stash already.
    module FromElsewhere
      # A plan from elsewhere, with what is in the stash in the place of what is the same.
      # @return [Hash] as of {Wreaths#add}; what may be in the stash under another name stands under `unsure`
      # @raise [Problem]
      def take_in(plan)
        Wreaths.showable(plan)
        stash = @materials.documents(@materials.ids)
        wreath = add(Lantern::Plan::Shared.incoming(plan, stash))
        unsure = Lantern::Plan::Shared.unsure(wreath["plan"], stash)
        wreath.merge({"unsure" => (unsure if unsure.any?)}.compact)
      end

      # Takes materials of the stash in the place of some that a plan brought along.
      # @param ids [Hash{String=>String}] theirs by those of the plan
      # @raise [Missing, Outdated, Problem]
      def instead(id, version, ids)
        plan = find(id)["plan"]
        stash = @materials.all(plan["units"]).filter_map { _1["material"] }.to_h { [_1["id"], _1] }
        unknown = ids.values - stash.keys
        raise Problem.at("instead", "That is not in the stash any more: choose again.") if unknown.any?
        change(id, version, Lantern::Plan::Shared.instead(plan, ids, stash))
      end
    end
  end
end
