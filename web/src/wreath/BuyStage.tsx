import type { Material } from "../api/client"
import { Prose } from "../pieces/Prose"
import { Working } from "../pieces/Working"
import type { StageProps } from "./WreathScreen"

/** What is in hand, what to buy in whole packages, what it comes to and what is left. */
export function BuyStage({ plan, worked }: StageProps) {
  if (!worked) return null
  const needed = worked.materials.filter((material) => material.needed > 0)
  return (
    <section aria-label="Buy">
      <h2 className="text-xl">{Number(worked.cost.to_buy) === 0 ? "Nothing to buy" : `${worked.cost.to_buy} to pay`}</h2>
      <p className="text-quiet">{worked.cost.used} worth of material goes into the work, by length; {worked.cost.left_in_stash} worth is left over.</p>
      {needed.length === 0 && <p className="py-2 text-quiet">Nothing is needed yet: choose a covering first.</p>}
      {needed.map((material) => {
        const place = plan.materials?.findIndex((each) => each.id === material.id) ?? -1
        const own = plan.materials?.[place]
        return (
          <div key={material.id} className="border-b border-base-300 py-3">
            <h3 className="flex justify-between text-lg"><span>{material.name}</span><span>{material.cost_to_buy}</span></h3>
            {material.buy.length === 0 && material.short === 0 && <p>What is in hand is enough.</p>}
            <ul>{material.buy.map((buy) => <li key={buy.offer} className="flex justify-between gap-4"><span><b>{buy.count}</b> × <Prose>{offer(own, buy.offer, `materials.${place}`, worked.lengths)}</Prose></span><span>{buy.cost}</span></li>)}</ul>
            {material.findings.filter((finding) => finding.level === "stop").map((finding) => <p key={finding.code} className="font-semibold text-error"><Prose>{finding.says}</Prose></p>)}
            <Working lines={material.working} />
            <p className="pt-1 text-sm text-quiet">
              {material.short > 0 ? "" : `${material.chance_enough >= 0.995 ? "better than 99" : Math.floor(material.chance_enough * 100)} in 100 that it is enough; ${material.left.length === 0 ? "no useful remnant is left" : `${material.left.length} ${material.left.length === 1 ? "remnant is" : "remnants are"} left`}.`}
            </p>
          </div>
        )
      })}
    </section>
  )
}

/** An offer as a maker would say it. */
function offer(own: Material | undefined, index: number, place: string, lengths: Record<string, string>): string {
  const offer = own?.offers?.[index]
  if (!offer) return ""
  const size = offer.count !== undefined ? `${String(offer.count)} in a package` : ["width", "length"].flatMap((side) => lengths[`${place}.offers.${index}.${side}`] ?? []).join(" by ")
  return `${size} at ${String(offer.price)}`
}
