import type { Plan, WorkedMaterial, WorkedPlan } from "../keep/client"
import { useShop } from "../keep/queries"
import { offerSays } from "../pieces/offerSays"
import { MoneyTerms } from "../pieces/MoneyTerms"
import { Working } from "../pieces/Working"
import { Purchase } from "./Purchase"
import type { StageProps } from "./stageProps"

/** What is in hand, what to buy in whole packages, what it comes to and what is left. */
export function BuyStage({ plan, worked, problems, declarations, onChange }: StageProps) {
  if (!worked) return null
  const needed = worked.materials.filter((material) => material.needed > 0)
  const pay = worked.cost.to_pay ?? worked.cost.to_buy
  return (
    <section aria-label="Buy">
      <h2 className="text-xl">{Number(pay) === 0 ? "Nothing to buy" : `${pay} to pay`}</h2>
      <p className="text-quiet">
        {worked.cost.used} worth of material goes into the work, by length; {worked.cost.left_in_stash} worth is left
        over.{worked.cost.asking_price && ` Ask ${worked.cost.asking_price} for one.`}
      </p>
      <SaleSays plan={plan} worked={worked} />
      {needed.length === 0 && <p className="py-2 text-quiet">Nothing is needed yet: choose a covering first.</p>}
      {needed.map((material) => (
        <Purchase key={material.id} material={material} says={offersOf(plan, worked, material)}>
          <Working lines={material.working} />
        </Purchase>
      ))}
      <MoneyTerms
        fields={declarations.money}
        money={plan.money}
        problems={problems}
        onChange={(money) => onChange({ ...plan, money })}
      />
      <div className="mt-3">
        <Working lines={worked.cost_working} caption="The money" />
      </div>
    </section>
  )
}

/** What the sale weeks of the simulated shop would change. */
function SaleSays({ plan, worked }: { plan: Plan; worked: WorkedPlan }) {
  const shop = useShop().data
  const cheaper = worked.materials.some((material) =>
    material.buy.some(
      (buy) => plan.materials?.find((own) => own.id === material.id)?.offers?.[buy.offer]?.sale_price !== undefined,
    ),
  )
  if (!shop || !cheaper || (plan.money as { sale?: boolean } | undefined)?.sale) return null
  return (
    <p className="text-sm text-quiet">
      {shop.on_sale
        ? "It is a sale week at the made-up shop: try “Buy at sale prices” below."
        : `The next sale week of the made-up shop begins on ${shop.sale}.`}
    </p>
  )
}

/** The offers of a material as a maker would say them. */
function offersOf(plan: Plan, worked: WorkedPlan, material: WorkedMaterial): string[] {
  const place = plan.materials?.findIndex((each) => each.id === material.id) ?? -1
  return (plan.materials?.[place]?.offers ?? []).map((offer, index) =>
    offerSays(offer, `materials.${place}.offers.${index}`, worked.lengths),
  )
}
