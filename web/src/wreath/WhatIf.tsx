import { useState } from "react"
import { Thumbnail } from "../drawing/Thumbnail"
import type { Plan, WorkedPlan } from "../keep/client"
import { useWholeWork } from "../keep/queries"
import { Dialog } from "../pieces/Dialog"
import { Prose } from "../pieces/Prose"
import { alike, differenceSays, heldFrom, holding, rows } from "./variants"

interface Props {
  id: number
  plan: Plan
  onChange: (plan: Plan) => void
}

/** Holds a plan beside the one on the table, and sets them side by side: what if? */
export function WhatIf({ id, plan, onChange }: Props) {
  const name = `lantern.held.${id}`
  const [held, setHeld] = useState<Plan[]>(() => heldFrom(sessionStorage.getItem(name)))
  const [looking, setLooking] = useState(false)
  const keep = (next: Plan[]) => {
    sessionStorage.setItem(name, JSON.stringify(next))
    setHeld(next)
  }
  const others = held.filter((each) => !alike(each, plan))
  return (
    <>
      <button
        type="button"
        className="link text-sm"
        title="Keeps this plan beside what you try next"
        disabled={held.length > others.length}
        onClick={() => keep(holding(held, plan))}
      >
        {held.length > others.length ? "Held" : "Hold this"}
      </button>
      {others.length > 0 && (
        <button type="button" className="link text-sm" onClick={() => setLooking(true)}>
          What if: compare {others.length + 1}
        </button>
      )}
      {looking && (
        <SideBySide
          plans={[plan, ...others]}
          onKeep={(chosen) => {
            if (chosen !== plan)
              keep(
                holding(
                  others.filter((each) => each !== chosen),
                  plan,
                ),
              )
            if (chosen !== plan) onChange({ ...chosen, name: plan.name })
            setLooking(false)
          }}
          onClose={() => setLooking(false)}
        />
      )}
    </>
  )
}

interface SideProps {
  /** The one on the table first. */
  plans: Plan[]
  onKeep: (plan: Plan) => void
  onClose: () => void
}

function SideBySide({ plans, onKeep, onClose }: SideProps) {
  const now = plans[0]!
  return (
    <Dialog title="What if?" wide="yes" onClose={onClose}>
      <div className={`grid gap-4 ${plans.length > 2 ? "sm:grid-cols-3" : "sm:grid-cols-2"}`}>
        {plans.map((plan, index) => (
          <Variant
            key={index}
            plan={plan}
            title={index === 0 ? "On the table" : `Held ${index}`}
            says={index === 0 ? "as it is now" : differenceSays(plan, now)}
            onKeep={() => onKeep(plan)}
          />
        ))}
      </div>
    </Dialog>
  )
}

interface VariantProps {
  plan: Plan
  title: string
  says: string
  onKeep: () => void
}

/** One of them: its drawing, and its figures. */
function Variant({ plan, title, says, onKeep }: VariantProps) {
  const { data } = useWholeWork(plan)
  return (
    <section aria-label={title}>
      <h3 className="text-lg">{title}</h3>
      <p className="min-h-10 text-sm text-quiet">
        <Prose>{says}</Prose>
      </p>
      {data?.worked ? (
        <>
          <div className="mx-auto h-44 w-44">
            <Thumbnail drawing={data.worked.drawing} materials={plan.materials ?? []} label={`${title}, drawn`} />
          </div>
          <Figures worked={data.worked} />
        </>
      ) : (
        <p className="text-quiet">{data?.problems[0]?.says ?? "Adding up…"}</p>
      )}
      <button type="button" className="btn" onClick={onKeep}>
        Keep this one
      </button>
    </section>
  )
}

function Figures({ worked }: { worked: WorkedPlan }) {
  return (
    <dl className="py-2">
      {rows.map(([label, of]) => (
        <div key={label} className="flex justify-between gap-3 border-b border-base-300 py-1">
          <dt className="text-quiet">{label}</dt>
          <dd className="text-right font-semibold">
            <Prose>{of(worked)}</Prose>
          </dd>
        </div>
      ))}
    </dl>
  )
}
