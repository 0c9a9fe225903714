import { memo, useId, useState } from "react"
import { Link } from "react-router"
import type { ChangePlan, Plan, Problem } from "../keep/client"
import type { Saving } from "../keep/keeper"
import { savingSays } from "../pieces/savingSays"
import { Changes, type PastOfPlan } from "./Changes"
import { put } from "./places"
import { WhatIf } from "./WhatIf"

interface Props {
  id: number
  plan: Plan
  saving: Saving
  problems: Problem[]
  onChange: ChangePlan
  past: PastOfPlan
  /** How far it is: planned, all there, cut, being made, made. */
  state?: string
}

const NAME =
  "w-96 max-w-full border-b border-transparent bg-transparent font-display text-2xl font-bold max-sm:text-lg " +
  "hover:border-base-300 focus:border-base-content"

/** What the wreath is called, how many alike are made, whether it is saved, and the way back. */
export const NameLine = memo(function NameLine({ id, plan, saving, problems, onChange, past, state }: Props) {
  const [more, setMore] = useState(false)
  const rest = useId()
  const number = (text: string) => (/^\d+$/.test(text) ? Number(text) : text)
  return (
    <div className="flex flex-wrap items-baseline gap-x-4 px-4 pt-2 max-sm:gap-x-3 max-sm:pt-1 sm:px-6">
      <h1 className="min-w-0 max-sm:flex-1">
        <input
          aria-label="Name of the wreath"
          className={NAME}
          value={plan.name ?? ""}
          onChange={(event) => onChange({ ...plan, name: event.target.value || undefined })}
        />
      </h1>
      <label className={`flex items-baseline gap-2 text-quiet ${more ? "" : "max-sm:hidden"}`} id={rest}>
        Wreaths alike
        <input
          className="input min-h-7 w-16"
          inputMode="numeric"
          aria-label="Wreaths alike"
          value={plan.quantity ?? 1}
          aria-invalid={problems.some((problem) => problem.at === "quantity")}
          onChange={(event) => onChange(put(plan, "quantity", number(event.target.value)))}
        />
      </label>
      {state && <span className="text-sm font-semibold text-secondary">{state}</span>}
      <span role="status" className="text-sm text-quiet max-sm:sr-only">
        {savingSays[saving]}
      </span>
      <Changes {...{ id, plan, past, onChange }} />
      <span className={`flex items-baseline gap-x-4 ${more ? "" : "max-sm:hidden"}`}>
        <WhatIf id={id} plan={plan} onChange={onChange} />
        <Link className="link" to={`/wreaths/${id}/door`}>
          On your door
        </Link>
      </span>
      <button
        type="button"
        className="link text-sm sm:hidden"
        aria-expanded={more}
        aria-controls={rest}
        onClick={() => setMore(!more)}
      >
        {more ? "Less" : "More"}
      </button>
    </div>
  )
})
