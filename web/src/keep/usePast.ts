import { useCallback, useState } from "react"
import { moved, noted, type Past } from "./past"

/** The changes that this device made to a document, to be taken back and done again. */
export function usePast<Said>(own: (said: Said) => unknown) {
  const [past, setPast] = useState<Past<Said>>({ done: [], undone: [] })
  return {
    ...past,
    note: useCallback(
      (before: Said, after: Said) => {
        const now = Date.now()
        setPast((past) => noted(past, before, after, own, now))
      },
      [own],
    ),
    /** What it is when so many changes are taken back, or, of less than nothing, done again. */
    move: useCallback(
      (steps: number) => {
        const there = moved(past, steps)
        setPast(there.past)
        return there.said
      },
      [past],
    ),
    forget: useCallback(() => setPast({ done: [], undone: [] }), []),
  }
}
