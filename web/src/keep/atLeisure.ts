const waiting = new Map<string, () => void>()
/** Whether a pause of the browser is waited for already. */
let awaited = false

/** The longest that something waits for leisure, in milliseconds. */
const LONGEST = 2000
/** So many milliseconds are left of a pause in which another thing is begun. */
const ENOUGH = 10

/** How much of a pause is left, where the browser says it. */
type Pause = Pick<IdleDeadline, "timeRemaining" | "didTimeout">
const SHORT: Pause = { timeRemaining: () => 0, didTimeout: false }

const whenIdle = (doIt: (pause: Pause) => void) =>
  "requestIdleCallback" in window
    ? void window.requestIdleCallback(doIt, { timeout: LONGEST })
    : void setTimeout(() => doIt(SHORT), 0)

/** Does something when nothing else is to be done; of what goes by one name only the latest. */
export function atLeisure(name: string, doIt: () => void) {
  waiting.set(name, doIt)
  if (!awaited) awaitPause()
}

/** What goes by these names, or everything, is not done any more. */
export const dropWaiting = (...names: string[]) =>
  names.length > 0 ? names.forEach((name) => waiting.delete(name)) : waiting.clear()

function awaitPause() {
  awaited = true
  whenIdle(doSome)
}

/** As much as there is time for, one of them in any case; all of it where no pause came for so long. */
function doSome(pause: Pause) {
  awaited = false
  try {
    for (const [name, doIt] of waiting) {
      waiting.delete(name)
      doIt()
      if (!pause.didTimeout && pause.timeRemaining() < ENOUGH) break
    }
  } finally {
    if (waiting.size > 0 && !awaited) awaitPause()
  }
}
