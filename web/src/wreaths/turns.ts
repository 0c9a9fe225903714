/** Takes turns: at most so many at once; the others wait, in order. */
export function turns(most: number) {
  let busy = 0
  const waiting: (() => void)[] = []
  const next = () => {
    if (busy >= most) return
    const begin = waiting.shift()
    if (!begin) return
    busy += 1
    begin()
  }
  /** Calls back when it is one’s turn. What is answered ends the turn, or the wait for it. */
  return (begin: () => void): (() => void) => {
    let state: "waiting" | "on" | "over" = "waiting"
    const mine = () => {
      state = "on"
      begin()
    }
    waiting.push(mine)
    next()
    return () => {
      if (state === "waiting") waiting.splice(waiting.indexOf(mine), 1)
      else if (state === "on") busy -= 1
      state = "over"
      next()
    }
  }
}
