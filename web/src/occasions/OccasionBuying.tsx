import type { WorkedOccasion } from "../keep/client"
import { useStash } from "../keep/queries"
import { offerSays } from "../pieces/offerSays"
import { Working } from "../pieces/Working"
import { Purchase } from "../wreath/Purchase"

/** What to buy for all wreaths of the day, and what is in hand and enough. */
export function Buying({ worked }: { worked: WorkedOccasion }) {
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
        <h2 className="text-lg">To buy</h2>
        {bought.map((material) => (
          <Purchase key={material.id} material={material} says={says(material.id)} />
        ))}
      </div>
      <div>
        <Working lines={worked.cost_working} caption="The money" />
        {enough.length > 0 && <h2 className="pt-4 text-lg">In hand and enough</h2>}
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
