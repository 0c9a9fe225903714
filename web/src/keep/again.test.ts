import { expect, test } from "vitest"
import { again, later } from "./again"
import { Refusal } from "./client"

const busy = new Refusal([{ at: "", says: "So much is being worked out." }], 503)

test("what was too much at once is asked again, a little later each time, and not for ever", () => {
  expect([0, 11, 12].map((times) => again(times, busy))).toEqual([true, true, false])
  expect(later(0, busy)).toBeLessThan(300)
  expect(later(9, busy)).toBeGreaterThan(later(0, busy))
})

test("what was refused in words is not asked again, and what got no answer once", () => {
  expect(again(0, new Refusal([], 422))).toBe(false)
  expect([0, 1].map((times) => again(times, new TypeError("away")))).toEqual([true, false])
})
