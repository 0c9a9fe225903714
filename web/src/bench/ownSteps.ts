import type { Plan, Step } from "../keep/client"

/** Which of the plan’s own steps a step at the bench is, from nought; none for every other. */
export function ownOf(plan: Plan, step: Step): number | undefined {
  const index = (plan.steps ?? []).findIndex(
    (own, i) => step.move === "own" && (own.id ?? `own-${i + 1}`) === step.id,
  )
  return index < 0 ? undefined : index
}

/** What a step behind this one says that it comes after: its layer, where it is the last step of that, which stays so
 * whatever becomes of the layer’s steps; else the step itself. Nothing comes after the look from a distance. */
export function behind(steps: Step[], step: Step): string {
  if (step.id === "fluff") return "hang"
  const last = steps.filter(({ layer }) => layer === step.layer).at(-1)
  return step.layer && last === step ? step.layer : step.id
}

/** The plan with one of its own steps written, added or taken out. */
export function withOwn(plan: Plan, own: number | undefined, said: Record<string, unknown> | undefined): Plan {
  const steps = plan.steps ?? []
  if (own === undefined) return { ...plan, steps: said ? [...steps, said] : steps }
  return { ...plan, steps: steps.flatMap((step, i) => (i !== own ? [step] : said ? [said] : [])) }
}

/** The plan whose own steps stand as they do in a new order of the bench; those that are not in it stay as they are. */
export function withOwnInOrder(plan: Plan, order: Step[]): Plan {
  const given = plan.steps ?? []
  const placed = new Set<number>()
  let place: Record<string, string> = { before: order.find(({ move }) => move !== "own")?.id ?? "prepare" }
  const steps = order.flatMap((step) => {
    const own = ownOf(plan, step)
    if (own === undefined) {
      place = { after: behind(order, step) }
      return []
    }
    placed.add(own)
    const { after: _after, before: _before, ...rest } = given[own]!
    return [{ ...rest, ...place }]
  })
  return { ...plan, steps: [...steps, ...given.filter((_, i) => !placed.has(i))] }
}
