import MagicWand from "magic-wand-tool"
import type { Place } from "./taps"

/** The pixels of a photo, as a canvas gives them. */
export interface Pixels {
  data: Uint8ClampedArray
  width: number
  height: number
}

/** The box of what is left of a photo, in its pixels, and its outline in thousandths of the box's width. */
export interface Left {
  x: number
  y: number
  width: number
  height: number
  outline: number[][]
}

/** As many corners as an outline may have. */
const MOST_CORNERS = 240
/** What is so much shorter round than the largest that is left is a speck of what lies about it. */
const SPECK = 1 / 20
/** How far an outline may lie beside the true one, in pixels; more where it has too many corners. */
const BESIDE = 1

/**
 * What is taken off: from every tap as far as the colour is alike.
 * @param alike by how much a pixel may differ in each of red, green and blue, of 255
 * @returns a 1 for every pixel that goes
 */
export function takenOff(photo: Pixels, taps: Place[], alike: number): Uint8Array {
  const { data, width, height } = photo
  const off = new Uint8Array(width * height)
  for (const [x, y] of taps) {
    const at = (most: number, place: number) => Math.min(Math.max(Math.floor(place), 0), most - 1)
    const flooded = MagicWand.floodFill(
      { data, width, height, bytes: 4 },
      at(width, x),
      at(height, y),
      alike,
      off.slice(),
      false,
    )
    flooded?.data.forEach((taken, i) => {
      if (taken) off[i] = 1
    })
  }
  return off
}

/** What is left of a photo; nothing where all of it was taken off. */
export function leftOf({ width, height }: Pick<Pixels, "width" | "height">, off: Uint8Array): Left | undefined {
  const data = off.map((taken) => 1 - taken)
  const bounds = { minX: 0, minY: 0, maxX: width - 1, maxY: height - 1 }
  const contours = MagicWand.traceContours({ data, width, height, bounds }).filter(({ inner }) => !inner)
  const largest = contours.reduce(
    (best, each) => (each.points.length > (best?.points.length ?? 0) ? each : best),
    contours[0],
  )
  if (!largest) return undefined
  const things = contours.filter(({ points }) => points.length >= largest.points.length * SPECK)
  let [left, top, right, bottom] = [width, height, 0, 0]
  for (const { points } of things) {
    for (const { x, y } of points) {
      left = Math.min(left, x)
      top = Math.min(top, y)
      right = Math.max(right, x + 1)
      bottom = Math.max(bottom, y + 1)
    }
  }
  let corners = largest.points
  for (let beside = BESIDE; corners.length > MOST_CORNERS || beside === BESIDE; beside *= 1.5) {
    corners = MagicWand.simplifyContours([largest], beside, MOST_CORNERS / 4)[0]!.points
  }
  if (corners.length < 3) return undefined
  const share = (from: number, place: number) => Math.round(((place + 0.5 - from) / (right - left)) * 1000)
  const outline = corners.map(({ x, y }) => [share(left, x), share(top, y)])
  return { x: left, y: top, width: right - left, height: bottom - top, outline }
}
