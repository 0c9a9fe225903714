import { useCallback, useInsertionEffect, useRef } from "react"

/** The same function each time, which calls what was given last: whoever is handed it is not drawn anew for it. */
export function useLatest<Given extends unknown[], Answer>(call: (...given: Given) => Answer) {
  const latest = useRef(call)
  useInsertionEffect(() => {
    latest.current = call
  })
  return useCallback((...given: Given) => latest.current(...given), [])
}
