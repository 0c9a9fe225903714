import type { Drawing } from "../keep/client"
import type { Measure, Point, Scale } from "./byHand"
import { fractionGlyphs } from "./fractions"

/** From where a measure of a layer goes out on the drawing, and how far: of the first piece that has it. */
export function measuredOf(drawing: Drawing, layer: string, { drawn }: Measure): [Point, Point] | undefined {
  const lie = drawing.layers.find((each) => each.layer === layer && each.kind === drawn)
  const [x0, y0, x1, y1] = lie?.front[0]?.points ?? []
  if (x0 === undefined || y0 === undefined || x1 === undefined || y1 === undefined) return undefined
  return [
    [x0, y0],
    [x1, y1],
  ]
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
