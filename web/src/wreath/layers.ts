import type { Covering, Material, Plan, PlanLayer, StashMaterial } from "../keep/client"

/** Everything that a plan can be made of: its own materials, and whatever else is in the stash. */
export function knownMaterials(plan: Pick<Plan, "materials">, stash: StashMaterial[]): Material[] {
  const own = plan.materials ?? []
  const others = stash.map((each) => each.material).filter((material) => !own.some((each) => each.id === material.id))
  return [...own, ...others]
}

/** What the steps use up without a layer naming it: it stays in a plan that has it. */
const USED_UP = ["glue", "tie", "wire"]

/** The plan with the materials its layers and its form name, from the plan or the stash; and what its steps use up. */
export function withMaterials(plan: Plan, known: Material[]): Plan {
  const named = new Set(textsIn(namersOf(plan)))
  // What is put on with another material brings that along.
  known.forEach((each) => named.has(each.id) && typeof each.with === "string" && named.add(each.with))
  const used = plan.materials?.filter((material) => USED_UP.includes(material.kind)) ?? []
  const kept = new Set(used.map((material) => material.id))
  return { ...plan, materials: known.filter((material) => named.has(material.id) || kept.has(material.id)) }
}

/** Whether a layer or the form names a material itself. */
export const isNamed = (plan: Plan, id: string) => textsIn(namersOf(plan)).includes(id)

/** Whatever of a plan names materials. */
const namersOf = (plan: Plan) => [
  plan.layers ?? [],
  plan.form.material,
  plan.form.parts,
  plan.form.before,
  (plan.steps ?? []).map(({ takes }) => takes),
]

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

/** What every layer is called, as a list to choose from: "Bow", and where there are two, "Bow 2". */
export function namesOf(
  layers: PlanLayer[],
  coverings: Covering[],
  materials: Material[] = [],
): { value: string; says: string }[] {
  const titles = layers.map((layer) => {
    const covering = coverings.find((each) => each.method === layer.method)
    // What it is, or how it is made, where one method makes many things; or what its maker calls it.
    const kind = covering?.options.find((option) => option.name === "what" || option.name === "making")
    const said = kind && layer[kind.name]
    const own = typeof said === "string" ? said : kind?.name === "making" ? kind.default : undefined
    const word = kind?.choices?.find(({ value }) => value === own)
    const name = kind?.name === "making" && typeof layer.name === "string" ? layer.name : undefined
    const bought = own === "bought" ? materials.find(({ id }) => id === materialOf(layer))?.name : undefined
    return (
      name ?? bought ?? word?.says ?? (typeof own === "string" ? own : undefined) ?? covering?.title ?? layer.method
    )
  })
  return layers.map((layer, i) => {
    const before = titles.slice(0, i).filter((title) => title === titles[i]).length
    return { value: layer.id, says: before > 0 ? `${titles[i]} ${before + 1}` : titles[i]! }
  })
}

/** The material of a layer: of a piece that was bought, of what it is. */
function materialOf({ parts, material }: PlanLayer): unknown {
  const [first] = Array.isArray(parts) ? (parts as { material?: unknown }[]) : []
  return first?.material ?? material
}

/** Layers that sit on one, directly. */
export const sittingOn = (layers: PlanLayer[], id: string) => layers.filter((layer) => uppermost(layer) === id)

/** What a layer sits on; of several the uppermost. */
const uppermost = ({ on }: PlanLayer): unknown => (Array.isArray(on) ? (on as unknown[]).at(-1) : on)

/** The plan without a layer; what sat on it goes with it, or comes to where it was. */
export function without(plan: Plan, gone: PlanLayer, sitting: "go too" | "stay"): Plan {
  const layers = plan.layers ?? []
  const goes = new Set([gone.id])
  if (sitting === "go too") {
    // Whatever sits on what goes, however high the stack.
    for (let size = 0; size !== goes.size;) {
      size = goes.size
      layers.forEach((layer) => goes.has(String(uppermost(layer))) && goes.add(layer.id))
    }
  }
  const stay = layers.filter((layer) => !goes.has(layer.id)).map((layer) => resettled(layer, gone))
  // The maker’s own steps stay, behind the cutting.
  const steps = plan.steps?.map((step) => (goes.has(String(step.after)) ? { ...step, after: "cut" } : step))
  return { ...plan, layers: stay, ...(plan.steps && { steps }) }
}

/** What sat on a layer that is gone sits where that was: on what it sat on, or at its place. */
function resettled(layer: PlanLayer, gone: PlanLayer): PlanLayer {
  if (uppermost(layer) !== gone.id) return layer
  const { on: _on, at: _at, ...rest } = layer
  return {
    ...rest,
    ...(gone.on === undefined ? {} : { on: gone.on }),
    ...(gone.at === undefined ? {} : { at: gone.at }),
  }
}

/** The plan with a layer laid where another of its stage is; those of other stages stay where they are. */
export function moved(plan: Plan, from: number, to: number, stage: { index: number }[]): Plan {
  const layers = plan.layers ?? []
  const places = stage.map(({ index }) => index)
  const order = places.filter((index) => index !== from)
  order.splice(places.indexOf(to), 0, from)
  const next = [...layers]
  places.forEach((place, i) => (next[place] = layers[order[i]!]!))
  return { ...plan, layers: next }
}

/** The plan with a layer once more, laid right after it. */
export function copied(plan: Plan, index: number): Plan {
  const layers = plan.layers ?? []
  const copy = { ...layers[index]!, id: freshId(layers) }
  return { ...plan, layers: [...layers.slice(0, index + 1), copy, ...layers.slice(index + 1)] }
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
