import type { Plan, Step } from "../keep/client"

/** Which of the plan’s own steps a step at the bench is, from nought; none for every other. */
export function ownOf(step: Step): number | undefined {
  const number = /^own-(\d+)$/.exec(step.id)?.[1]
  return number === undefined ? undefined : Number(number) - 1
}

/** What a new step behind this one comes after: its layer, or what comes before or behind all layers. */
export function afterOf(step: Step): string {
  if (step.layer) return step.layer
  return ["prepare", "cut"].includes(step.id) ? step.id : "hang"
}

/** The plan with one of its own steps written, added or taken out. */
export function withOwn(plan: Plan, own: number | undefined, said: Record<string, unknown> | undefined): Plan {
  const steps = plan.steps ?? []
  if (own === undefined) return { ...plan, steps: said ? [...steps, said] : steps }
  return { ...plan, steps: steps.flatMap((step, i) => (i !== own ? [step] : said ? [said] : [])) }
}
