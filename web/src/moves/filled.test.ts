import { expect, test } from "vitest"
import { filled } from "./filled"

test("a measure stands in a text where the step has it, and words where it has not", () => {
  expect(filled("Measure {tail|the tail}, good side up.", { tail: "6 in" })).toBe("Measure 6 in, good side up.")
  expect(filled("Measure {tail|the tail}, good side up.")).toBe("Measure the tail, good side up.")
  expect(filled("{loop}")).toBe("")
})
