import type { Material } from "../keep/client"
import { money } from "./money"

type Offer = NonNullable<Material["offers"]>[number]

/** One way a material is sold, as a maker would say it: "9 ft at $3.20, $2.40 on sale". */
export function offerSays(offer: Offer, place: string, lengths: Record<string, string>): string {
  const size =
    offer.count !== undefined
      ? offer.count === 1
        ? "one by one"
        : `${String(offer.count)} in a package`
      : ["width", "length"].flatMap((side) => lengths[`${place}.${side}`] ?? []).join(" by ")
  const sale = offer.sale_price === undefined ? "" : `, ${money(String(offer.sale_price))} on sale`
  return `${size} at ${money(String(offer.price))}${sale}`
}
