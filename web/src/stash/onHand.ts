import type { StashMaterial } from "../keep/client"
import { money } from "../pieces/money"

/** A piece of cloth on hand; it may taper. */
export interface Sheet {
  width: number
  length: number
  end_width?: number
}

const isSheet = (each: unknown): each is Sheet =>
  typeof each === "object" && each !== null && "width" in each && typeof each.width === "number"

export const sheetsOf = ({ material }: StashMaterial): Sheet[] => (material.on_hand ?? []).filter(isSheet)

/** How a material is sold: "1 1/2 in wide, 9 ft for $3.20". */
export function soldSays({ material, lengths }: StashMaterial): string {
  const sizes = [lengths.width && `${lengths.width} wide`, lengths.diameter && `${lengths.diameter} thick`].filter(
    (size) => size !== undefined && size !== "",
  )
  const offers = (material.offers ?? []).map((offer, i) => {
    const sides = ["width", "length"].flatMap((side) => lengths[`offers.${i}.${side}`] ?? [])
    return `${offer.count === undefined ? sides.join(" by ") : String(offer.count)} for ${money(String(offer.price))}`
  })
  return [...sizes, ...offers].join(", ")
}

/** What of a material is on hand: lengths, pieces of cloth, or a number. */
export function onHandSays(stashed: StashMaterial): string {
  const { material, lengths, pieces } = stashed
  const sheets = sheetsOf(stashed).map((_, i) =>
    ["width", "length"].map((side) => lengths[`on_hand.${i}.${side}`]).join(" by "),
  )
  if (sheets.length > 0) return `${sheets.join(", ")} on hand`
  if (pieces.length > 0) return `${pieces.map((_, i) => lengths[`on_hand.${i}`]).join(", ")} on hand`
  const count = (material.on_hand ?? []).reduce<number>((sum, each) => sum + (typeof each === "number" ? each : 0), 0)
  return count === 0 ? "none on hand" : `${count} ${count === 1 ? "piece" : "pieces"} on hand`
}
