import { useQuery } from "@tanstack/react-query"
import { useState } from "react"
import { api, problemsOf, type Plan } from "../keep/client"
import { keys } from "../keep/keys"
import { Prose } from "../pieces/Prose"

interface Props {
  plan: Plan
  layer: number
  onTry: (changes: Record<string, unknown>) => void
}

/** The covering worked backwards: what the stash allows, or a sum of money. */
export function WorkBackwards({ plan, layer, onTry }: Props) {
  const [open, setOpen] = useState(false)
  const [budget, setBudget] = useState("")
  const asked = useQuery({
    queryKey: keys.backwards(plan, layer, budget),
    enabled: open,
    queryFn: async ({ signal }) => {
      const { data, error } = await api.POST("/backwards", {
        body: { plan, layer, ...(budget.trim() === "" ? {} : { budget: budget.trim() }) },
        signal,
      })
      return data ? { answers: data.answers } : { problems: problemsOf(error) }
    },
  }).data
  return (
    <details className="pt-1" open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="cursor-pointer py-2 font-semibold">Work backwards</summary>
      <div className="row">
        <label htmlFor="backwards-budget">
          May be spent
          <small className="block text-sm leading-snug text-quiet">Left empty: nothing, only what is on hand.</small>
        </label>
        <input
          id="backwards-budget"
          className="field-input"
          inputMode="decimal"
          value={budget}
          onChange={(event) => setBudget(event.target.value)}
        />
      </div>
      {asked?.problems?.map((problem) => (
        <p key={problem.says} role="alert" className="text-sm font-semibold text-error">
          {problem.says}
        </p>
      ))}
      <ul aria-label="Worked backwards">
        {asked?.answers?.map((answer) => (
          <li
            key={answer.key}
            className="flex items-center justify-between gap-3 border-b border-dotted border-base-300 py-1.5"
          >
            <span>
              <Prose>{answer.says}</Prose>
            </span>
            {answer.try && (
              <button type="button" className="plain-button shrink-0" onClick={() => onTry(answer.try!)}>
                Use it
              </button>
            )}
          </li>
        ))}
      </ul>
    </details>
  )
}
