import type { Plan, WorkedMaterial, WorkedPlan } from "../keep/client"
import { useStash } from "../keep/queries"
import { useQuestion } from "../keep/useQuestion"
import { offerSays } from "../pieces/offerSays"
import { MoneyTerms } from "../pieces/MoneyTerms"
import { Working } from "../pieces/Working"
import { Findings } from "./Findings"
import { ofAdvice, ofFinding } from "./judgements"
import { knownMaterials, withMaterials } from "./layers"
import { Purchase } from "./Purchase"
import type { StageProps } from "./stageProps"
import { money } from "../pieces/money"

/** What is in hand, what to buy in whole packages, what it comes to and what is left. */
export function BuyStage(props: StageProps) {
  const { plan, worked, problems, declarations, onChange } = props
  if (!worked) return null
  const needed = worked.materials.filter((material) => material.needed > 0)
  const pay = worked.cost.to_pay ?? worked.cost.to_buy
  return (
    <section aria-label="Buy">
      <h2 className="text-xl">{Number(pay) === 0 ? "Nothing to buy" : `${money(pay)} to pay`}</h2>
      <p className="text-quiet">
        {whereItGoes(worked.cost)}
        {worked.cost.asking_price && ` Ask ${money(worked.cost.asking_price)} for one.`}
      </p>
      <Friend {...props} worked={worked} />
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

/** What is bought and taken from the stash, and where it goes: both sides come to the same. */
function whereItGoes({ to_buy, to_pay, from_stash, used, left_over, scraps }: WorkedPlan["cost"]): string {
  const some = (amount: string, says: string) => (Number(amount) === 0 ? [] : [`${money(amount)} ${says}`])
  const into = [
    ...some(to_buy, to_pay === undefined ? "bought" : "bought before tax"),
    ...some(from_stash, "from the stash"),
  ]
  const out = [`${money(used)} goes into the work`, ...some(left_over, "is left over"), ...some(scraps, "is scraps")]
  return `${into.length > 0 ? `${into.join(" and ")}: ` : ""}${out.join(", ")}.`
}

/** What a wise friend would say before anything is bought, and what is short. */
function Friend({ plan, worked, problems, declarations, onChange }: StageProps & { worked: WorkedPlan }) {
  const known = knownMaterials(plan, useStash(plan.units).data ?? [])
  const advice = useQuestion("/ask/advice", problems.length === 0 ? plan : undefined).data?.advice ?? []
  const findings = worked.materials.flatMap((material) => material.findings)
  const judgements = [
    ...findings.map((each, i) => ({ ...ofFinding(each, "materials", plan, [], []), key: `${each.at}.${i}` })),
    ...advice.map((each) => ofAdvice(each, plan, declarations.coverings, (next) => withMaterials(next, known))),
  ]
  return <Findings judgements={judgements} plan={plan} worked={worked} onChange={onChange} />
}

/** The offers of a material as a maker would say them. */
function offersOf(plan: Plan, worked: WorkedPlan, material: WorkedMaterial): string[] {
  const place = plan.materials?.findIndex((each) => each.id === material.id) ?? -1
  return (plan.materials?.[place]?.offers ?? []).map((offer, index) =>
    offerSays(offer, `materials.${place}.offers.${index}`, worked.lengths),
  )
}
