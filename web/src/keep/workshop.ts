/**
 * The workshop that this device is in. What a device keeps of a workshop is kept under names of its own, and the
 * server is told which workshop a screen believes to be in, so that nothing lands in another.
 */

const NAME = "lantern.workshop"
/** The workshop that is there from the beginning. */
export const FIRST = 1
/** How the server is told, and tells. */
const HEADER = "lantern-workshop"
/** What happens on a screen whose device has gone elsewhere. */
export const MOVED = "lantern.moved"

/** As this screen found it: another screen of the device may go elsewhere meanwhile. */
let found: number | undefined

const foundHere = () => (found ??= Number(globalThis.localStorage?.getItem(NAME)) || undefined)

export const workshopHere = () => foundHere() ?? FIRST

/** From now on this device is in this workshop. */
export function goneTo(workshop: number) {
  found = workshop
  localStorage.setItem(NAME, String(workshop))
}

/** The name under which something of this workshop is kept on this device. */
export const ownName = (name: string) => (workshopHere() === FIRST ? name : `${name}@${workshopHere()}`)

/** What every request says. */
export const ownHeaders = (): Record<string, string> =>
  foundHere() === undefined ? {} : { [HEADER]: String(workshopHere()) }

/** Whether an answer says that this device has gone to another workshop. */
export function hasMoved(response: Response | undefined): boolean {
  const moved = response?.status === 409 && response.headers.has(HEADER)
  if (moved) window.dispatchEvent(new Event(MOVED))
  return moved
}
