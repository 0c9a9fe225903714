import { expect, it } from "vitest"
import type { StashMaterial } from "../keep/client"
import { onHandSays, sheetsOf, soldSays } from "./onHand"

const stashed = (on_hand: unknown[], lengths: Record<string, string>, pieces: number[] = []): StashMaterial => ({
  id: 1,
  version: 1,
  updated_at: "",
  units: "in",
  lengths,
  pieces,
  material: {
    id: "m",
    kind: "ribbon",
    name: "Tape",
    offers: [
      { length: 108, price: "3.20" },
      { count: 12, price: "4.80" },
    ],
    on_hand,
  },
})

it("says how wide a material is and what a package costs", () => {
  expect(soldSays(stashed([], { width: "1 1/2 in", "offers.0.length": "9 ft" }))).toBe(
    "1 1/2 in wide, 9 ft for $3.20, 12 for $4.80",
  )
})

it("says what is on hand, whatever it is counted in", () => {
  expect(onHandSays(stashed([44, 12], { "on_hand.0": "44 in", "on_hand.1": "1 ft" }, [44, 12]))).toBe(
    "44 in, 1 ft on hand",
  )
  const cloth = stashed([{ width: 18, length: 21 }], { "on_hand.0.width": "18 in", "on_hand.0.length": "21 in" })
  expect(onHandSays(cloth)).toBe("18 in by 21 in on hand")
  expect(sheetsOf(cloth)).toEqual([{ width: 18, length: 21 }])
  expect([[7], [1], []].map((hand) => onHandSays(stashed(hand, {})))).toEqual([
    "7 pieces on hand",
    "1 piece on hand",
    "none on hand",
  ])
})
