import { expect, it } from "vitest"
import type { Plan, Step } from "../keep/client"
import { behind, ownOf, withOwn, withOwnInOrder } from "./ownSteps"

const step = (id: string, layer?: string): Step => ({
  id,
  layer,
  title: id,
  says: "",
  minutes: 1,
  move: id.startsWith("own") || id === "sanding" ? "own" : "coil",
  move_says: "",
  look: "",
  cautions: [],
})
const plan: Plan = {
  format: "crisp-lantern/plan",
  version: 1,
  units: "in",
  form: { base: "wire", shape: "ring" },
  steps: [
    { after: "cut", title: "Sand the edges" },
    { id: "sanding", before: "base", title: "Sand again" },
  ],
}
const [prepare, cut, coil, fill, fluff] = [
  step("prepare"),
  step("cut"),
  step("base.coil", "base"),
  step("base.fill", "base"),
  step("fluff"),
]
const steps = [prepare, cut, coil, fill, fluff]

it("tells the maker’s own steps from the others, by their ids too, and what a new one comes after", () => {
  expect([step("own-1"), step("sanding"), cut].map((each) => ownOf(plan, each))).toEqual([0, 1, undefined])
  expect(steps.map((each) => behind(steps, each))).toEqual(["prepare", "cut", "base.coil", "base", "hang"])
})

it("writes, adds and takes out one of them, and leaves the others", () => {
  const added = withOwn(plan, undefined, { after: "base", title: "Let it dry" })
  expect(added.steps).toHaveLength(3)
  expect(withOwn(added, 0, { after: "cut", title: "Sand once" }).steps?.[0]).toEqual({
    after: "cut",
    title: "Sand once",
  })
  expect(withOwn(added, 0, undefined).steps?.map(({ title }) => title)).toEqual(["Sand again", "Let it dry"])
})

it("moves them to where they stand in a new order, one after another, and loses none that is not in it", () => {
  const inside = withOwnInOrder(plan, [prepare, cut, coil, step("sanding"), step("own-1"), fill, fluff])
  expect(inside.steps).toEqual([
    { id: "sanding", after: "base.coil", title: "Sand again" },
    { after: "base.coil", title: "Sand the edges" },
  ])
  expect(withOwnInOrder(plan, [step("own-1"), ...steps]).steps).toEqual([
    { before: "prepare", title: "Sand the edges" },
    { id: "sanding", before: "base", title: "Sand again" },
  ])
})
