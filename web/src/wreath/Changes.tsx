import { useState } from "react"
import type { Plan } from "../keep/client"
import type { Step } from "../keep/past"
import { Dialog } from "../pieces/Dialog"

export interface PastOfPlan {
  done: Step<Plan>[]
  undone: Step<Plan>[]
  goBack: (steps: number) => void
}

/** What was changed here just now: taken back, done again, and all of it to look at. */
export function Changes({ past: { done, undone, goBack } }: { past: PastOfPlan }) {
  const [open, setOpen] = useState(false)
  if (done.length + undone.length === 0) return null
  const last = done.at(-1)
  const next = undone.at(-1)
  return (
    <span className="flex gap-4 text-sm">
      {last && (
        <button type="button" className="link" title={last.says} onClick={() => goBack(1)}>
          Undo
        </button>
      )}
      {next && (
        <button type="button" className="link" title={next.says} onClick={() => goBack(-1)}>
          Redo
        </button>
      )}
      <button type="button" className="link" onClick={() => setOpen(true)}>
        Changes
      </button>
      {open && (
        <Dialog title="Changed here just now" onClose={() => setOpen(false)}>
          <ol aria-label="Changes, the newest first">
            {undone.map((step, i) => (
              <Line
                key={`undone ${i}`}
                says={step.says}
                taken="Do it again"
                onTake={() => goBack(i - undone.length)}
              />
            ))}
            {done.toReversed().map((step, i) => (
              <Line
                key={`done ${done.length - i}`}
                says={step.says}
                taken="Back to before"
                onTake={() => goBack(i + 1)}
              />
            ))}
          </ol>
        </Dialog>
      )}
    </span>
  )
}

function Line({ says, taken, onTake }: { says: string; taken: string; onTake: () => void }) {
  return (
    <li className="row">
      <span>{says}</span>
      <button type="button" className="btn" aria-label={`${taken}: ${says}`} onClick={onTake}>
        {taken}
      </button>
    </li>
  )
}
