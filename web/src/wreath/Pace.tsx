import type { Plan, PlanLayer } from "../keep/client"
import { useNotebook } from "../keep/queries"

interface Props {
  plan: Plan
  layer: PlanLayer
  onChange: (plan: Plan) => void
}

/** How long finished makes of a covering really took: offered, taken up by the plan, or left. */
export function Pace({ plan, layer, onChange }: Props) {
  const learned = useNotebook().data?.paces.find((each) => each.method === layer.method)
  const own = plan.paces?.find((each) => each.method === layer.method)
  const others = (plan.paces ?? []).filter((each) => each.method !== layer.method)
  const keep = (paces: NonNullable<Plan["paces"]>) =>
    onChange({ ...plan, paces: paces.length > 0 ? paces : undefined })
  if (!learned && own) return <Practised onLeave={() => keep(others)} />
  if (!learned || (!learned.lesson && !own)) return null
  const { method, factor, makes, percent } = learned
  const taken = own?.factor === factor && own?.makes === makes
  return (
    <p className="flex flex-wrap items-center gap-3 border-l-4 border-secondary py-1 pl-3">
      <span>
        Your last {makes === 1 ? "one" : makes} took {Math.abs(percent)} % {percent > 0 ? "longer" : "less time"}.
      </span>
      {taken && <span className="text-sm text-quiet">The times count with it.</span>}
      <button
        type="button"
        className={taken ? "link text-sm" : "btn"}
        onClick={() => keep(taken ? others : [...others, { method, factor, makes }])}
      >
        {taken ? "Leave the time as it was" : "Plan the time with it"}
      </button>
    </p>
  )
}

/** A time that no make has taught yet. */
function Practised({ onLeave }: { onLeave: () => void }) {
  return (
    <p className="flex flex-wrap items-center gap-3 border-l-4 border-secondary py-1 pl-3">
      <span className="text-sm text-quiet">The times count with what you practised.</span>
      <button type="button" className="link text-sm" onClick={onLeave}>
        Leave the time as it was
      </button>
    </p>
  )
}
