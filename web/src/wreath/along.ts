import type { Covering, Field } from "../keep/client"

/** What declares options. */
type Optioned = Pick<Covering, "options">

/** What is asked of a worked plan here. */
interface Measured {
  form: { run: number }
  drawing: { form: { closed: boolean; members?: number } }
}

/** The options that say where along a form a covering goes, where it has them. */
export function wayOptions(covering?: Optioned): { from: Field; to: Field; part: Field } | undefined {
  const named = (name: string) => covering?.options.find((option) => option.name === name && option.kind !== "count")
  const [from, to] = [named("from"), named("to")]
  const part = covering?.options.find((option) => option.name === "part")
  return from && to && part ? { from, to, part } : undefined
}

/** Whether an option is one of those. */
export const isOfWay = (covering: Optioned | undefined, field: Field) =>
  Object.values(wayOptions(covering) ?? {}).includes(field)

/** To begin with: the right half of a form that goes round, the first half of one that is open. */
export function alongOf(worked?: Measured): [number, number] {
  if (!worked || worked.drawing.form.closed || (worked.drawing.form.members ?? 1) > 1) return [12, 6]
  return [0, Math.round((worked.form.run / 2) * 4) / 4]
}
