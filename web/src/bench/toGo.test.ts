import { expect, it } from "vitest"
import type { Step } from "../keep/client"
import { toGo } from "./toGo"

const step = (id: string, minutes: number, count?: number): Step => ({
  id,
  title: id,
  says: id,
  minutes,
  count,
  move: "coil",
  move_says: "",
  look: "",
  cautions: [],
})
const steps = [step("prepare", 10), step("coil", 40, 80), step("look", 10)]

it("says how far it is made, by time, and how long it may still take", () => {
  expect(toGo(steps, 0, {})).toBe("Not started, about 1 h")
  expect(toGo(steps, 1, { coil: 40 })).toBe("50 % done, about 30 min to go")
  expect(toGo(steps, 1, { coil: 90 })).toBe("83 % done, about 10 min to go")
  expect(toGo([step("weave", 130), step("rest", 20)], 1, {})).toBe("87 % done, about 20 min to go")
})
