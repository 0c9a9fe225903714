import { ownName } from "./workshop"

/**
 * What was changed on this device and is not kept yet, with the version that it was made from: when the page goes, or
 * the browser dies, before the maker has chosen or the server has answered, it is there again on the next loading.
 */
export interface Draft<Said> {
  version: number
  said: Said
}

const nameOf = (what: string, id: number) => ownName(`lantern.draft.${what}.${id}`)

export function draftOf<Said>(what: string, id: number): Draft<Said> | undefined {
  try {
    const draft: unknown = JSON.parse(localStorage.getItem(nameOf(what, id)) ?? "null")
    return isDraft<Said>(draft) ? draft : undefined
  } catch {
    return undefined
  }
}

export function keepDraft<Said>(what: string, id: number, draft: Draft<Said>) {
  try {
    localStorage.setItem(nameOf(what, id), JSON.stringify(draft))
  } catch {
    // A device with no room, or that keeps nothing in private, has it on the screen.
  }
}

export function dropDraft(what: string, id: number) {
  try {
    localStorage.removeItem(nameOf(what, id))
  } catch {
    // There was none.
  }
}

const isDraft = <Said>(draft: unknown): draft is Draft<Said> =>
  typeof draft === "object" &&
  draft !== null &&
  "said" in draft &&
  "version" in draft &&
  typeof draft.version === "number"
