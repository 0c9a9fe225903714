import type { Advice, Covering, Field, Finding, Plan } from "../keep/client"
import { freshId } from "./layers"
import { put } from "./places"

/** Something to be said of a plan, with the change that mends it or saves money by it. */
export interface Judgement {
  key: string
  level: "stop" | "warn" | "advice" | "note"
  says: string
  saves: number
  look: { says: string; before: string; after: string }[]
  /** What its button says, and the plan that it makes. */
  mend?: { says: string; plan: Plan }
}

const WEIGHT = { stop: 0, warn: 1, advice: 2, note: 3 }

/** Those that matter first: what cannot be, what is wrong, what saves most, what can be mended, the rest. */
export const ranked = (all: Judgement[]): Judgement[] =>
  [...all].sort(
    (a, b) =>
      WEIGHT[a.level] - WEIGHT[b.level] ||
      b.saves - a.saves ||
      Number(b.mend !== undefined) - Number(a.mend !== undefined),
  )

/** A finding, about the options at a place. */
export function ofFinding(
  finding: Finding,
  place: string,
  plan: Plan,
  coverings: Covering[],
  fields: Field[],
): Judgement {
  return {
    key: `${place}.${finding.code}`,
    level: finding.level,
    says: finding.says,
    saves: 0,
    look: [],
    mend: mendOf(finding, place, plan, coverings, fields),
  }
}

function mendOf({ try: changes, add }: Finding, place: string, plan: Plan, coverings: Covering[], fields: Field[]) {
  const layers = plan.layers ?? []
  if (add) {
    const covering = coverings.find(({ method }) => method === add.method)
    const says = `Add: ${covering?.title.toLowerCase() ?? String(add.method)}`
    return { says, plan: { ...plan, layers: [...layers, { id: freshId(layers), ...add }] } as Plan }
  }
  if (!changes) return undefined
  const changed = Object.entries(changes).reduce((next, [name, value]) => put(next, `${place}.${name}`, value), plan)
  return { says: changeSays(changes, fields), plan: changed }
}

/** "Set lap at the wide edge to 1/8 in": in the words of the fields themselves. */
export function changeSays(changes: Record<string, unknown>, fields: Field[]): string {
  const parts = Object.entries(changes).map(([name, value]) => {
    const field = fields.find((each) => each.name === name)
    const label = (field?.label ?? name.replaceAll("_", " ")).replace(/^./, (first) => first.toLowerCase())
    const word = field?.choices?.find((choice) => choice.value === value)?.says
    const said = typeof value === "boolean" ? (value ? "yes" : "no") : String(value)
    return `${label} to ${word ?? said}`
  })
  return `Set ${parts.join(" and ")}`
}

/** What a wise friend says; a change of material brings the material with it. */
export function ofAdvice(advice: Advice, plan: Plan, coverings: Covering[], bring: (plan: Plan) => Plan): Judgement {
  const layers = plan.layers ?? []
  const changes = Object.entries(advice.try ?? {})
  const changed = changes.reduce((next, [id, options]) => {
    const place = `layers.${layers.findIndex((layer) => layer.id === id)}`
    return Object.entries(options).reduce((each, [name, value]) => put(each, `${place}.${name}`, value), next)
  }, plan)
  const told = changes.length > 0 || advice.code !== "one_fewer"
  return {
    key: advice.key,
    level: told ? "advice" : "note",
    says: advice.says,
    saves: Number(advice.saves ?? 0),
    look: advice.look ?? [],
    mend: changes.length > 0 ? { says: doSays(advice, plan, coverings), plan: bring(changed) } : undefined,
  }
}

function doSays(advice: Advice, plan: Plan, coverings: Covering[]): string {
  if (advice.code === "stash_first") return "Take it from the stash"
  const [id, options] = Object.entries(advice.try ?? {})[0] ?? ["", {}]
  const method = plan.layers?.find((layer) => layer.id === id)?.method
  return changeSays(options, coverings.find((each) => each.method === method)?.options ?? [])
}
