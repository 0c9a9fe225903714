import { Link } from "react-router"
import type { Plan, WorkedMaterial, WorkedPlan } from "../keep/client"
import { useQuestion } from "../keep/useQuestion"
import { offerSays } from "../pieces/offerSays"
import { MoneyTerms } from "../pieces/MoneyTerms"
import { Working } from "../pieces/Working"
import { Findings } from "./Findings"
import { ofAdvice, ofFinding } from "./judgements"
import { withMaterials } from "./layers"
import { useKnownMaterials } from "./useKnownMaterials"
import { PaidPrice } from "./PaidPrice"
import { Purchase } from "./Purchase"
import type { StageProps } from "./stageProps"
import { money } from "../pieces/money"
import { Problem } from "../pieces/Problem"

/** What is in hand, what to buy in whole packages, what it comes to and what is left. */
export function BuyStage(props: StageProps) {
  const { plan, worked, problems, declarations, onChange, bench, onTick } = props
  const advice = useAdvice(props)
  if (!worked) return null
  const needed = worked.materials.filter((material) => material.needed > 0)
  const pay = worked.cost.to_pay ?? worked.cost.to_buy
  // What the friend says of a material’s last package, its line does not say again.
  const insured = advice.filter(({ code }) => code === "insurance").map(({ material }) => material)
  return (
    <section aria-label="Buy">
      <h2 className="text-xl">{Number(pay) === 0 ? "Nothing to buy" : `${money(pay)} to pay`}</h2>
      <p className="text-quiet">
        {whereItGoes(worked.cost)}
        {worked.cost.asking_price && ` Ask ${money(worked.cost.asking_price)} for one.`}
      </p>
      <Friend {...props} worked={worked} advice={advice} />
      {needed.length === 0 && <p className="py-2 text-quiet">Nothing is needed yet: choose a covering first.</p>}
      {needed.map((material) => (
        <Purchase
          key={material.id}
          material={insured.includes(material.id) ? { ...material, reason: undefined } : material}
          says={offersOf(plan, worked, material)}
          ticked={bench.ticks.includes(inBasket(material))}
          onTick={bench.cut ? undefined : (ticked) => onTick(inBasket(material), ticked)}
          paid={bench.cut ? undefined : paidFor(props, material)}
        >
          <Working lines={material.working} />
        </Purchase>
      ))}
      <Bought {...props} worked={worked} />
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

/** The place of its tick on the list for the shop. */
const inBasket = ({ id }: WorkedMaterial) => `buy.${id}`

/** Where the price of a package is typed that differs at the shop. */
function paidFor({ plan, onChange }: StageProps, { id }: WorkedMaterial) {
  const material = plan.materials?.find((each) => each.id === id)
  return material && ((offer: number) => <PaidPrice {...{ plan, material, offer, onChange }} />)
}

/** From the shop: what is ticked, or all of it, is in the stash now, and the wreath goes on. */
function Bought({
  worked,
  bench,
  problems,
  bought,
  onBuy,
  onTick,
  refused,
  id,
}: StageProps & { worked: WorkedPlan }) {
  const wanted = worked.materials.filter(({ buy }) => buy.length > 0)
  const ticked = wanted.filter((material) => bench.ticks.includes(inBasket(material)))
  const some = ticked.length > 0 && ticked.length < wanted.length
  const packages = (some ? ticked : wanted).flatMap(({ buy }) => buy).reduce((sum, { count }) => sum + count, 0)
  const told = packages === 1 ? "the package" : `the ${packages} packages`
  const buy = async () => {
    const done = await onBuy(undefined, some ? ticked.map((material) => material.id) : undefined)
    if (done) for (const material of ticked) await onTick(inBasket(material), false)
  }
  if (bench.cut || problems.length > 0 || (packages === 0 && bought === undefined)) return null
  return (
    <div className="py-3">
      {refused && <Problem>{refused}</Problem>}
      {packages > 0 ? (
        <p className="flex flex-wrap items-center gap-3">
          <button type="button" className="btn btn-primary" onClick={() => void buy()}>
            {some ? "I bought what is ticked" : "I bought it"}
          </button>
          <span className="text-sm text-quiet">Puts {told} into the stash.</span>
        </p>
      ) : (
        <p className="flex flex-wrap items-center gap-3">
          <span role="status" className="font-semibold text-secondary">
            Bought: all of it is in the stash.
          </span>
          <Link className="btn btn-primary" to={`/wreaths/${id}/cut`}>
            Cut it
          </Link>
          <button type="button" className="btn" onClick={() => void onBuy(bought)}>
            Take it back
          </button>
        </p>
      )}
    </div>
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

/** What a wise friend would say before anything is bought. */
const useAdvice = ({ plan, problems }: StageProps) =>
  useQuestion("/ask/advice", problems.length === 0 ? plan : undefined).data?.advice ?? []

interface FriendProps extends StageProps {
  worked: WorkedPlan
  advice: ReturnType<typeof useAdvice>
}

/** What the friend says, and what is short. */
function Friend({ plan, worked, advice, declarations, onChange }: FriendProps) {
  const known = useKnownMaterials(plan)
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
