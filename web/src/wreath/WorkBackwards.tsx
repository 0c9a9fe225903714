import { useState } from "react"
import { saysOf, type Plan } from "../keep/client"
import { useQuestion } from "../keep/useQuestion"
import { Prose } from "../pieces/Prose"
import { Problem } from "../pieces/Problem"
import { Field } from "../pieces/Field"

interface Props {
  plan: Plan
  layer: number
  onTry: (changes: Record<string, unknown>) => void
}

/** The covering worked backwards: what the stash allows, or a sum of money. */
export function WorkBackwards({ plan, layer, onTry }: Props) {
  const [open, setOpen] = useState(false)
  const [budget, setBudget] = useState("")
  const sum = budget.trim()
  const { data, error } = useQuestion(
    "/ask/backwards",
    open ? { plan, layer, ...(sum === "" ? {} : { budget: sum }) } : undefined,
  )
  return (
    <details className="pt-1" open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="cursor-pointer py-2 font-semibold">Work backwards</summary>
      <Field label="May be spent" help="Left empty: nothing, only what is on hand.">
        {(labelled) => (
          <input
            {...labelled}
            className="input"
            inputMode="decimal"
            value={budget}
            onChange={(event) => setBudget(event.target.value)}
          />
        )}
      </Field>
      {error && <Problem small>{saysOf(error)}</Problem>}
      <ul aria-label="Worked backwards">
        {!error &&
          data?.answers.map((answer) => (
            <li
              key={answer.key}
              className="flex items-center justify-between gap-3 border-b border-dotted border-base-300 py-1.5"
            >
              <span>
                <Prose>{answer.says}</Prose>
              </span>
              {answer.try && (
                <button type="button" className="btn shrink-0" onClick={() => onTry(answer.try!)}>
                  Use it
                </button>
              )}
            </li>
          ))}
      </ul>
    </details>
  )
}
