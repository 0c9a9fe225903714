import type { Coverage, WorkedPlan } from "./client"

/**
 * A worked plan of its two parts: what was answered first, and what was looked at afterwards. Until that is there, what
 * it was before keeps its room, so that nothing jumps: how much is covered, what was said of that, which stages were
 * settled. Only the places stay away that would point beside the drawing.
 *
 * @param fresh whether the second part is of this very plan
 */
export function followed(first: WorkedPlan, coverage: Coverage | undefined, fresh: boolean): WorkedPlan {
  if (!coverage) return first
  return {
    ...first,
    form: { ...first.form, ...coverage.form },
    layers: first.layers.map((layer) => withCoverage(layer, coverage.layers[layer.id], fresh)),
    stages: fresh ? coverage.stages : { ...coverage.stages, ...first.stages },
    drawing: fresh ? { ...first.drawing, gaps: [...first.drawing.gaps, ...coverage.gaps] } : first.drawing,
  }
}

type Layer = WorkedPlan["layers"][number]

function withCoverage(layer: Layer, looked: Coverage["layers"][string] | undefined, fresh: boolean): Layer {
  if (!looked) return layer
  if (fresh) return { ...layer, ...looked }
  const said = looked.findings.filter(({ code }) => code === "bare")
  return { ...layer, covered: looked.covered, findings: [...layer.findings, ...said] }
}

/** Whether something of a plan is still to be looked at: then a stage waits for it. */
export const isToBeLookedAt = ({ stages }: WorkedPlan) => stages.cover === undefined || stages.trim === undefined
