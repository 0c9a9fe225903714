import { useSortable, verticalListSortingStrategy } from "@dnd-kit/sortable"
import { CSS } from "@dnd-kit/utilities"
import { useState } from "react"
import { ownOf, withOwnInOrder } from "../bench/ownSteps"
import type { ChangePlan, Plan, Step } from "../keep/client"
import { duration } from "../pieces/duration"
import { Grip, Sorting } from "../pieces/Sorting"

interface Props {
  plan: Plan
  steps: Step[]
  onChange: ChangePlan
}

/** All steps as the hands take them, and why; the maker’s own are moved among them. */
export function StepsInOrder({ plan, steps, onChange }: Props) {
  const [why, setWhy] = useState(false)
  const move = (from: number, to: number) => {
    const order = steps.filter((_, i) => i !== from)
    order.splice(to, 0, steps[from]!)
    onChange((now) => withOwnInOrder(now, order))
  }
  return (
    <>
      <label className="flex min-h-11 cursor-pointer items-center gap-2">
        <input
          type="checkbox"
          className="checkbox"
          checked={why}
          onChange={(event) => setWhy(event.target.checked)}
        />
        Say why each comes where it does
      </label>
      <Sorting
        items={steps.map(({ id, title }) => ({ id, says: title }))}
        strategy={verticalListSortingStrategy}
        onMove={move}
      >
        <ol aria-label="Steps in their order">
          {steps.map((step, i) => (
            <Line key={step.id} step={step} number={i + 1} own={ownOf(plan, step) !== undefined} why={why} />
          ))}
        </ol>
      </Sorting>
    </>
  )
}

function Line({ step, number, own, why }: { step: Step; number: number; own: boolean; why: boolean }) {
  const sortable = useSortable({ id: step.id, disabled: { draggable: !own } })
  const { setNodeRef, transform, transition, isDragging } = sortable
  return (
    <li
      ref={setNodeRef}
      className={`border-b border-base-300 bg-base-100 py-1 ${isDragging ? "relative z-10 border-primary" : ""}`}
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      <span className="flex items-baseline gap-2">
        {own && <Grip sortable={sortable} says={step.title} />}
        <span className="flex-1">
          {number}. {step.title}
        </span>
        <span className="text-sm text-quiet">
          {duration(Math.round(step.minutes))}
          {step.waits !== undefined && `, then ${duration(step.waits)} to dry`}
        </span>
      </span>
      {why &&
        step.because?.map((says) => (
          <span key={says} className="block text-sm text-quiet">
            {says}
          </span>
        ))}
    </li>
  )
}
