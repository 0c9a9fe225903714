import type { Drawing, Material, Step } from "../../keep/client"

type Lie = Drawing["layers"][number]

/** What was laid last, and what comes next, as materials of their own. */
export const [LATEST, NEXT] = ["·latest", "·next"]

/** How these look: amber, and pale. */
export const LIT: Material[] = [
  { id: LATEST, kind: "coat", name: "the latest", colour: "var(--color-primary)" },
  { id: NEXT, kind: "coat", name: "the next", colour: "color-mix(in oklab, var(--color-primary) 35%, transparent)" },
]

/** How far a wreath is made: which step is being done, and how much of it and of those before is counted. */
export interface Moment {
  current: number
  counts: Record<string, number>
}

/** Pieces that a step lays; one that counts nothing is done at once. */
const pieces = ({ count }: Step) => Math.max(count ?? 1, 1)

/** How many moments there are from the bare form to the finished wreath. */
export const lastMoment = (steps: Step[]) => steps.reduce((sum, step) => sum + pieces(step), 0)

/** The wreath after so many pieces, in the order of the steps. */
export function momentAt(steps: Step[], after: number): Moment {
  const counts: Record<string, number> = {}
  let left = Math.max(after, 0)
  for (const [current, step] of steps.entries()) {
    const all = pieces(step)
    if (step.count !== undefined) counts[step.id] = Math.min(left, step.count)
    if (left < all) return { current, counts }
    left -= all
  }
  // Beyond the last step everything lies where it lies.
  return { current: steps.length, counts }
}

/** The moment at which the bench stands. */
export const momentOf = (steps: Step[], { current, counts }: Moment) =>
  lastMoment(steps.slice(0, current)) +
  Math.min(counts[steps[current]?.id ?? ""] ?? 0, lastMoment(steps.slice(current, current + 1)))

/** A lie as far as it is made: what was counted, the last of it and the next as lies of their own. */
export function laidAt(lie: Lie, steps: Step[], { current, counts }: Moment): Lie[] {
  const own = steps.map((step, index) => ({ step, index })).filter(({ step }) => step.layer === lie.layer)
  // What no step lays by itself is shown by its share of the step that ends the layer.
  const end = own.at(-1)
  const counted =
    own.find(({ step }) => step.lays === lie.key && step.count !== undefined) ??
    (end?.step.count === undefined ? undefined : end)
  const last = counted ?? end
  if (!last || last.index < current) return [lie]
  if (last.index > current) return []
  return counted ? partOf(lie, counted.step, counts[counted.step.id] ?? 0) : [lie]
}

/** So many pieces are drawn together, and not anew while others come. */
const TOGETHER = 48
const chunks = new WeakMap<Lie, Lie[]>()

const slice = (lie: Lie, from: number, to: number): Lie => ({
  ...lie,
  front: lie.front.slice(from, to),
  back: lie.back.slice(from, to),
  written: lie.written?.slice(from, to),
  pictured: lie.pictured?.slice(from, to),
})

/** What of a lie is there, in parts; those that are whole are the same each time, and not drawn anew. */
export function inParts(lie: Lie, done: number): Lie[] {
  if (done <= TOGETHER) return [slice(lie, 0, done)]
  const whole = Math.floor(done / TOGETHER)
  const kept = chunks.get(lie) ?? []
  for (let i = kept.length; i < whole; i += 1) kept.push(slice(lie, i * TOGETHER, (i + 1) * TOGETHER))
  chunks.set(lie, kept)
  return [...kept.slice(0, whole), ...(done > whole * TOGETHER ? [slice(lie, whole * TOGETHER, done)] : [])]
}

function partOf(lie: Lie, step: Step, count: number): Lie[] {
  const all = lie.front
  const done = Math.min(Math.round((count / (step.count ?? 1)) * all.length), all.length)
  // What is only shown by its share of a step is nothing that the hands take up next.
  const coming = step.lays === lie.key ? 1 : 0
  return [
    slice(lie, 0, done),
    ...lit(lie, NEXT, all.slice(done, done + coming)),
    ...lit(lie, LATEST, all.slice(Math.max(done - 1, 0), done)),
  ]
}

function lit({ written: _, pictured: __, more: ___, ...lie }: Lie, as: string, items: Lie["front"]): Lie[] {
  if (items.length === 0) return []
  return [{ ...lie, materials: [as], front: items.map((item) => ({ ...item, colour: 0 })), back: [] }]
}
