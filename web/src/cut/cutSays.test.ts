import { expect, it } from "vitest"
import type { CutBar, WorkedMaterial } from "../keep/client"
import { alike, cutSays, openedSays } from "./cutSays"

const cut = (count: number, shape = "pieces") => ({
  what: "strips",
  one: "strip",
  shape,
  at: 0,
  length: 12,
  count,
  says: "12 in",
})
const bar = (times: number): CutBar => ({
  id: "tape.1",
  material: "tape",
  from: "package 1",
  times,
  length: 108,
  says: "9 ft",
  cuts: [cut(1)],
  left: 0,
  left_says: "0 in",
  keep: false,
})
const material = (more: Partial<WorkedMaterial>) =>
  ({ joins: 0, closed: 0, optimal: true, bound: "3.20", short: 0, ...more }) as WorkedMaterial

it("says one strip and three strips", () => {
  expect(cutSays(cut(1))).toBe("1 strip of 12 in")
  expect(cutSays(cut(3))).toBe("3 strips of 12 in")
  expect(cutSays(cut(1, "run"))).toBe("12 in for the strips")
})

it("says cuts that are alike once", () => {
  expect(alike([cut(2), cut(3), cut(1, "run")]).map(cutSays)).toEqual(["5 strips of 12 in", "12 in for the strips"])
})

it("says in the same words as the shopping list what is bought only to be sure", () => {
  expect(openedSays([bar(2)], material({}))).toBe("2 lengths opened. Fewest packages possible.")
  expect(openedSays([bar(2)], material({ closed: 1, joins: 1 }))).toBe(
    "2 lengths opened, 1 join. 1 more is bought and stays closed, to be sure. " +
      "Fewest packages possible for the sureness you ask for.",
  )
  expect(openedSays([bar(1)], material({ optimal: false }))).toBe("1 length opened. Less than $3.20 is not possible.")
})
