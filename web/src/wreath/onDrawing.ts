import type { Declarations, Plan, Problem, WorkedPlan } from "../keep/client"
import type { Placing, Sizing } from "../drawing/Sheet"
import { put } from "./places"

interface About {
  plan: Plan
  declarations: Declarations
  onChange: (plan: Plan) => void
}

/** What of a form can be sized on the drawing itself. */
export function sizingOf({ plan, declarations, onChange }: About, problems: Problem[], measuring?: string): Sizing {
  const shape = declarations.forms.shapes.find((each) => each.name === plan.form.shape)
  return {
    measuring,
    labels: Object.fromEntries(shape?.fields.map((field) => [`form.${field.name}`, field.label]) ?? []),
    problem: (about) => problems.find((problem) => problem.at === about)?.says,
    onSize: (about, text) => onChange(put(plan, about, written(text))),
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

/** What of a plan has its place by the clock, and can be put there on the drawing. */
export function placingOf({ plan, declarations, onChange }: About, worked?: WorkedPlan): Placing {
  const layers = plan.layers ?? []
  const placed = declarations.coverings.filter(
    (each) => each.stage !== "cover" && each.options.some((option) => option.name === "at"),
  )
  return {
    layers: layers.flatMap((layer) => {
      const kind = placed.find((each) => each.method === layer.method)
      const settled = worked?.layers.find((each) => each.id === layer.id)?.settings.at
      return kind ? [{ id: layer.id, says: kind.title, at: Number(layer.at ?? settled ?? BOTTOM) }] : []
    }),
    onPlace: (id, at) => onChange(put(plan, `layers.${layers.findIndex((layer) => layer.id === id)}.at`, at)),
  }
}
