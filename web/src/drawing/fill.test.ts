import { expect, test } from "vitest"
import { cord } from "./cord"
import { degreesOf, DIRECTIONS, directionOf, lightOn } from "./fill"

test("a strip has the same direction whichever way it runs, and never one far from its own", () => {
  for (let turn = -720; turn < 720; turn += 7) {
    const direction = directionOf((turn * Math.PI) / 180)
    expect(direction).toBe(directionOf(((turn + 180) * Math.PI) / 180))
    const off = Math.abs((((degreesOf(direction) - turn) % 180) + 180) % 180)
    expect(Math.min(off, 180 - off)).toBeLessThanOrEqual(90 / DIRECTIONS + 1e-9)
  }
})

test("light lies across a cord that runs from the lower left to the upper right, not along one that faces it", () => {
  expect(lightOn(directionOf(-Math.PI / 4))).toBeGreaterThan(12)
  expect(lightOn(directionOf(Math.PI / 4))).toBe(0)
})

test("a cord is as wide as it is said, and ends a little past either place", () => {
  const corners = cord(0, 0, 10, 0, 2)
    .split(" ")
    .map((corner) => corner.split(",").map(Number))
  const [xs, ys] = [corners.map(([x]) => x!), corners.map(([, y]) => y!)]
  expect([Math.min(...ys), Math.max(...ys)]).toEqual([-1, 1])
  expect([Math.min(...xs), Math.max(...xs)]).toEqual([-0.8, 10.8])
})
