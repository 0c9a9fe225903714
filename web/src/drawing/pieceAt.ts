import type { Drawing, Lie, Look } from "../keep/client"

type Point = [number, number]

const pairs = (points: number[]): Point[] =>
  Array.from({ length: points.length / 2 }, (_, i) => [points[2 * i]!, points[2 * i + 1]!])

/** How far a place is from a stretch. */
function away([x, y]: Point, [ax, ay]: Point, [bx, by]: Point): number {
  const [dx, dy] = [bx - ax, by - ay]
  const long = dx * dx + dy * dy
  const share = long === 0 ? 0 : Math.min(Math.max(((x - ax) * dx + (y - ay) * dy) / long, 0), 1)
  return Math.hypot(x - ax - share * dx, y - ay - share * dy)
}

/** Whether a place is within corners, by how often a ray to the right crosses their edge. */
const within = ([x, y]: Point, corners: Point[]) =>
  corners.reduce((inside, [ax, ay], i) => {
    const [bx, by] = corners.at(i - 1)!
    return ay > y !== by > y && x < ax + ((y - ay) * (bx - ax)) / (by - ay) ? !inside : inside
  }, false)

/** Whether a piece lies over a place, by what its marks are drawn along. */
function over(look: Look, lie: Lie, points: Point[], place: Point): boolean {
  const half = lie.width / 2
  return look.marks.some(({ shape, frame, paint }) => {
    if (paint !== "material") return false
    if (frame === "round") return away(place, points[0]!, points[0]!) <= half
    if (frame === "ends") return points.slice(1).some((to) => away(place, points[0]!, to) <= half)
    if (shape === "area" && frame === "points") return within(place, points)
    return points.slice(1).some((to, i) => away(place, points[i]!, to) <= half)
  })
}

/** The piece that is seen at a place of a drawing, found by where it lies: of which lie, and which of its pieces. */
export function pieceAt(
  lies: Drawing["layers"],
  looks: Record<string, Look>,
  side: "front" | "back",
  hidden: string[],
  place: Point,
): { lie: Lie; number: number } | undefined {
  for (const lie of lies.toReversed()) {
    const look = looks[lie.kind]
    if (!look || look.coat || hidden.includes(lie.layer)) continue
    const number = lie[side].findLastIndex(({ points }) => over(look, lie, pairs(points), place)) + 1
    if (number > 0) return { lie, number }
  }
  return undefined
}
