import type { Step } from "../keep/client"
import { turnSays } from "./turn"

/** The one big number of a step, with where it stands in its round. */
export function Counter({ step, count }: { step: Step; count: number }) {
  const total = step.count ?? 0
  return (
    <div
      className="flex flex-wrap items-end gap-x-5"
      role="status"
      aria-live="polite"
      aria-label={`${count} of ${total} ${step.unit ?? ""}`}
    >
      <span
        data-count
        className="font-display text-[clamp(5rem,16vw,10.5rem)] leading-[0.85] font-extrabold tracking-tight"
      >
        {count}
      </span>
      <span className="pb-2">
        <span className="block font-display text-3xl text-quiet">
          of {total} {step.unit}
        </span>
        {turnSays(step, count) && <span className="block text-2xl font-semibold">{turnSays(step, count)}</span>}
        <span className="block text-xl text-quiet">{roundSays(step, count) ?? nextSays(step, count)}</span>
      </span>
    </div>
  )
}

/** Where the next one stands in its round: "over 3 of 4, repeat 5". */
export function roundSays(step: Step, count: number): string | undefined {
  const pattern = step.pattern
  if (!pattern || count >= (step.count ?? 0)) return undefined
  const round = pattern.reduce((sum, part) => sum + part.count, 0)
  let within = count % round
  for (const part of pattern) {
    if (within < part.count) {
      const rounds = `${step.rounds ?? "round"} ${Math.floor(count / round) + 1}`
      return `next: ${part.says} ${within + 1} of ${part.count}, ${rounds}`
    }
    within -= part.count
  }
  return undefined
}

/** When the length that is being laid comes to its end. */
export function nextSays(step: Step, count: number): string {
  const total = step.count ?? 0
  if (count >= total) return count > total ? `${count - total} more than planned` : "all of them"
  const at = step.changes?.findIndex((change) => change > count) ?? -1
  if (at < 0 || !step.changes) return `${total - count} to go`
  const left = step.changes[at]! - count
  return `length ${at + 1} ends in about ${left} ${step.unit}`
}
