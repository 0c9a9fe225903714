const waiting = new Map<string, () => void>()

/** The longest that something waits for leisure, in milliseconds. */
const LONGEST = 2000

const whenIdle = (doIt: () => void) =>
  "requestIdleCallback" in window
    ? void window.requestIdleCallback(doIt, { timeout: LONGEST })
    : void setTimeout(doIt, 0)

/** Does something when nothing else is to be done; of what goes by one name only the latest. */
export function atLeisure(name: string, doIt: () => void) {
  const first = waiting.size === 0
  waiting.set(name, doIt)
  if (first) whenIdle(doAll)
}

function doAll() {
  const all = [...waiting.values()]
  waiting.clear()
  all.forEach((each) => each())
}
