import { useMutation, useQueryClient } from "@tanstack/react-query"
import { useId, useState } from "react"
import { answered, api, type ChangePlan, type Material, type Plan } from "../keep/client"
import { askAgain, touched } from "../keep/keys"
import { useStash } from "../keep/queries"
import { Problem } from "../pieces/Problem"
import { put } from "./places"

interface Props {
  plan: Plan
  material: Material
  /** Which of its offers. */
  offer: number
  onChange: ChangePlan
}

/** What a package costs at the shop, typed where it differs: the stash knows it from then on, and so does the plan. */
export function PaidPrice({ plan, material, offer, onChange }: Props) {
  const id = useId()
  const stash = useStash(plan.units).data
  const queries = useQueryClient()
  const asked = material.offers?.[offer]
  const field = plan.money?.sale === true && asked?.sale_price !== undefined ? "sale_price" : "price"
  const known = String(asked?.[field] ?? "")
  const [typed, setTyped] = useState<string>()
  const keep = useMutation({
    mutationFn: async (price: string) => {
      const offers = (material.offers ?? []).map((each, i) => (i === offer ? { ...each, [field]: price } : each))
      const row = stash?.find((each) => each.material.id === material.id)
      if (!row) {
        const place = plan.materials?.findIndex((each) => each.id === material.id) ?? 0
        onChange((now) => put(now, `materials.${place}.offers`, offers))
        return
      }
      const body = { version: row.version, units: plan.units, material: { ...row.material, offers } }
      await answered(await api.PUT("/materials/{id}", { params: { path: { id: row.id } }, body }))
      await askAgain(queries, touched.stash)
    },
    onSuccess: () => setTyped(undefined),
  })
  const settle = () => {
    const price = typed?.trim().replace(",", ".")
    if (price === undefined || price === known) setTyped(undefined)
    else keep.mutate(price)
  }
  return (
    <span className="flex flex-col items-end">
      <label className="flex items-center gap-2">
        <span className="text-sm text-quiet">at the shop, each</span>
        <input
          className="input min-h-9 w-20"
          inputMode="decimal"
          aria-label={`Price of one package of ${material.name}`}
          aria-invalid={keep.isError}
          aria-describedby={keep.isError ? id : undefined}
          value={typed ?? known}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={settle}
          onKeyDown={(event) => event.key === "Enter" && settle()}
        />
      </label>
      {keep.isError && <Problem id={id}>{keep.error.message}</Problem>}
    </span>
  )
}
