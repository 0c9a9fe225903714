import { expect, it } from "vitest"
import { put, valueAt } from "./places"

it("puts a value at a place, in a copy, and takes it out again", () => {
  const plan = { form: { outside: 14 }, layers: [{ id: "a" }, { id: "b", lap: 1 }] }
  const changed = put(plan, "layers.1.lap", "1/4")
  expect(valueAt(changed, "layers.1.lap")).toBe("1/4")
  expect(plan.layers[1]).toEqual({ id: "b", lap: 1 })
  expect(changed.layers[0]).toBe(plan.layers[0])
  expect(put(changed, "layers.1.lap", undefined).layers[1]).toEqual({ id: "b" })
  expect(put(plan, "form.measured.run", 40)).toMatchObject({ form: { outside: 14, measured: { run: 40 } } })
  expect(valueAt(plan, "form.measured.run")).toBeUndefined()
})
