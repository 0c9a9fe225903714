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

/** What goes by these names, or everything, is not done any more. */
export const dropWaiting = (...names: string[]) =>
  names.length > 0 ? names.forEach((name) => waiting.delete(name)) : waiting.clear()

function doAll() {
  const all = [...waiting.values()]
  waiting.clear()
  all.forEach((each) => each())
}
