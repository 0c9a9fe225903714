import { expect, test } from "vitest"
import { turns } from "./turns"

test("no more than so many are on at once, and the next begins when one ends or goes away", () => {
  const take = turns(2)
  const begun: string[] = []
  const ends = ["a", "b", "c", "d"].map((name) => take(() => begun.push(name)))
  expect(begun).toEqual(["a", "b"])
  ends[2]!()
  expect(begun).toEqual(["a", "b"])
  ends[0]!()
  expect(begun).toEqual(["a", "b", "d"])
  // A turn that is ended twice frees one place.
  ends[0]!()
  take(() => begun.push("e"))
  expect(begun).toEqual(["a", "b", "d"])
  ends[1]!()
  expect(begun).toEqual(["a", "b", "d", "e"])
})
