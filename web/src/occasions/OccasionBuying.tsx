import type { WorkedOccasion } from "../keep/client"
import { Link } from "react-router"
import { useAdviceOfOccasion, useStash } from "../keep/queries"
import { Prose } from "../pieces/Prose"
import { Fold } from "../pieces/Fold"
import { offerSays } from "../pieces/offerSays"
import { Working } from "../pieces/Working"
import { Purchase } from "../wreath/Purchase"

/** What to buy for all wreaths of the day, and what is in hand and enough. */
export function Buying({ id, worked, planned }: { id: number; worked: WorkedOccasion; planned: number[] }) {
  const stash = useStash(worked.units).data ?? []
  const says = (id: string) => {
    const own = stash.find((each) => each.material.id === id)
    return (own?.material.offers ?? []).map((offer, index) => offerSays(offer, `offers.${index}`, own?.lengths ?? {}))
  }
  const bought = worked.materials.filter((material) => material.buy.length > 0 || material.short > 0)
  const enough = worked.materials.filter((material) => !bought.includes(material))
  return (
    <section aria-label="Buy" className="grid gap-x-10 lg:grid-cols-2">
      <div>
        <Friend id={id} worked={worked} planned={planned} />
        <h2 className="text-lg">To buy</h2>
        {bought.map((material) => (
          <Purchase key={material.id} material={material} says={says(material.id)} />
        ))}
      </div>
      <div>
        <Working lines={worked.cost_working} caption="The money" />
        {enough.length > 0 && <h2 className="pt-4 text-lg">You have enough of</h2>}
        <ul>
          {enough.map((material) => (
            <li key={material.id} className="border-b border-base-300 py-1.5">
              {material.name}
            </li>
          ))}
        </ul>
      </div>
    </section>
  )
}

/** As many stand open. */
const OPEN = 3

interface FriendProps {
  id: number
  worked: WorkedOccasion
  /** Its wreaths, in the order of their plans. */
  planned: number[]
}

/** What a wise friend would say before anything is bought; a change is made on the wreath that it is of. */
function Friend({ id, worked, planned }: FriendProps) {
  const advice = useAdviceOfOccasion(id).data ?? []
  if (advice.length === 0) return null
  const list = (some: typeof advice) => (
    <ul className="flex flex-col gap-2 pb-2" aria-label="Advice">
      {some.map((each) => (
        <li key={each.key} className="border-l-4 border-secondary pl-3">
          <Prose>{each.says}</Prose>{" "}
          {each.try && each.wreath !== undefined && (
            <Link className="underline" to={`/wreaths/${planned[each.wreath - 1]}/cover`}>
              {worked.hand_out[each.wreath - 1]?.wreath}
            </Link>
          )}
        </li>
      ))}
    </ul>
  )
  const rest = advice.slice(OPEN)
  return (
    <>
      {list(advice.slice(0, OPEN))}
      {rest.length > 0 && (
        <Fold summary={rest.length === 1 ? "1 more note" : `${rest.length} more notes`}>{list(rest)}</Fold>
      )}
    </>
  )
}
