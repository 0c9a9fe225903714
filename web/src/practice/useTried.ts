import { useMutation, useQueryClient } from "@tanstack/react-query"
import { answered, api, saysOf, type ChangePlan, type Plan } from "../keep/client"
import { askAgain, touched } from "../keep/keys"
import { useStash } from "../keep/queries"
import { put } from "../wreath/places"

/** What was found who practised a covering with a material. */
export interface Tried {
  method: string
  test_piece?: Record<string, unknown>
  seconds?: number
  on?: string
}

type Layer = NonNullable<Plan["layers"]>[number]

/** What is known of a layer's method with what it is made of. */
export function triedOf(plan: Plan, layer: Layer): Tried | undefined {
  const material = plan.materials?.find(({ id }) => id === layer.material)
  const tried = Array.isArray(material?.tried) ? (material.tried as Tried[]) : []
  return tried.find(({ method }) => method === layer.method)
}

/** Keeps what was found with the material, in the stash or, if it is only the plan's, in the plan. */
export function useTried(plan: Plan, layer: Layer, onChange: ChangePlan) {
  const stash = useStash(plan.units).data
  const queries = useQueryClient()
  const { mutate: keep, error } = useMutation({
    mutationFn: async (found: Tried) => {
      const row = stash?.find((each) => each.material.id === layer.material)
      const place = plan.materials?.findIndex((each) => each.id === layer.material) ?? -1
      const known = (row?.material ?? plan.materials?.[place])?.tried
      const others = (Array.isArray(known) ? (known as Tried[]) : []).filter(({ method }) => method !== found.method)
      const tried = [...others, { ...found, on: new Date().toISOString().slice(0, 10) }]
      if (!row) {
        if (place >= 0) onChange((now) => put(now, `materials.${place}.tried`, tried))
        return
      }
      const body = { version: row.version, units: plan.units, material: { ...row.material, tried } }
      await answered(await api.PUT("/materials/{id}", { params: { path: { id: row.id } }, body }))
      await askAgain(queries, touched.stash)
    },
  })
  return { keep, failed: error ? saysOf(error) : "" }
}
