import type { Drawing } from "../keep/client"
import type { Measure, Point, Scale } from "./byHand"
import { fractionGlyphs } from "./fractions"

/**
 * From where a measure of a layer goes out on the drawing, and how far: along the first piece that has it, or from the
 * middle of it to its right where it is an outline, or round; or from the first of several to the next.
 */
export function measuredOf(drawing: Drawing, layer: string, measure: Measure): [Point, Point] | undefined {
  const { drawn, part, several } = measure
  if (several !== undefined) return toTheNext(drawing, layer, several)
  const lie = drawing.layers.find(
    (each) => each.layer === layer && drawn.includes(each.kind) && each.key.startsWith(part ?? ""),
  )
  const points = lie?.front[0]?.points ?? []
  if (!lie || points.length < 2) return undefined
  if (points.length !== 4) return toTheRight(points, lie.width)
  const [x0, y0, x1, y1] = points as [number, number, number, number]
  return [
    [x0, y0],
    [x1, y1],
  ]
}

/** From the middle of the first of several to that of the second, by the first of what all of them have. */
function toTheNext(drawing: Drawing, layer: string, several: number): [Point, Point] | undefined {
  const lie = drawing.layers.find(
    (each) => each.layer === layer && each.front.length >= several && each.front.length % several === 0,
  )
  if (!lie || several < 2) return undefined
  const each = lie.front.length / several
  const middleOf = (number: number) => middle(lie.front.slice(number * each, (number + 1) * each))
  return [middleOf(0), middleOf(1)]
}

/** From where they go out, where they go out from somewhere. */
function middle(pieces: { points: number[] }[]): Point {
  const [x, y, ...on] = pieces[0]!.points
  if (on.length === 2) return [x!, y!]
  const [xs, ys] = [0, 1].map((first) => pieces.flatMap(({ points }) => points.filter((_, i) => i % 2 === first)))
  return [(Math.min(...xs!) + Math.max(...xs!)) / 2, (Math.min(...ys!) + Math.max(...ys!)) / 2]
}

function toTheRight(points: number[], width: number): [Point, Point] {
  const ends = (first: 0 | 1): Point => {
    const along = points.filter((_, i) => i % 2 === first)
    return [Math.min(...along), Math.max(...along)]
  }
  const [[left, right], [top, bottom]] = [ends(0), ends(1)]
  const middle: Point = [(left + right) / 2, (top + bottom) / 2]
  return [middle, [left === right ? right + width / 2 : right, middle[1]]]
}

/** A length that is dragged out from where it begins, by the marks of a tape. */
export function outFrom(from: Point, to: Point, value: number, { mark, unit }: Measure): Scale {
  const [x, y] = [to[0] - from[0], to[1] - from[1]]
  const long = Math.hypot(x, y)
  // How far on the drawing one of it goes.
  const drawn = long / value
  const kept = (length: number) => Math.max(Math.round(length / mark), 1) * mark
  return {
    most: Math.ceil(value * 4),
    point: () => to,
    at: (px, py) => kept(((px - from[0]) * x + (py - from[1]) * y) / long / drawn),
    moved: (at, by) => kept(at + Math.sign(by) * mark),
    says: (at) => `${fractionGlyphs(fraction(Number(at)))} ${unit}`,
  }
}

/** As a tape says it, to a quarter: "7 1/4"; in centimetres as it is. */
const fraction = (length: number) => {
  const quarters = { 0.25: "1/4", 0.5: "1/2", 0.75: "3/4" }[length % 1]
  return quarters ? `${Math.floor(length) || ""} ${quarters}`.trim() : String(length)
}

/** The number in a length as it is said: 7.5 of "7 1/2 in". */
export function numberOf(said: string | undefined): number | undefined {
  const parts = said?.match(/^(\d+(?:\.\d+)?)?\s*(?:(\d+)\/(\d+))?/)
  if (!parts || (parts[1] === undefined && parts[2] === undefined)) return undefined
  return Number(parts[1] ?? 0) + (parts[2] ? Number(parts[2]) / Number(parts[3]) : 0)
}
