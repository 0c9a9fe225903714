import { useCallback, useEffect, useRef, useState } from "react"
import { moved, noted, type Past } from "./past"

/** Whether a field was left, or something else touched, since the last change. */
function useLeft() {
  const left = useRef(true)
  useEffect(() => {
    const leave = () => {
      left.current = true
    }
    window.addEventListener("focusout", leave, true)
    window.addEventListener("pointerdown", leave, true)
    return () => {
      window.removeEventListener("focusout", leave, true)
      window.removeEventListener("pointerdown", leave, true)
    }
  }, [])
  return left
}

/** The changes that this device made to a document, to be taken back and done again. */
export function usePast<Said>(own: (said: Said) => unknown) {
  const [past, setPast] = useState<Past<Said>>({ done: [], undone: [] })
  const leftRef = useLeft()
  return {
    ...past,
    /** What is typed into one field, and what is dragged in one go, is one change. */
    note: useCallback(
      (before: Said, after: Said) => {
        const more = !leftRef.current
        leftRef.current = false
        setPast((past) => noted(past, before, after, own, more))
      },
      [leftRef, own],
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
