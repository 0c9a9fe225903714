import { expect, test } from "vitest"
import { asBefore } from "./asBefore"

const lie = (first: number, count = 40) => ({
  key: "coils",
  front: Array.from({ length: count }, (_, i) => ({ points: [first + i, 0], colour: 0 })),
})

test("what is the same is the very same, and what changed is as it is now", () => {
  const before = { tape: [{ figure: "80" }], layers: [lie(1), lie(2)], gone: 1 }
  const now = { tape: [{ figure: "81" }], layers: [lie(1), lie(9)] }
  const kept = asBefore(before, now)
  expect(kept).toEqual(now)
  expect(kept.layers[0]).toBe(before.layers[0])
  expect(kept.tape).not.toBe(before.tape)
  expect(asBefore(before, structuredClone(before))).toBe(before)
})

test("a long list of which one in the middle has changed is found changed", () => {
  const before = lie(1)
  const now = structuredClone(before)
  now.front[20]!.points[1] = 5
  const kept = asBefore(before, now)
  expect(kept).toEqual(now)
  expect(kept.front[19]).toBe(before.front[19])
})

test("longer, shorter, empty and missing are told apart", () => {
  expect(asBefore(lie(1, 20), lie(1, 30))).toEqual(lie(1, 30))
  expect(asBefore([1, 2], [1])).toEqual([1])
  expect(asBefore({ a: undefined }, { b: undefined })).toEqual({ b: undefined })
  expect(asBefore(undefined, [1])).toEqual([1])
  expect(asBefore([], {})).toEqual({})
})
