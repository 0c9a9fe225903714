import { expect, it } from "vitest"
import type { Step } from "../keep/client"
import { lastMoment, momentAt, momentOf } from "./moments"

const step = (id: string, count?: number) => ({ id, count }) as Step
const steps = [step("ready"), step("coil", 3), step("check"), step("bow", 2)]

it("goes from the bare form to the finished wreath, piece by piece, in the order of the steps", () => {
  expect(lastMoment(steps)).toBe(7)
  const all = Array.from({ length: 8 }, (_, i) => momentAt(steps, i))
  expect(all.map(({ current, counts }) => [current, counts.coil ?? 0, counts.bow ?? 0])).toEqual([
    [0, 0, 0],
    [1, 0, 0],
    [1, 1, 0],
    [1, 2, 0],
    [2, 3, 0],
    [3, 3, 0],
    [3, 3, 1],
    [4, 3, 2],
  ])
})

it("finds the moment again at which the bench stands", () => {
  for (let i = 0; i < 7; i += 1) expect(momentOf(steps, momentAt(steps, i))).toBe(i)
  // What was counted beyond what was planned is no later moment.
  expect(momentOf(steps, { current: 1, counts: { coil: 9 } })).toBe(4)
})

it("holds what lies outside", () => {
  expect(momentAt(steps, -5)).toEqual(momentAt(steps, 0))
  expect(momentAt(steps, 99)).toEqual(momentAt(steps, 7))
})
