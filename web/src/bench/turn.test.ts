import { expect, it } from "vitest"
import type { Step } from "../keep/client"
import { turnSays } from "./turn"

const knot: Step = {
  id: "base.knot",
  title: "Knot the strips",
  says: "",
  minutes: 4,
  count: 6,
  move: "knot",
  move_says: "",
  look: "",
  cautions: [],
  sequence: [
    { says: "Rust netting", count: 2 },
    { says: "Undyed netting", count: 1 },
    { says: "Rust netting", count: 3 },
  ],
}

it("says which colour comes next, how many of it are left, and which is after it", () => {
  expect(turnSays(knot, 0)).toBe("Next: 2 Rust netting, then Undyed netting")
  expect(turnSays(knot, 1)).toBe("Next: 1 Rust netting, then Undyed netting")
  expect(turnSays(knot, 2)).toBe("Next: 1 Undyed netting, then Rust netting")
  expect(turnSays(knot, 3)).toBe("Next: 3 Rust netting")
  expect(turnSays(knot, 6)).toBeUndefined()
  expect(turnSays({ ...knot, sequence: undefined }, 0)).toBeUndefined()
})
