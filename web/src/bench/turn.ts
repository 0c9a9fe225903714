import type { Step } from "../keep/client"

/** Which material comes next: "Next: 2 Indigo tape, then Marigold tape". */
export function turnSays(step: Step, count: number): string | undefined {
  let before = 0
  for (const [index, { says, count: many }] of (step.sequence ?? []).entries()) {
    before += many
    if (count >= before) continue
    const then = step.sequence?.[index + 1]
    return `Next: ${before - count} ${says}${then ? `, then ${then.says}` : ""}`
  }
  return undefined
}
