import { expect, it } from "vitest"
import type { Plan, Step } from "../keep/client"
import { afterOf, ownOf, withOwn } from "./ownSteps"

const step = (id: string, layer?: string): Step => ({
  id,
  layer,
  title: id,
  says: "",
  minutes: 1,
  move: "own",
  move_says: "",
  look: "",
  cautions: [],
})
const plan: Plan = {
  format: "crisp-lantern/plan",
  version: 1,
  units: "in",
  form: { base: "wire", shape: "ring" },
  steps: [{ after: "cut", title: "Sand the edges" }],
}

it("tells the maker’s own steps from the others, and what a new one comes after", () => {
  expect([step("own-2"), step("cut"), step("base.coil", "base")].map(ownOf)).toEqual([1, undefined, undefined])
  expect([step("base.coil", "base"), step("cut"), step("prepare"), step("fluff")].map(afterOf)).toEqual([
    "base",
    "cut",
    "prepare",
    "hang",
  ])
})

it("writes, adds and takes out one of them, and leaves the others", () => {
  const added = withOwn(plan, undefined, { after: "base", title: "Let it dry" })
  expect(added.steps).toHaveLength(2)
  expect(withOwn(added, 0, { after: "cut", title: "Sand again" }).steps?.[0]).toEqual({
    after: "cut",
    title: "Sand again",
  })
  expect(withOwn(added, 0, undefined).steps).toEqual([{ after: "base", title: "Let it dry" }])
})
