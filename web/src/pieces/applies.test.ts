import { expect, test } from "vitest"
import { applies } from "./applies"

const as = { name: "as", kind: "choice", label: "Becomes", required: false, default: "ribbon" }
const loops = { name: "loops", kind: "count", label: "Loops", required: false, where: { as: ["ribbon"] } }

test("a field is shown where it means something, by what is said or usual, or where it was said", () => {
  expect(applies(loops, [as, loops], {})).toBe(true)
  expect(applies(loops, [as, loops], { as: "ring" })).toBe(false)
  expect(applies(loops, [as, loops], { as: "ring", loops: 3 })).toBe(true)
  expect(applies(as, [as, loops], { as: "ring" })).toBe(true)
})
