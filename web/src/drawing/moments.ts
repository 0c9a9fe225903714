import type { Step } from "../keep/client"

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
