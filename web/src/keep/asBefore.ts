/** Of longer lists the ends are looked at first: where both differ, so does what is between them. */
const LONG = 16

/**
 * A new answer, in which whatever is the same as before is the very same: nothing of that is drawn anew. Where much
 * has changed, as where strips lie after a size was typed, it is not gone through piece by piece.
 */
export function asBefore<T>(before: unknown, now: T): T {
  if (Object.is(before, now)) return now
  if (Array.isArray(before) && Array.isArray(now)) return listAsBefore(before, now) as T
  if (!isRecord(before) || !isRecord(now)) return now
  const names = Object.keys(now)
  let same = names.length === Object.keys(before).length
  const kept: Record<string, unknown> = {}
  for (const name of names) {
    kept[name] = asBefore(before[name], now[name])
    if (!(name in before) || !Object.is(kept[name], before[name])) same = false
  }
  return (same ? before : kept) as T
}

function listAsBefore(before: unknown[], now: unknown[]): unknown[] {
  if (now.length > LONG) {
    if (now.length !== before.length) return now
    if (![0, now.length - 1].some((end) => Object.is(asBefore(before[end], now[end]), before[end]))) return now
  }
  const kept = now.map((each, i) => asBefore(before[i], each))
  return kept.length === before.length && kept.every((each, i) => Object.is(each, before[i])) ? before : kept
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === "object" && value !== null && !Array.isArray(value)
