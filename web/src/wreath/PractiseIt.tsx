import { Link } from "react-router"
import type { Covering, Plan, PlanLayer } from "../keep/client"
import { triedOf } from "../practice/useTried"

interface Props {
  plan: Plan
  layer: PlanLayer
  covering?: Covering
}

/** The way to practise what a layer takes; and what was found before that it has not taken up. */
export function PractiseIt({ plan, layer, covering }: Props) {
  if (!covering || covering.stage === "hang") return null
  const measured = covering.options.some(({ name }) => name === "test_piece")
  const found = layer.test_piece === undefined ? triedOf(plan, layer) : undefined
  const to = `../practice?layer=${encodeURIComponent(String(layer.id))}`
  return (
    <p className="flex flex-wrap items-center gap-3 py-1">
      {found && <span>You practised it with this material{found.on ? ` on ${found.on}` : ""}.</span>}
      <Link className={found ? "btn" : "link"} relative="path" to={to}>
        {found ? "See what it changes" : measured ? "Practise it on a few first" : "Practise it, with the clock"}
      </Link>
    </p>
  )
}
