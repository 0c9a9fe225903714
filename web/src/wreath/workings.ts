import type { Step, WorkedPlan, WorkingLine } from "../keep/client"

interface Part {
  caption: string
  lines: WorkingLine[]
}

/** The sums behind a place in the worked plan, ready to be set. */
export function workingFor(worked: WorkedPlan, place: string): Part[] {
  const [room = "", id] = place.split(/\.(.*)/s)
  const layers = worked.layers
    .filter((layer) => !id || layer.id === id)
    .map((layer) => ({ caption: layer.title, lines: layer.working }))
  const materials = worked.materials
    .filter((material) => (!id || material.id === id) && material.working.length > 0)
    .map((material) => ({ caption: material.name, lines: material.working }))
  if (room === "layers") return layers
  if (room === "materials") return materials
  if (room === "cost") return [...materials, { caption: "Money", lines: worked.cost_working }]
  return [
    { caption: `Time for ${worked.quantity === 1 ? "one wreath" : "each wreath"}`, lines: worked.steps.map(timeOf) },
  ]
}

const timeOf = (step: Step): WorkingLine => ({
  key: step.id,
  says: step.title,
  sum: step.count ? `${step.count} ${(step.count === 1 ? step.unit_one : step.unit) ?? ""}` : "",
  answer: `${Math.round(step.minutes)} min`,
})
