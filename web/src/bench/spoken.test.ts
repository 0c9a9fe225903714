import { expect, test } from "vitest"
import type { Step } from "../keep/client"
import { spokenSays } from "./spoken"

const coils = { id: "a", title: "Coil", count: 80, unit: "coils" } as Step

test("the count comes first, then what comes next", () => {
  expect(spokenSays(coils, 40, "length 2 ends in about 3 coils")).toBe("40. length 2 ends in about 3 coils")
  const colours = { ...coils, sequence: [{ says: "Rust", count: 2 }] } as Step
  expect(spokenSays(colours, 1, "79 to go")).toBe("1. Next: 1 Rust")
})
