import { expect, it } from "vitest"
import { keptFrom, nothing, placeOf, sums, without, type Happened } from "./happened"

const event = (name: string, kind: Happened["kind"], amount = 1, step = "coil"): Happened => ({
  event: name,
  step,
  kind,
  amount,
})

it("adds what is on its way to what has arrived, and never counts below nothing", () => {
  const bench = { ...nothing, counts: { coil: 3 }, seconds: { coil: 40 } }
  const waiting = [event("a", "count"), event("b", "count"), event("c", "time", 20), event("d", "count", 1, "fill")]
  expect(sums("count", { bench, waiting })).toEqual({ coil: 5, fill: 1 })
  expect(sums("time", { bench, waiting })).toEqual({ coil: 60 })
  expect(sums("count", { bench: nothing, waiting: [event("a", "count", -2), event("b", "count")] })).toEqual({
    coil: 1,
  })
})

it("counts up again from nothing, not from below it", () => {
  const waiting = [1, -1, -1, 1].map((amount, i) => event(`e${i}`, "count", amount))
  expect(sums("count", { bench: nothing, waiting })).toEqual({ coil: 1 })
})

it("counts nothing that belongs to a make that is finished", () => {
  const bench = { ...nothing, make: 2, place: "cut" }
  const waiting = [
    { ...event("a", "count"), make: 1 },
    { ...event("b", "count", 3), make: 2 },
    { ...event("c", "go", 0, "fill"), make: 1 },
  ]
  expect(sums("count", { bench, waiting })).toEqual({ coil: 3 })
  expect(placeOf({ bench, waiting })).toBe("cut")
})

it("stays what was done before the server had said which make is at the bench", () => {
  const waiting = [event("a", "go", 0, "fill"), event("b", "count", 2, "fill")]
  const told = { ...nothing, make: 4, counts: { coil: 1 }, place: "cut" }
  expect(placeOf({ bench: told, waiting })).toBe("fill")
  expect(sums("count", { bench: told, waiting })).toEqual({ coil: 1, fill: 2 })
})

it("is at the step that was gone to last, here before there", () => {
  const bench = { ...nothing, place: "cut" }
  expect(placeOf({ bench, waiting: [] })).toBe("cut")
  expect(placeOf({ bench, waiting: [event("a", "go", 0, "coil"), event("b", "go", 0, "fill")] })).toBe("fill")
  expect(placeOf({ bench: nothing, waiting: [] })).toBeUndefined()
})

it("forgets what has arrived and nothing else", () => {
  const [a, b, c] = [event("a", "count"), event("b", "count"), event("c", "count")]
  expect(without([a, b, c], [a, b])).toEqual([c])
})

it("reads what was kept, and takes anything else for nothing", () => {
  const kept = { bench: nothing, waiting: [event("a", "count")] }
  expect(keptFrom(JSON.stringify(kept))).toEqual(kept)
  for (const text of [null, "", "{", "[]", "{}", '{"waiting": 3}']) expect(keptFrom(text).waiting).toEqual([])
})
