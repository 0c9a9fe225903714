import { useCallback, useRef, useState } from "react"

/** What is shown, and the same for whoever asks between two drawings of the screen. */
export function useShown<Said>() {
  const [shown, setShown] = useState<Said>()
  const latest = useRef<Said>(undefined)
  const show = useCallback((next: Said) => {
    latest.current = next
    setShown(next)
  }, [])
  const now = useCallback(() => latest.current, [])
  return { shown, now, show }
}
