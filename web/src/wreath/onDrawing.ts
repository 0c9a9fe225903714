import type { ChangePlan, Covering, Declarations, Plan, PlanLayer, Problem, Units, WorkedPlan } from "../keep/client"
import type { Placing, Sizing, Spot } from "../drawing/byHand"
import { numberOf } from "../drawing/outFrom"
import { wayOptions } from "./along"
import { put } from "./places"

interface About {
  plan: Plan
  declarations: Declarations
  onChange: ChangePlan
}

/** What of a form can be sized on the drawing itself. */
export function sizingOf(
  named: string,
  declarations: Declarations,
  onChange: ChangePlan,
  problems: Problem[],
  measuring?: string,
): Sizing {
  const shape = declarations.forms.shapes.find((each) => each.name === named)
  return {
    measuring,
    labels: Object.fromEntries(shape?.fields.map((field) => [`form.${field.name}`, field.label]) ?? []),
    problem: (about) => problems.find((problem) => problem.at === about)?.says,
    onSize: (about, text) => onChange((now) => put(now, about, written(text))),
  }
}

/** A size as a document holds it: a number where it is plainly one, nothing for nothing. */
function written(text: string): string | number | undefined {
  const trimmed = text.trim()
  if (trimmed === "") return undefined
  return /^\d+(\.\d+)?$/.test(trimmed) ? Number(trimmed) : text
}

/** Where a layer sits when nobody says: at six. */
const BOTTOM = 6

/**
 * What of a plan has its place by the clock, and can be put there on the drawing; of the layer at hand also what its
 * parts measure.
 */
export function placingOf({ plan, declarations, onChange }: About, worked?: WorkedPlan, atHand?: string): Placing {
  const placed = declarations.coverings.filter(
    (each) => each.stage !== "cover" && each.options.some((option) => option.name === "at"),
  )
  const spots: Placing["spots"] = (plan.layers ?? []).flatMap((layer) => {
    const kind = placed.find((each) => each.method === layer.method)
    const settled = worked?.layers.find((each) => each.id === layer.id)?.settings.at
    if (!kind) return []
    const said = layer.at ?? settled ?? BOTTOM
    const at = said === "middle" ? said : Number(said)
    if (Number.isNaN(at) || layer.on !== undefined) return []
    const middle = kind.options.some((option) => option.name === "at" && option.kind === "spot")
    const says = `${kind.title}: at, by the clock`
    const spot: Spot = { layer: layer.id, option: "at", says, at, middle, carries: carriedWith(layer, plan) }
    const parts = layer.id === atHand ? partsOf(layer, kind, plan, worked) : []
    return [spot, ...measuresOf(layer, kind, plan, worked), ...spacingOf(layer, kind, plan, worked), ...parts]
  })
  return { spots, gaps: false, onPlace: placeOn(onChange, worked) }
}

/** What goes where a layer goes: all that sits on it. Of several in a row each goes another way. */
function carriedWith(layer: PlanLayer, plan: Plan): string[] | undefined {
  if (Number(layer.count ?? 1) !== 1) return undefined
  const carried = [layer.id]
  for (const { id, on } of plan.layers ?? []) if (typeof on === "string" && carried.includes(on)) carried.push(id)
  return carried
}

/** What of a layer is dragged out to its length. */
function measuresOf(layer: PlanLayer, kind: Covering, { units }: Plan, worked?: WorkedPlan): Placing["spots"] {
  const settings = worked?.layers.find(({ id }) => id === layer.id)?.settings
  return kind.options.flatMap(({ name, drawn, label }) => {
    const at = numberOf(settings?.[name])
    if (!drawn || !at || Array.isArray(layer[name])) return []
    const says = `${label.split(",")[0]} of the ${kind.title.toLowerCase()}`
    const measure = { drawn, ...tapeOf(units) }
    return [{ layer: layer.id, option: name, says, at, measure, said: saidNumber(layer[name]) }]
  })
}

/** How far it is from one of several that go round the form to the next. */
function spacingOf(layer: PlanLayer, kind: Covering, { units }: Plan, worked?: WorkedPlan): Placing["spots"] {
  const { pieces, pitch } = worked?.layers.find(({ id }) => id === layer.id)?.figures ?? {}
  const spaced = kind.options.some(({ name }) => name === SPACING) && layer.at === undefined
  if (!spaced || typeof pieces !== "number" || typeof pitch !== "number" || pieces < 2) return []
  const measure = { drawn: [], several: pieces, ...tapeOf(units) }
  const says = "From one to the next"
  return [{ layer: layer.id, option: SPACING, says, at: pitch, measure, said: saidNumber(layer[SPACING]) }]
}

const SPACING = "spacing"
/** What says how many there are in another way. */
const OTHERWISE = ["count", "per_section", "every"]

const saidNumber = (value: unknown) => (typeof value === "number" ? value : undefined)

const tapeOf = (unit: Units) => ({ unit, mark: unit === "in" ? 0.25 : 0.5 })

/** What of the parts of a layer is dragged out to its length. */
function partsOf(layer: PlanLayer, kind: Covering, { units }: Plan, worked?: WorkedPlan): Placing["spots"] {
  const parts = worked?.layers.find(({ id }) => id === layer.id)?.parts ?? []
  const fields = kind.options.find(({ name }) => name === "parts")?.of?.fields ?? []
  const said = Array.isArray(layer.parts) ? (layer.parts as Record<string, unknown>[]) : []
  return parts.flatMap((part, i) =>
    fields.flatMap(({ name, drawn, label }) => {
      const at = drawn && numberOf(part[name] as string | undefined)
      if (!at) return []
      const says = `${label.split(",")[0]} of part ${i + 1}`
      const measure = { drawn, part: `part_${i + 1}_`, ...tapeOf(units) }
      return [{ layer: layer.id, option: `parts.${i}.${name}`, says, at, measure, said: saidNumber(said[i]?.[name]) }]
    }),
  )
}

/** Where coverings that go part of the way begin and end; a place with units of its own is typed, not dragged. */
export function endsOf({ plan, declarations, onChange }: About, worked?: WorkedPlan): Placing {
  const form = worked?.drawing.form
  const along = form !== undefined && !form.closed && form.members === 1
  const spots: Placing["spots"] = (plan.layers ?? []).flatMap((layer) => {
    const kind = declarations.coverings.find((each) => each.method === layer.method)
    return (["from", "to"] as const).flatMap((option) => {
      const at = layer[option]
      if (!wayOptions(kind) || typeof at !== "number") return []
      return [{ layer: layer.id, option, says: `${kind!.title} ${WORDS[option]}`, at, along }]
    })
  })
  return { spots, gaps: true, onPlace: placeOn(onChange) }
}

const WORDS = { from: "begins", to: "ends" }

/**
 * What is put into a part that was never said is put beside all that its layer usually has; how far apart things are
 * stands for how many there are.
 */
const placeOn =
  (onChange: ChangePlan, worked?: WorkedPlan): Placing["onPlace"] =>
  (id, option, at) =>
    onChange((plan) => {
      const layer = plan.layers?.findIndex((each) => each.id === id)
      const dropped = option === SPACING ? OTHERWISE : []
      const now = dropped.reduce((left, name) => put(left, `layers.${layer}.${name}`, undefined), plan)
      const unsaid = option.startsWith("parts.") && !Array.isArray(now.layers?.[layer ?? -1]?.parts)
      const usual = worked?.layers.find((each) => each.id === id)?.parts
      return put(unsaid ? put(now, `layers.${layer}.parts`, usual) : now, `layers.${layer}.${option}`, at)
    })
