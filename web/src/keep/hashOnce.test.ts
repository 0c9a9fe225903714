import { expect, test, vi } from "vitest"
import { hashOnce } from "./hashOnce"

test("what says the same has one name, whatever its order, and nothing else has it", () => {
  const name = hashOnce(["work", { units: "in", form: { outside: 14 } }])
  expect(hashOnce(["work", { form: { outside: 14 }, units: "in" }])).toBe(name)
  expect(hashOnce(["work", { form: { outside: 15 }, units: "in" }])).not.toBe(name)
  expect(hashOnce(["coverage", { units: "in", form: { outside: 14 } }])).not.toBe(name)
  expect(hashOnce(["work", 1])).not.toBe(hashOnce(["work", "1"]))
  expect(hashOnce(["work"])).not.toBe(hashOnce(["work", undefined]))
})

test("a plan is written out once", () => {
  const plan = { units: "in" }
  const write = vi.spyOn(JSON, "stringify")
  hashOnce(["work", plan])
  const times = write.mock.calls.length
  hashOnce(["coverage", plan])
  expect(write.mock.calls.slice(times).some(([said]) => JSON.stringify(said).includes("units"))).toBe(false)
  write.mockRestore()
})
