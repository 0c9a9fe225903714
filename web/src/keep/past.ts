import { differences, NOT_SAID } from "./differences"

/** One change of a document: what it was before and is after, in words. */
export interface Step<Said> {
  before: Said
  after: Said
  /** Which field, where it is one alone. */
  what?: string
  says: string
}

/** The changes that this device made, and those of them that were taken back. */
export interface Past<Said> {
  done: Step<Said>[]
  undone: Step<Said>[]
}

const MOST_STEPS = 100
/** A change in words: "bow: tail: 6 in to 7 in". */
export function changeSays(before: unknown, after: unknown): { what?: string; says: string } | undefined {
  const all = differences(before, after)
  const first = all[0]
  if (!first) return undefined
  const what = first.what.replace(/^(layers|materials): /, "")
  const says =
    first.mine === NOT_SAID
      ? first.theirs === "there"
        ? `${what} added`
        : `${what}: ${first.theirs}`
      : first.theirs === NOT_SAID
        ? first.mine === "there"
          ? `${what} taken out`
          : `${what}: ${first.mine} taken out`
        : `${what}: ${first.mine} to ${first.theirs}`
  return all.length === 1 ? { what, says } : { says: `${says}, and ${all.length - 1} more` }
}

/** The past with one more change, or with more of the last one; what was taken back before it is gone. */
export function noted<Said>(
  past: Past<Said>,
  before: Said,
  after: Said,
  own: (said: Said) => unknown,
  more: boolean,
): Past<Said> {
  const change = changeSays(own(before), own(after))
  if (!change) return past
  const last = past.done.at(-1)
  if (last && more && change.what !== undefined && last.what === change.what) {
    const whole = changeSays(own(last.before), own(after))
    const earlier = past.done.slice(0, -1)
    return { done: whole ? [...earlier, { ...last, ...whole, after }] : earlier, undone: [] }
  }
  return { done: [...past.done, { before, after, ...change }].slice(-MOST_STEPS), undone: [] }
}

/** So many changes taken back, or, of less than nothing, done again. */
export function moved<Said>(past: Past<Said>, steps: number): { past: Past<Said>; said?: Said } {
  const all = [...past.done, ...past.undone.toReversed()]
  const left = Math.min(Math.max(past.done.length - steps, 0), all.length)
  const said = left < past.done.length ? all[left]?.before : all[left - 1]?.after
  if (left === past.done.length) return { past }
  return { past: { done: all.slice(0, left), undone: all.slice(left).toReversed() }, said }
}
