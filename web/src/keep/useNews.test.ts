import { expect, it } from "vitest"
import { changedSince } from "./useNews"

const now = { wreaths: "a", materials: "b", occasions: "c", forms: "d", places: "1", settings: "e", makes: "f" }

it("asks again for what was changed, each once, and for nothing at first", () => {
  expect(changedSince(undefined, now)).toEqual([])
  expect(changedSince(now, { ...now })).toEqual([])
  expect(changedSince(now, { ...now, forms: "x" })).toEqual(["forms"])
  const both = changedSince(now, { ...now, wreaths: "x", materials: "x" })
  expect(both).toEqual(expect.arrayContaining(["wreath", "wreaths", "materials", "ask"]))
  expect(new Set(both).size).toBe(both.length)
})
