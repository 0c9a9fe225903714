import type { Bench } from "../keep/client"

/** Something that happened at the bench, with a name of its own, so that it counts once however often it is sent. */
export interface Happened {
  event: string
  step: string
  kind: "count" | "go" | "time"
  amount: number
  /** The make that it belongs to: the one at the bench when it arrives, where this table was not told yet. */
  make?: number
}

/** Where a wreath stands; before the server has said so, nobody knows how many makes of it are finished. */
export type Stand = Omit<Bench, "make"> & { make?: number }

/** What a table remembers of a wreath: what the server last said, and what it may not have heard yet. */
export interface Kept {
  bench: Stand
  waiting: Happened[]
}

export const nothing: Stand = { counts: {}, seconds: {}, place: null, finished: 0 }

/** What was kept on this table, from its text; nothing when that cannot be read. */
export function keptFrom(text: string | null): Kept {
  try {
    const kept: unknown = JSON.parse(text ?? "")
    return isKept(kept) ? kept : { bench: nothing, waiting: [] }
  } catch {
    return { bench: nothing, waiting: [] }
  }
}

const isKept = (kept: unknown): kept is Kept =>
  typeof kept === "object" && kept !== null && "waiting" in kept && Array.isArray(kept.waiting) && "bench" in kept

/**
 * Sums by step: what has arrived, and what is still on its way, one after the other; a count never falls below nothing.
 * What belongs to a make that is finished counts for no other.
 */
export function sums(kind: "count" | "time", { bench, waiting }: Kept): Record<string, number> {
  const arrived = kind === "count" ? bench.counts : bench.seconds
  return waiting
    .filter((each) => each.kind === kind && isOf(bench, each))
    .reduce<Record<string, number>>(
      (all, each) => ({ ...all, [each.step]: Math.max((all[each.step] ?? 0) + each.amount, 0) }),
      arrived,
    )
}

/** The step that somebody went to last. */
export const placeOf = ({ bench, waiting }: Kept): string | undefined =>
  waiting.findLast((each) => each.kind === "go" && isOf(bench, each))?.step ?? bench.place ?? undefined

const isOf = (bench: Stand, { make }: Happened) => make === undefined || make >= (bench.make ?? 0)

/** What still waits after some of it has arrived. */
export function without(waiting: Happened[], arrived: Happened[]): Happened[] {
  const names = new Set(arrived.map((each) => each.event))
  return waiting.filter((each) => !names.has(each.event))
}
