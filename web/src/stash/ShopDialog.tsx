import { useQueryClient } from "@tanstack/react-query"
import { useState } from "react"
import { api, saysOf } from "../keep/client"
import { useShop, useStash } from "../keep/queries"
import { Dialog } from "../pieces/Dialog"
import { Prose } from "../pieces/Prose"
import { money } from "../pieces/money"

/** The simulated shop: what it sells of what is in the stash, and its prices to be taken over. */
export function ShopDialog({ onClose }: { onClose: () => void }) {
  const queries = useQueryClient()
  const shop = useShop().data
  const stash = useStash().data ?? []
  const [said, setSaid] = useState("")
  const take = async () => {
    const { data, error } = await api.POST("/shop/prices", { body: {} })
    setSaid(
      data ? `${data.changed} ${data.changed === 1 ? "material has" : "materials have"} new prices.` : saysOf(error),
    )
    await queries.invalidateQueries()
  }
  const sold = stash.filter((each) => shop?.offers[each.material.id])
  return (
    <Dialog title={shop?.name ?? "The shop"} wide="yes" onClose={onClose}>
      <p className="font-semibold">{shop?.says}</p>
      <p className="text-quiet">
        {shop &&
          (shop.on_sale
            ? `A sale week began on ${shop.sale}.`
            : `The next sale week begins on ${shop.sale}; then every ${shop.sale_every} days.`)}
      </p>
      <table className="ledger my-3 w-full">
        <caption className="sr-only">What it sells</caption>
        <tbody>
          {sold.map(({ id, material }) => (
            <tr key={id}>
              <th scope="row" className="text-left">
                {material.name}
              </th>
              <td>
                <Prose>{(shop?.offers[material.id] ?? []).map(priceSays).join("; ")}</Prose>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="flex items-center gap-3">
        <button type="button" className="btn btn-primary" onClick={() => void take()}>
          Take over its prices
        </button>
        {said && <span role="status">{said}</span>}
      </p>
    </Dialog>
  )
}

/** A way it is sold, in the shop's own numbers. */
function priceSays(offer: Record<string, unknown>): string {
  const size = [offer.count, offer.width, offer.length].filter(Boolean).join(" by ")
  const sale = offer.sale_price ? `, ${money(String(offer.sale_price))} on sale` : ""
  return `${size} at ${money(String(offer.price))}${sale}`
}
