import { Bar } from "./Bar"
import { useState } from "react"
import type { Difference } from "../keep/differences"
import { Differences } from "./Conflict"

/** That another device has changed what is on this screen, and how; nothing of it is lost, and nothing is asked. */
export function ChangedElsewhere({
  what,
  changed,
  onClose,
}: {
  what: string
  changed: Difference[]
  onClose: () => void
}) {
  const [open, setOpen] = useState(false)
  if (changed.length === 0) return null
  return (
    <Bar>
      <p>
        <strong>This {what} was changed on another device.</strong> It is shown as it is now.
      </p>
      <button type="button" className="btn" onClick={onClose}>
        All right
      </button>
      <button type="button" className="link" aria-expanded={open} onClick={() => setOpen(!open)}>
        What was changed
      </button>
      {open && <Differences all={changed} sides={["Before", "Now"]} />}
    </Bar>
  )
}
