import { describe, expect, it } from "vitest"
import { changeSays, moved, noted, type Past } from "./past"

interface Plan {
  tail?: string
  size?: number
}
const own = (plan: Plan) => plan
const NOTHING: Past<Plan> = { done: [], undone: [] }
const three = [{ tail: "6 in" }, { tail: "7 in" }, { tail: "7 in", size: 4 }, { size: 4 }]
  .map((plan, i, all) => [all[i - 1], plan] as const)
  .slice(1)
  .reduce((past, [before, after]) => noted(past, before!, after, own, false), NOTHING)

describe("the past of a document", () => {
  it("says what was changed", () => {
    expect(three.done.map(({ says }) => says)).toEqual(["tail: 6 in to 7 in", "size: 4", "tail: 7 in taken out"])
    const layers = { layers: [{ id: "b", method: "bow", tail: "6 in" }] }
    expect(changeSays({ layers: [] }, layers)?.says).toBe("bow added")
    expect(changeSays(layers, { layers: [] })?.says).toBe("bow taken out")
    expect(changeSays({}, { tail: "6 in", size: 4 })?.says).toBe("tail: 6 in, and 1 more")
    expect(changeSays(layers, { layers: [{ id: "b", method: "bow", tail: "7 in" }] })?.says).toBe(
      "bow: tail: 6 in to 7 in",
    )
  })

  it("takes back and does again, one by one and many at once", () => {
    const one = moved(three, 1)
    expect(one.said).toEqual({ tail: "7 in", size: 4 })
    expect(one.past.undone).toHaveLength(1)
    expect(moved(one.past, -1).said).toEqual({ size: 4 })
    expect(moved(three, 3).said).toEqual({ tail: "6 in" })
    expect(moved(moved(three, 3).past, -2).said).toEqual({ tail: "7 in", size: 4 })
    expect(moved(three, -1)).toEqual({ past: three })
    expect(moved(NOTHING, 1)).toEqual({ past: NOTHING })
  })

  it("forgets what was taken back when something else is done", () => {
    const other = noted(moved(three, 2).past, { tail: "7 in" }, { tail: "8 in" }, own, false)
    expect(other.undone).toEqual([])
    expect(other.done.map(({ says }) => says)).toEqual(["tail: 6 in to 7 in", "tail: 7 in to 8 in"])
  })

  it("takes what is typed into one field without leaving it as one change", () => {
    const typed = ["6", "6 1", "6 1/2"].reduce<{ past: Past<Plan>; plan: Plan }>(
      ({ past, plan }, tail) => ({ past: noted(past, plan, { tail }, own, true), plan: { tail } }),
      { past: NOTHING, plan: { tail: "5 in" } },
    ).past
    expect(typed.done.map(({ says }) => says)).toEqual(["tail: 5 in to 6 1/2"])
    expect(moved(typed, 1).said).toEqual({ tail: "5 in" })
  })
})
