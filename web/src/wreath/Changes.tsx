import { useState } from "react"
import type { ChangePlan, Plan } from "../keep/client"
import { changeSays, type Step } from "../keep/past"
import { useHistory } from "../keep/queries"
import { Dialog } from "../pieces/Dialog"
import { Problem } from "../pieces/Problem"

export interface PastOfPlan {
  done: Step<Plan>[]
  undone: Step<Plan>[]
  goBack: (steps: number) => void
}

interface Props {
  id: number
  plan: Plan
  past: PastOfPlan
  onChange: ChangePlan
}

/** What was changed here just now: taken back, done again; and all that was changed before, on any device. */
export function Changes({ id, plan, past, onChange }: Props) {
  const { done, undone, goBack } = past
  const [open, setOpen] = useState(false)
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
        <Dialog title="What was changed" onClose={() => setOpen(false)}>
          {done.length + undone.length > 0 && (
            <>
              <h3 className="text-lg">Here, just now</h3>
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
            </>
          )}
          <Earlier id={id} plan={plan} onChange={onChange} />
        </Dialog>
      )}
    </span>
  )
}

/** What a plan says itself: what a material is and costs, the stash says. */
const own = ({ materials, ...plan }: Plan) => ({ ...plan, materials: materials?.map(({ id }) => ({ id })) })

/** The plan as it was before each time that it was changed. Going back is one more change, and can be taken back. */
function Earlier({ id, plan, onChange }: Omit<Props, "past">) {
  const { data: versions, error } = useHistory(id)
  if (error) return <Problem>{error.message}</Problem>
  const lines = (versions ?? []).flatMap(({ version, at, plan: then }, i) => {
    const change = changeSays(own(then), own(versions![i - 1]?.plan ?? plan))
    return change ? [{ version, then, says: `${when(at)}: ${change.says}` }] : []
  })
  return (
    <>
      <h3 className="pt-4 text-lg">On any device</h3>
      {versions && lines.length === 0 && <p className="text-quiet">Nothing was changed since it was begun.</p>}
      <ol aria-label="Changes on any device, the newest first">
        {lines.map(({ version, then, says }) => (
          <Line
            key={version}
            says={says}
            taken="As it was before"
            onTake={() => onChange({ ...then, name: plan.name })}
          />
        ))}
      </ol>
    </>
  )
}

const when = (at: string) =>
  new Date(at).toLocaleString("en-GB", { day: "numeric", month: "long", hour: "2-digit", minute: "2-digit" })

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
