import { del, get, keys, set, update } from "idb-keyval"
import { atLeisure, dropWaiting } from "./atLeisure"
import { isBusy, Refusal } from "./client"

/**
 * What was seen lately, kept on this device: while the server is away, it is shown as it was then. Only what was asked
 * for is kept, and of wreaths the last few; whoever signs out takes it along.
 */

/** So many wreaths can be opened while the server is away, of each what it says and what it comes to in two parts. */
const MOST = 30
const PARTS = 3
const INDEX = "lately"

/** Whether a call failed because nobody was there to answer it. */
export const isAway = (error: unknown) => !(error instanceof Refusal) || [0, 502, 503, 504].includes(error.status)

/** Asks; and keeps the answer, or gives the one that was kept when nobody answers. */
export async function lately<T>(name: string, ask: () => Promise<T>): Promise<T> {
  try {
    const answer = await ask()
    atLeisure(name, () => void keep(name, answer))
    return answer
  } catch (error) {
    const kept = isAway(error) ? await recall<T>(name) : undefined
    if (kept === undefined) throw error
    return kept
  }
}

/** The same of an answer that holds for one question only: another question has no answer while nobody is there. */
export async function latelyOf<Q, T>(name: string, question: Q, ask: () => Promise<T>): Promise<T> {
  let failed: unknown
  const asked = async () => {
    const answer = await ask().catch((error: unknown) => {
      failed = error
      throw error
    })
    return { question, answer }
  }
  const kept = await lately(name, asked)
  if (kept.question === question) return kept.answer
  if (JSON.stringify(kept.question) !== JSON.stringify(question)) throw isBusy(failed) ? failed : new Refusal(AWAY)
  return kept.answer
}

const AWAY = [
  {
    at: "",
    says:
      "The server is away, so this cannot be worked out now. " +
      "What you changed is kept on this screen until it is back.",
  },
]

/** Nothing of it stays on a device that signs out or is shut out; what it did itself and could not send yet does. */
export const forgetAll = async () => {
  dropWaiting()
  const names = [...((await get<string[]>(INDEX)) ?? []), ...(await keys()).filter((name) => isMove(String(name)))]
  await Promise.all([...names, ...ALWAYS, INDEX].map((name) => del(name)))
  if ("caches" in window) await Promise.all(["pictures", "sheets"].map((name) => caches.delete(name)))
}

/** What every screen needs is never the one that has to go. */
const ALWAYS = ["account", "settings", "declarations", "notebook"]
/** How the hands go is little, and no wreath has to go for it. */
const isMove = (name: string) => name.startsWith("move ")

/** Keeps what this device has made of something itself. */
export function noteLately(name: string, answer: unknown) {
  dropWaiting(name)
  void keep(name, answer)
}

/** What was kept of something before, if anything was. */
export const seenLately = <T>(name: string) => recall<T>(name)

async function keep(name: string, answer: unknown) {
  // A device with no room, or that keeps nothing in private, does without.
  try {
    await set(name, answer)
    if (ALWAYS.includes(name) || isMove(name)) return
    let gone: string[] = []
    await update<string[]>(INDEX, (before = []) => {
      const names = [name, ...before.filter((each) => each !== name)]
      gone = names.slice(PARTS * MOST)
      return names.slice(0, PARTS * MOST)
    })
    await Promise.all(gone.map((each) => del(each)))
  } catch {
    return
  }
}

async function recall<T>(name: string): Promise<T | undefined> {
  try {
    return await get<T>(name)
  } catch {
    return undefined
  }
}
