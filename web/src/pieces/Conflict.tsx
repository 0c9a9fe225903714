import { Bar } from "./Bar"
import { useState } from "react"
import type { Difference } from "../keep/differences"
import { Dialog } from "./Dialog"

interface Props {
  /** What was changed in two places. */
  what: string
  differences: Difference[]
  onSettle: (whose: "mine" | "theirs") => void
}

/**
 * Two of one thing: both are still there, and the maker says which goes on. Left without an answer, it stays in reach
 * as a bar at the head of the screen.
 */
export function Conflict({ what, differences, onSettle }: Props) {
  const [open, setOpen] = useState(true)
  const title = `This ${what} was changed somewhere else`
  const answers = (
    <>
      <button type="button" className="btn btn-primary" onClick={() => onSettle("mine")}>
        Keep mine
      </button>
      <button type="button" className="btn" onClick={() => onSettle("theirs")}>
        Take theirs
      </button>
    </>
  )
  if (!open) {
    return (
      <Bar urgent>
        <p>
          <strong>{title}.</strong> What you change is kept on this device until you choose.
        </p>
        {answers}
        <button type="button" className="link" onClick={() => setOpen(true)}>
          What differs
        </button>
      </Bar>
    )
  }
  return (
    <Dialog title={title} onClose={() => setOpen(false)}>
      <p>It was saved elsewhere while you were changing it here. Both are still there; choose which goes on.</p>
      <Differences all={differences} sides={["Yours", "Theirs"]} />
      <p className="flex gap-3">{answers}</p>
    </Dialog>
  )
}

/** What two of one thing say differently, field by field. */
export function Differences({ all, sides }: { all: Difference[]; sides: [string, string] }) {
  if (all.length === 0) return <p className="py-3">Both say the same now.</p>
  return (
    <table className="my-3 w-full text-left">
      <thead>
        <tr>
          <th scope="col">What</th>
          {sides.map((side) => (
            <th key={side} scope="col">
              {side}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {all.map((each) => (
          <tr key={each.what} className="border-t border-base-300">
            <th scope="row" className="py-1 pr-3 font-normal">
              {each.what}
            </th>
            <td className="py-1 pr-3">{each.mine}</td>
            <td className="py-1">{each.theirs}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
