import { useState } from "react"
import { asBefore } from "./asBefore"

/** What was said last; what of it is the same as before stays the very same, so that nothing is drawn anew for it. */
export function useAsBefore<T>(now: T): T {
  const [heard, setHeard] = useState(now)
  const [kept, setKept] = useState(now)
  if (now === undefined || now === heard) return kept
  setHeard(now)
  const next = asBefore(kept, now)
  setKept(next)
  return next
}
