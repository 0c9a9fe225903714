import type { Plan, PlanLayer } from "../keep/client"
import { useNotebook } from "../keep/queries"

type Taken = { method: string; material: string; factor: number; spread: number; makes: number }

const isTaken = (each: Record<string, unknown>): each is Taken =>
  typeof each.method === "string" && typeof each.factor === "number"

/** What finished makes teach of a layer: offered, taken up by the plan, or left. */
export function Allowance({
  plan,
  layer,
  onChange,
}: {
  plan: Plan
  layer: PlanLayer
  onChange: (plan: Plan) => void
}) {
  const learned = useNotebook().data?.learned ?? []
  const taken = (plan.learned ?? []).filter(isTaken)
  const about = (each: { method: string; material: string }) =>
    each.method === layer.method &&
    (each.material === layer.material || (layer.materials ?? []).includes(each.material))
  const keep = (next: Taken[]) => onChange({ ...plan, learned: next.length > 0 ? next : undefined })
  const ownOf = (each: { method: string; material: string }) =>
    taken.find((one) => one.method === each.method && one.material === each.material)
  return (
    <>
      {learned
        .filter((each) => about(each) && (each.lesson || ownOf(each)))
        .map((each) => {
          const own = ownOf(each)
          const current = own && own.factor === each.factor && own.makes === each.makes
          const { method, material, factor, spread, makes } = each
          return (
            <p
              key={each.material}
              className="flex flex-wrap items-center gap-3 border-l-4 border-secondary py-1 pl-3"
            >
              <span>
                {each.says} {each.name}.
              </span>
              {current ? (
                <>
                  <span className="text-sm text-quiet">The plan counts with it.</span>
                  <button
                    type="button"
                    className="link text-sm"
                    onClick={() => keep(taken.filter((one) => one !== own))}
                  >
                    Leave it out
                  </button>
                </>
              ) : (
                <button
                  type="button"
                  className="btn"
                  onClick={() =>
                    keep([...taken.filter((one) => one !== own), { method, material, factor, spread, makes }])
                  }
                >
                  Plan with it
                </button>
              )}
            </p>
          )
        })}
    </>
  )
}
