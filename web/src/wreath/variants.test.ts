import { expect, it } from "vitest"
import type { Plan } from "../keep/client"
import { alike, differenceSays, heldFrom, holding } from "./variants"

const plan = (lap: number, more: Partial<Plan> = {}): Plan => ({
  format: "crisp-lantern/plan",
  version: 1,
  units: "in",
  form: { base: "wire", shape: "ring", outside: 14 },
  materials: [{ id: "rust", kind: "ribbon", name: "Rust tape" }],
  layers: [{ id: "base", method: "spiral_wrap", material: "tape", lap }],
  ...more,
})

it("holds two at most, none twice, and the oldest makes room", () => {
  const one = holding([], plan(0.25))
  expect(holding(one, plan(0.25, { name: "Another name" }))).toHaveLength(1)
  const three = [0.375, 0.5].reduce((held, lap) => holding(held, plan(lap)), one)
  expect(three.map(({ layers }) => layers?.[0]?.lap)).toEqual([0.375, 0.5])
})

it("reads what was held, and nothing from what is no list", () => {
  expect(heldFrom(JSON.stringify([plan(0.25)]))).toEqual([plan(0.25)])
  expect(heldFrom("{}")).toEqual([])
  expect(heldFrom("not JSON")).toEqual([])
  expect(heldFrom(null)).toEqual([])
})

it("says in what a plan differs from another, materials by their names", () => {
  expect(differenceSays(plan(0.5), plan(0.25))).toBe("lap 0.5")
  const rust = plan(0.25, { layers: [{ id: "base", method: "spiral_wrap", material: "rust", lap: 0.25 }] })
  expect(differenceSays(rust, plan(0.25))).toBe("material Rust tape")
  expect(differenceSays(plan(0.25, { form: { base: "wire", shape: "ring", outside: 16 } }), plan(0.25))).toBe(
    "outside 16",
  )
  expect(alike(plan(0.25), plan(0.25, { name: "Other" }))).toBe(true)
})
