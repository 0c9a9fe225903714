import type { Step } from "../keep/client"
import { duration } from "../pieces/duration"

/** How far it is made and how long it may still take: "40 % done, about 35 min to go". */
export function toGo(steps: Step[], current: number, counts: Record<string, number>): string {
  const all = steps.reduce((sum, step) => sum + step.minutes, 0)
  const left = steps
    .slice(current)
    .reduce((sum, step, i) => sum + step.minutes * (i === 0 ? open(step, counts) : 1), 0)
  const time = duration(Math.ceil(left))
  const done = Math.round((1 - left / all) * 100)
  return done === 0 ? `Not started, about ${time}` : `${done} % done, about ${time} to go`
}

/** The share of a step that is still to be done. */
function open(step: Step, counts: Record<string, number>): number {
  return step.count ? Math.max(1 - (counts[step.id] ?? 0) / step.count, 0) : 1
}
