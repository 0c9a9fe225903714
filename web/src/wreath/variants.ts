import type { Plan, WorkedPlan } from "../keep/client"
import { duration } from "../pieces/duration"
import { money, percent } from "../pieces/money"

/** As many can be held beside what is on the table. */
export const MOST_HELD = 2

/** The plans that are held beside the one on the table; what cannot be read is none. */
export function heldFrom(text: string | null): Plan[] {
  try {
    const held: unknown = JSON.parse(text ?? "[]")
    return Array.isArray(held) ? (held as Plan[]).slice(0, MOST_HELD) : []
  } catch {
    return []
  }
}

/** With one more; the oldest makes room, and what is held already is not held twice. */
export function holding(held: Plan[], plan: Plan): Plan[] {
  if (held.some((each) => alike(each, plan))) return held
  return [...held, plan].slice(-MOST_HELD)
}

/** Whether two plans come to the same wreath. */
export const alike = (one: Plan, other: Plan) =>
  JSON.stringify([one.form, one.layers]) === JSON.stringify([other.form, other.layers])

/** What is set side by side, row by row. */
export const rows: [string, (worked: WorkedPlan) => string][] = [
  ["To pay", (worked) => money(worked.cost.to_pay ?? worked.cost.to_buy)],
  ["Goes into it", (worked) => money(worked.cost.used)],
  ["Length", lengthSays],
  ["Time", (worked) => duration(worked.minutes)],
  ["Enough", chanceSays],
  ["Covered", coveredSays],
]

function lengthSays({ tape }: WorkedPlan): string {
  return (
    tape
      .filter(({ key }) => key === "needed")
      .map(({ figure, says }) => `${figure} ${says}`)
      .join(", ") || "none"
  )
}

function chanceSays({ materials }: WorkedPlan): string {
  if (materials.some(({ short }) => short > 0)) return "not enough"
  return percent(materials.reduce((chance, { chance_enough }) => chance * chance_enough, 1))
}

/** The covering that leaves most to be seen. */
function coveredSays({ layers }: WorkedPlan): string {
  const shares = layers.flatMap(({ covered }) => covered ?? [])
  return shares.length === 0 ? "not meant to" : `${Math.round(Math.min(...shares) * 100)} %`
}

/** What tells a plan from another: its layers, with the options in which they differ. */
export function differenceSays(plan: Plan, other: Plan): string {
  const layers = (plan.layers ?? []).flatMap((layer) => {
    const before = other.layers?.find(({ id }) => id === layer.id)
    const changed = Object.entries(layer).filter(
      ([name, value]) => name !== "id" && JSON.stringify(before?.[name]) !== JSON.stringify(value),
    )
    return changed.map(([name, value]) => `${name.replaceAll("_", " ")} ${wordsOf(value, plan)}`)
  })
  const form = Object.entries(plan.form)
    .filter(([name, value]) => JSON.stringify(other.form[name]) !== JSON.stringify(value))
    .map(([name, value]) => `${name.replaceAll("_", " ")} ${wordsOf(value, plan)}`)
  return [...form, ...layers].join(", ")
}

function wordsOf(value: unknown, plan: Plan): string {
  const material = plan.materials?.find(({ id }) => id === value)
  if (material) return material.name
  return typeof value === "object" ? JSON.stringify(value) : String(value).replaceAll("_", " ")
}
