import type { Covering, Material, Plan, PlanLayer, StashMaterial } from "../keep/client"

/** Everything that a plan can be made of: its own materials, and whatever else is in the stash. */
export function knownMaterials(plan: Plan, stash: StashMaterial[]): Material[] {
  const own = plan.materials ?? []
  const others = stash.map((each) => each.material).filter((material) => !own.some((each) => each.id === material.id))
  return [...own, ...others]
}

/** What the steps use up without a layer naming it: it stays in a plan that has it. */
const USED_UP = ["glue", "tie", "wire"]

/** The plan with the materials its layers and its form name, from the plan or the stash; and what its steps use up. */
export function withMaterials(plan: Plan, known: Material[]): Plan {
  const named = new Set(textsIn([plan.layers ?? [], plan.form.material]))
  const used = plan.materials?.filter((material) => USED_UP.includes(material.kind)) ?? []
  const kept = new Set(used.map((material) => material.id))
  return { ...plan, materials: known.filter((material) => named.has(material.id) || kept.has(material.id)) }
}

/** Every text anywhere in a value. */
function textsIn(value: unknown): string[] {
  if (typeof value === "string") return [value]
  return typeof value === "object" && value !== null ? Object.values(value).flatMap(textsIn) : []
}

/** An id that no layer has yet. */
export function freshId(layers: PlanLayer[]): string {
  let number = layers.length + 1
  while (layers.some((layer) => layer.id === `layer-${number}`)) number += 1
  return `layer-${number}`
}

/** The layers of one stage, each with its place in the plan; a method that is not known belongs to the covering. */
export function layersOf(plan: Plan, stage: Covering["stage"], coverings: Covering[]) {
  const stageOf = (method: string) => coverings.find((covering) => covering.method === method)?.stage ?? "cover"
  return (plan.layers ?? [])
    .map((layer, index) => ({ layer, index }))
    .filter(({ layer }) => stageOf(layer.method) === stage)
}

/** The plan with another covering in place of its first one; what trims it and what it hangs by stay. */
export function covered(plan: Plan, layer: PlanLayer, coverings: Covering[]): Plan {
  const layers = plan.layers ?? []
  const first = layersOf(plan, "cover", coverings)[0]?.index ?? -1
  const others = layers.filter((_, index) => index !== first)
  const own = others.some((each) => each.id === layer.id) ? { ...layer, id: freshId(layers) } : layer
  return { ...plan, layers: first < 0 ? [own, ...others] : [...others.slice(0, first), own, ...others.slice(first)] }
}
