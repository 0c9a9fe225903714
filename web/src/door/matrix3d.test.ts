import { expect, it } from "vitest"
import { extentOf, matrix3d } from "./matrix3d"

/** Where a style puts a pixel of its element. Source: CSS Transforms Module Level 2, the columns of matrix3d. */
function styled(style: string, x: number, y: number): [number, number] {
  const m = /\((.*)\)/.exec(style)![1]!.split(",").map(Number)
  const row = (i: number) => m[i]! * x + m[i + 4]! * y + m[i + 12]!
  return [row(0) / row(3), row(1) / row(3)]
}

it("puts every pixel of the drawing where the matrix says, at the scale of the picture", () => {
  const matrix = [
    [11, 1.5, 400],
    [-0.8, 12, 300],
    [0.002, -0.004, 1],
  ]
  const style = matrix3d(matrix, [-9, -14], 30, 0.5)
  for (const [u, v] of [
    [-9, -14],
    [9, 14],
    [0, 0],
    [3.3, -7.1],
  ] as const) {
    const [x, y, depth] = matrix.map(([a, b, c]) => a! * u + b! * v + c!) as [number, number, number]
    const [left, top] = styled(style, (u + 9) * 30, (v + 14) * 30)
    expect(left).toBeCloseTo((x / depth) * 0.5, 6)
    expect(top).toBeCloseTo((y / depth) * 0.5, 6)
  }
})

it("knows how far some places lie apart", () => {
  expect(
    extentOf([
      [3, 1],
      [9, 2],
      [4, 11],
    ]),
  ).toBe(10)
})
