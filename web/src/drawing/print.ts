/**
 * How a thing looks is declared with it, as marks; here they become paths. All pieces that have one mark and one paint,
 * and lie on one level, are one path. Paper is printed by the same rules: both are held to one fixture.
 */
import type { Look, Mark } from "../keep/client"

export interface Item {
  points: number[]
  colour: number
}

/** One path: the mark it is of, what it is painted with, and its path data. */
export interface Printed {
  mark: Mark
  paint: string
  path: string
}

/** What a piece of a colour is painted with that runs in a direction. */
type Paint = (colour: number, direction: number) => string

type Point = [number, number]
type Place = [number, number, number]

/** Of how many directions a strip’s texture takes the nearest. */
export const DIRECTIONS = 24

/** A mark in one piece: which way its texture runs, and its path. */
interface Framed {
  direction: number
  path: string
}

interface Piece {
  points: Point[]
  colour: number
  number: number
}

/**
 * The pieces of a lie as few paths, the undermost first.
 *
 * @param from the number of the first of them, where some before it are left out
 */
export function print(look: Look, width: number, items: Item[], paint: Paint, far = false, from = 0): Printed[] {
  const half = width / 2
  const pieces = items.map(({ points, colour }, i): Piece => ({ points: pairs(points), colour, number: from + i }))
  const marks = far ? look.marks.filter((mark) => mark.paint === "material" && !mark.near) : look.marks
  const levels = far ? [pieces] : levelsOf(look, half, pieces)
  return levels.flatMap((level) => marks.flatMap((mark) => printed(look, mark, half, level, paint)))
}

function printed(look: Look, mark: Mark, half: number, level: Piece[], paint: Paint): Printed[] {
  const paths = new Map<string, string>()
  for (const { points, colour, number } of level) {
    for (const { direction, path } of frames[mark.frame](mark, points, half, look, look.turn * number)) {
      const painted = mark.paint === "material" ? paint(colour, direction) : mark.paint
      paths.set(painted, (paths.get(painted) ?? "") + path)
    }
  }
  return [...paths].map(([painted, path]) => ({ mark, paint: painted, path }))
}

function pairs(points: number[]): Point[] {
  const paired: Point[] = []
  for (let i = 0; i < points.length; i += 2) paired.push([points[i]!, points[i + 1]!])
  return paired
}

/** A number as drawings have it, to a thousandth; half of one is rounded away from nothing. */
const number = (value: number) => {
  const thousandths = value < 0 ? -Math.round(-value * 1000) : Math.round(value * 1000)
  return thousandths === 0 ? "0" : String(thousandths / 1000)
}

const text = ([x, y]: Point) => `${number(x)} ${number(y)}`

const between = ([ax, ay]: Point, [bx, by]: Point, share: number): Point => [
  ax + (bx - ax) * share,
  ay + (by - ay) * share,
]

/** A mark’s own path, its places put where `at` says; half a circle is as wide as the strip. */
function pathOf(mark: Mark, at: (place: Place) => string, half = 0): string {
  let path = ""
  let arc: string | undefined
  // Thousands of times in a drawing: nothing is made here but the text.
  for (const step of mark.path as [string, ...Place[]][]) {
    path += step[0] === "A" ? (arc ??= `A${number(half)} ${number(half)} 0 0 1 `) : step[0]
    for (let i = 1; i < step.length; i += 1) path += i === 1 ? at(step[1]!) : ` ${at(step[i] as Place)}`
  }
  return path
}

type Frame = (mark: Mark, points: Point[], half: number, look: Look, turn: number) => Framed[]

/** What the places in the path of a mark mean for one piece. */
const frames: Record<Mark["frame"], Frame> = {
  legs: (mark, points, half, look) => legs(mark, points, half, look, (i) => points[i - 1]!),
  ends: (mark, points, half, look) => legs(mark, points, half, look, () => points[0]!),
  round: (mark, [at], half, _, turn) => [along(mark, at!, half, half, (turn * Math.PI) / 180)],
  points: (mark, points) => [
    {
      direction: mark.grain ? directionOf(angleOf(points[0]!, points[Math.floor(points.length / 2) - 1]!)) : 0,
      path: `M${points.map(text).join("L")}${mark.shape === "area" ? "Z" : ""}`,
    },
  ],
  strip: (mark, points) => [{ direction: 0, path: strip(mark, points) }],
  hull: (mark, points) => [{ direction: 0, path: hull(mark, points) }],
}

const angleOf = ([ax, ay]: Point, [bx, by]: Point) => Math.atan2(by - ay, bx - ax)

/** The nearest of the directions: a strip has neither front nor back. */
const directionOf = (angle: number) => {
  const half = ((angle % Math.PI) + Math.PI) % Math.PI
  return Math.floor((half * DIRECTIONS) / Math.PI + 0.5) % DIRECTIONS
}

/** To each point but the first, from where its leg begins; one that is too short is nothing. */
function legs(mark: Mark, points: Point[], half: number, look: Look, from: (i: number) => Point): Framed[] {
  const framed: Framed[] = []
  for (let i = 1; i < points.length; i += 1) {
    const [begins, ends] = [from(i), points[i]!]
    const length = Math.hypot(ends[0] - begins[0], ends[1] - begins[1])
    if (length < 1e-6) continue
    const slim = look.slender === undefined ? half : Math.min(half, length * look.slender)
    framed.push(along(mark, begins, length, slim, angleOf(begins, ends)))
  }
  return framed
}

/** Along a line: shares of its length, halves of the width. */
function along(mark: Mark, [x, y]: Point, length: number, half: number, angle: number): Framed {
  const cos = Math.cos(angle)
  const sin = Math.sin(angle)
  // Light comes from the upper left.
  const lit = cos - sin >= 0 ? -1 : 1
  const way = mark.side === undefined ? 1 : mark.side === "lit" ? lit : -lit
  const path = pathOf(
    mark,
    (place) => {
      const far = place[0] * length + place[1] * half
      const aside = place[2] * half * way
      return `${number(x + far * cos - aside * sin)} ${number(y + far * sin + aside * cos)}`
    },
    half,
  )
  return { direction: directionOf(angle), path }
}

/** How far the way across lies beside the straight line from edge to edge. */
function bow(steps: Point[], share: number): Point {
  const piece = Math.min(Math.floor(share * 3), 2)
  const [x, y] = between(steps[piece]!, steps[piece + 1]!, share * 3 - piece)
  const [straightX, straightY] = between(steps[0]!, steps[3]!, share)
  return [x - straightX, y - straightY]
}

/**
 * Lines along a strip by its corners: one edge, two places across its end, the other edge back, two places across its
 * beginning; at its ends across the bend that the ends have.
 */
function strip(mark: Mark, corners: Point[]): string {
  const count = corners.length / 2 - 2
  const near = corners.slice(0, count)
  const far = corners.slice(count + 2, 2 * count + 2).reverse()
  const begins = [near[0]!, corners.at(-1)!, corners.at(-2)!, far[0]!]
  const ends = [near[count - 1]!, corners[count]!, corners[count + 1]!, far[count - 1]!]
  return (mark.along ?? [])
    .map((share) => {
      const [begun, ended] = [bow(begins, share), bow(ends, share)]
      const places = near.map((place, i): Point => {
        const [x, y] = between(place, far[i]!, share)
        const part = i / (count - 1)
        return [x + begun[0] * (1 - part) + ended[0] * part, y + begun[1] * (1 - part) + ended[1] * part]
      })
      return `M${places.map(text).join("L")}`
    })
    .join("")
}

/** Round a hull by its corners: how far round, and how far out from its middle; with a side, from where light falls. */
function hull(mark: Mark, corners: Point[]): string {
  const count = corners.length
  const sum = ([x, y]: Point) => x + y
  const middle: Point = [
    corners.reduce((total, [x]) => total + x, 0) / count,
    corners.reduce((total, [, y]) => total + y, 0) / count,
  ]
  const lit = corners.reduce((best, each, i) => (sum(each) < sum(corners[best]!) ? i : best), 0)
  return pathOf(mark, ([round, , out]) => {
    const place = (round + (mark.side === undefined ? 0 : lit / count)) * count
    const first = Math.floor(place)
    const corner = (i: number) => corners[((i % count) + count) % count]!
    return text(between(middle, between(corner(first), corner(first + 1), place - first), out))
  })
}

type Box = [number, number, number, number]

/** Pieces that lie over one another are on levels of their own. */
function levelsOf(look: Look, half: number, pieces: Piece[]): Piece[][] {
  if (look.order === "beside" || pieces.length < 2) return [pieces]
  const room = beyond(look) * half
  const levels: { piece: Piece; box: Box }[][] = []
  for (const piece of pieces) {
    const box = boxOf(piece.points, room)
    const over = (level: { box: Box }[]) => level.some((each) => meet(box, each.box))
    const at: number =
      look.order === "kept" ? levels.findLastIndex(over) + 1 : levels.findIndex((level) => !over(level))
    const level = at === -1 ? levels.length : at
    levels[level] = [...(levels[level] ?? []), { piece, box }]
  }
  return levels.map((level) => level.map(({ piece }) => piece))
}

function boxOf(points: Point[], room: number): Box {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)]
  return [Math.min(...xs) - room, Math.min(...ys) - room, Math.max(...xs) + room, Math.max(...ys) + room]
}

const meet = (a: Box, b: Box) => a[0] < b[2] && b[0] < a[2] && a[1] < b[3] && b[1] < a[3]

/** How far its marks lie beyond the points of a piece, in halves of the width. */
function beyond(look: Look): number {
  const far = (mark: Mark) => {
    if (!mark.path || !["legs", "ends", "round"].includes(mark.frame)) return (mark.width ?? mark.edge ?? 0) / 2
    const path = mark.path as [string, ...Place[]][]
    const places = path.flatMap(([, ...each]) => each)
    return Math.max(
      path.some(([letter]) => letter === "A") ? 1 : 0,
      ...places.map(([share, halves, across]) => {
        if (mark.frame === "round") return Math.hypot(share + halves, across)
        return Math.max(Math.abs(across), share >= 1 ? halves : share <= 0 ? -halves : 0)
      }),
    )
  }
  return Math.max(0, ...look.marks.map(far))
}
