import { expect, it } from "vitest"
import type { ListedWreath } from "../keep/client"
import { arranged, found, nextOf, stateOf } from "./listing"

const wreath = (id: number, more: Partial<ListedWreath> = {}): ListedWreath => ({
  id,
  version: 1,
  updated_at: `2026-11-${10 + id}T10:00:00Z`,
  name: `Door ${id}`,
  cut: false,
  made: 0,
  at_bench: false,
  digest: String(id),
  picture: String(id),
  about: "wire ring Rope coil Hemp cord",
  summary: { says: "Rope coil on a wire ring, 14 in", to_buy: `${10 - id}.00`, form: "ring", figures: ["80 coils"] },
  ...more,
})
const names = (all: ReturnType<typeof arranged>) => all.map((each) => each.wreath.name)

it("finds wreaths by every word, in the name and in what is said of them", () => {
  const heart = wreath(2, {
    name: "Gate",
    about: "",
    summary: { says: "Spiral wrap on a wire heart, 14 in", figures: [] },
  })
  expect(found([wreath(1), heart], "wire HEART").map(({ name }) => name)).toEqual(["Gate"])
  expect(found([wreath(1), heart], "coils door").map(({ name }) => name)).toEqual(["Door 1"])
  expect(found([wreath(1), heart], "  ")).toHaveLength(2)
  expect(found([wreath(1)], "<script>")).toEqual([])
})

it("sorts by name as people count, by what is to pay, and by what was changed last", () => {
  const some = [wreath(2), wreath(1), wreath(3, { name: "Door 10" })]
  expect(names(arranged(some, "name", "none", {}))).toEqual(["Door 1", "Door 2", "Door 10"])
  expect(names(arranged(some, "cost", "none", {}))).toEqual(["Door 10", "Door 2", "Door 1"])
  expect(names(arranged(some, "changed", "none", {}))).toEqual(["Door 10", "Door 2", "Door 1"])
})

it("groups by occasion, form and state, and what cannot be worked has its own", () => {
  const walk = wreath(1, { occasion: 7 })
  expect(arranged([wreath(2), walk], "planned", "occasion", { 7: "Lantern walk" }).map(({ group }) => group)).toEqual(
    ["Lantern walk", "On no occasion"],
  )
  expect(stateOf(wreath(1, { made: 2, cut: true }))).toBe("Made")
  expect(stateOf(wreath(1, { cut: true }))).toBe("Cut")
  expect(stateOf(wreath(1, { made: 2, cut: true, at_bench: true }))).toBe("Being made")
  expect(stateOf(wreath(1, { summary: { problem: "too small" } }))).toBe("Not to be worked yet")
})

it("says what is to be done next, from shop to bench, and nothing of what is made or cannot be", () => {
  const all = { says: "Rope coil on a wire ring, 14 in", to_buy: "0.00" }
  const next = (more: Partial<ListedWreath>) => nextOf(wreath(3, more))
  expect(next({})).toEqual({ says: "Buy for it", to: "/wreaths/3/buy" })
  expect(next({ summary: { ...all, short: true } })?.says).toBe("Buy for it")
  expect(next({ summary: all })).toEqual({ says: "Cut it", to: "/wreaths/3/cut" })
  expect(next({ summary: all, cut: true })).toEqual({ says: "Make it", to: "/wreaths/3/bench" })
  expect(next({ cut: true, at_bench: true })?.says).toBe("Go on at the bench")
  const counted = { "base.coil": { one: "coil", count: 80 } }
  const at = (step: string, count: number) =>
    next({ at_bench: true, bench: { step, count }, summary: { ...all, counted } })?.says
  expect([at("base.coil", 33), at("base.coil", 80), at("fluff", 0)]).toEqual([
    "Go on at coil 34",
    "Go on at the bench",
    "Go on at the bench",
  ])
  expect([next({ made: 1, cut: true }), next({ summary: undefined }), next({ problem: "no form" })]).toEqual([
    undefined,
    undefined,
    undefined,
  ])
})
