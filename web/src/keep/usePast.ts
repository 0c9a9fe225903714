import { useCallback, useState } from "react"

const MOST_STEPS = 100

/** What something was before each of the last changes, to be taken back one by one. */
export function usePast<Said>() {
  const [past, setPast] = useState<Said[]>([])
  return {
    any: past.length > 0,
    note: useCallback((before: Said) => setPast((steps) => [...steps, before].slice(-MOST_STEPS)), []),
    /** The last of them, which is no step any more. */
    takeBack: useCallback(() => {
      setPast(past.slice(0, -1))
      return past.at(-1)
    }, [past]),
    forget: useCallback(() => setPast([]), []),
  }
}
