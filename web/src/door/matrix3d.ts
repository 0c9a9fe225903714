/** Three rows of three: from a place on a drawing (x, y, 1) to what is seen of it, times its depth. */
export type Matrix = number[][]

/**
 * The same as a style: for an element as wide as a drawing is, so many pixels to a unit of it, that begins at the
 * drawing's left and top; shown at a scale of the picture.
 */
export function matrix3d(matrix: Matrix, [left, top]: readonly number[], pixels: number, scale: number): string {
  const [x, y, depth] = matrix.map(([a = 0, b = 0, c = 0]) => [
    a / pixels,
    b / pixels,
    a * (left ?? 0) + b * (top ?? 0) + c,
  ]) as [number[], number[], number[]]
  const columns = [0, 1, 2].map((i) => [x[i]! * scale, y[i]! * scale, 0, depth[i]!])
  const flat = [...columns[0]!, ...columns[1]!, 0, 0, 1, 0, ...columns[2]!]
  return `matrix3d(${flat.map((number) => Number(number.toPrecision(12))).join(", ")})`
}

/** How far from left to right and from top to bottom some places lie. */
export function extentOf(places: number[][]): number {
  const along = (i: number) => {
    const all = places.map((place) => place[i] ?? 0)
    return Math.max(...all) - Math.min(...all)
  }
  return Math.max(along(0), along(1))
}
