/** Where cloth that is gathered lies in folds. Corners go round a piece in the order in which a drawing has them. */
import { pathOf } from "./pathOf"

type Point = [number, number]

/** Where folds lie across a gathered strip. */
const SHARES = [0.2, 0.4, 0.62, 0.82]

const pairs = (points: number[]): Point[] =>
  Array.from({ length: points.length / 2 }, (_, i) => [points[2 * i]!, points[2 * i + 1]!])

const between = ([ax, ay]: Point, [bx, by]: Point, share: number): Point => [
  ax + (bx - ax) * share,
  ay + (by - ay) * share,
]

/** How far the way across lies beside the straight line from edge to edge. */
function bow(steps: Point[], share: number): Point {
  const piece = Math.min(Math.floor(share * 3), 2)
  const [x, y] = between(steps[piece]!, steps[piece + 1]!, share * 3 - piece)
  const [straightX, straightY] = between(steps[0]!, steps[3]!, share)
  return [x - straightX, y - straightY]
}

/**
 * Folds along a gathered strip. Its corners are one edge, two places across its end, the other edge back, two places
 * across its beginning; across a bend a fold follows the ends’ own curve.
 */
export function foldsAlong(points: number[]): string {
  const corners = pairs(points)
  const count = corners.length / 2 - 2
  const near = corners.slice(0, count)
  const far = corners.slice(count + 2, 2 * count + 2).reverse()
  const begins = [near[0]!, corners.at(-1)!, corners.at(-2)!, far[0]!]
  const ends = [near[count - 1]!, corners[count]!, corners[count + 1]!, far[count - 1]!]
  return SHARES.map((share) => {
    const [begun, ended] = [bow(begins, share), bow(ends, share)]
    return pathOf(
      near.flatMap((place, i) => {
        const [x, y] = between(place, far[i]!, share)
        const part = i / (count - 1)
        return [x + begun[0] * (1 - part) + ended[0] * part, y + begun[1] * (1 - part) + ended[1] * part]
      }),
    )
  }).join("")
}

const middleOf = (corners: Point[]): Point => [
  corners.reduce((sum, [x]) => sum + x, 0) / corners.length,
  corners.reduce((sum, [, y]) => sum + y, 0) / corners.length,
]

/** Folds from both ties of a loop, whose first corner lies at one and whose middle one at the other. */
export function foldsFromTies(points: number[]): string {
  const corners = pairs(points)
  const middle = middleOf(corners)
  const [half, quarter] = [corners.length / 2, corners.length / 4]
  return [0, half]
    .flatMap((tie) =>
      [quarter, undefined, 3 * quarter].map((side) => {
        const aim = side === undefined ? middle : between(middle, corners[side]!, 0.5)
        return pathOf([...corners[tie]!, ...between(corners[tie]!, aim, 0.62)])
      }),
    )
    .join("")
}

/** Along the side that the light falls on, a little within. */
export function litSideOf(points: number[]): string {
  const corners = pairs(points)
  const [x, y] = middleOf(corners)
  const angle = ([px, py]: Point) => (Math.atan2(py - y, px - x) + 2 * Math.PI) % (2 * Math.PI)
  const lit = corners.filter(([px, py]) => px + py < x + y).map((each) => between([x, y], each, 0.8))
  return pathOf(lit.sort((a, b) => angle(a) - angle(b)).flat())
}
