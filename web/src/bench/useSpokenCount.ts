import { useEffect, useRef, useState } from "react"
import type { Step } from "../keep/client"
import { roundSays, nextSays } from "./Counter"
import { canSpeak, speak, spokenSays } from "./spoken"

const KEPT = "crisp-lantern/spoken"

/** The count said aloud by the browser's own voice, when the maker asks for it. */
export function useSpokenCount(step: Step, count: number) {
  const [on, setOn] = useState(() => canSpeak() && localStorage.getItem(KEPT) === "yes")
  const before = useRef({ step: step.id, count })
  useEffect(() => {
    const { step: old, count: was } = before.current
    before.current = { step: step.id, count }
    if (on && old === step.id && was !== count)
      speak(spokenSays(step, count, roundSays(step, count) ?? nextSays(step, count)))
  }, [on, step, count])
  return {
    on,
    can: canSpeak(),
    turn: (next: boolean) => {
      localStorage.setItem(KEPT, next ? "yes" : "no")
      setOn(next)
      if (next) speak(`${count}`)
    },
  }
}
