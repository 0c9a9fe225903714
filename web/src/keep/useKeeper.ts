import { useEffect, useState } from "react"
import { Keeper, type Saving, type Ways } from "./keeper"

/**
 * A {@link Keeper} for a screen: sends what waits when the screen is left for another, and when the page goes.
 * One screen keeps one thing; for another it is another screen (give it a key).
 */
export function useKeeper<Change, Answer>(ways: Omit<Ways<Change, Answer>, "onSaving">) {
  const [saving, setSaving] = useState<Saving>("saved")
  const [keeper] = useState(() => new Keeper<Change, Answer>())
  useEffect(() => keeper.goBy({ ...ways, onSaving: setSaving }), [keeper, ways])
  useEffect(() => {
    const leave = () => keeper.leave()
    window.addEventListener("pagehide", leave)
    return () => {
      window.removeEventListener("pagehide", leave)
      void keeper.flush()
    }
  }, [keeper])
  return { keeper, saving }
}
