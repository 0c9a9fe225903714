/** Places tapped on a photo: where the sheet's corners lie, and the edges of the form. */

export type Place = [number, number]

export interface Target {
  /** `corners`, `outline`, or a size of the form. */
  name: string
  says: string
  how: string
  /** So many taps are wanted at least; and no more than these. */
  least: number
  most: number
}

export type Taps = Record<string, Place[]>

const ROUND = ["outside", "inside"]

/** What is tapped on a photo of a form with these sizes, in turn. */
export function targetsOf(sizes: { name: string; label: string }[], outline: boolean): Target[] {
  const corners = {
    name: "corners",
    says: "The sheet’s corners",
    how: "Tap its four corners, one after another round the sheet.",
    least: 4,
    most: 4,
  }
  const each = sizes.map(({ name, label }) =>
    ROUND.includes(name)
      ? { name, says: label, how: "Tap three places or more, all round this edge.", least: 2, most: 24 }
      : { name, says: label, how: "Tap the two edges that it lies between.", least: 2, most: 2 },
  )
  const round = { name: "outline", says: "The outline", how: "Tap corner after corner along the middle of the band." }
  return [corners, ...each, ...(outline ? [{ ...round, least: 3, most: 140 }] : [])]
}

/** One more tap; on a target that has all it takes, the nearest of its taps goes there instead. */
export function tapped(taps: Taps, target: Target, place: Place): Taps {
  const own = taps[target.name] ?? []
  if (own.length < target.most) return { ...taps, [target.name]: [...own, place] }
  const nearest = own.reduce((best, each, i) => (apart(each, place) < apart(own[best]!, place) ? i : best), 0)
  return { ...taps, [target.name]: own.map((each, i) => (i === nearest ? place : each)) }
}

const apart = ([x, y]: Place, [u, v]: Place) => Math.hypot(x - u, y - v)

/** Without the last tap of a target. */
export const untapped = (taps: Taps, name: string): Taps => ({ ...taps, [name]: (taps[name] ?? []).slice(0, -1) })

/** The target that is next: the first that wants more taps, after the one that just got one. */
export function nextTarget(targets: Target[], taps: Taps, now: string): string {
  const target = targets.find(({ name }) => name === now)
  const full = target !== undefined && (taps[now]?.length ?? 0) >= target.most
  if (!full) return now
  return targets.find(({ name, least }) => (taps[name]?.length ?? 0) < least)?.name ?? now
}

/** What can be measured already: the sizes with taps enough, once the sheet's corners are there. */
export function measurable(targets: Target[], taps: Taps) {
  if (taps.corners?.length !== 4) return undefined
  const has = ({ name, least }: Target) => (taps[name]?.length ?? 0) >= least
  const sizes = targets.filter((each) => each.name !== "corners" && each.name !== "outline" && has(each))
  const outline = targets.some((each) => each.name === "outline" && has(each)) ? taps.outline! : []
  if (sizes.length === 0 && outline.length === 0) return undefined
  return { corners: taps.corners, sizes: sizes.map(({ name }) => ({ name, taps: taps[name]! })), outline }
}
