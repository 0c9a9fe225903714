import { describe, expect, it } from "vitest"
import { differences } from "./differences"

const plan = {
  name: "Door 7",
  form: { shape: "ring", outside: 14, inside: 8 },
  layers: [
    { id: "base", method: "rope_coil", material: "rope" },
    { id: "bow", method: "bow", tail: "6 in" },
  ],
}

describe("differences", () => {
  it("are none between what says the same", () => {
    expect(differences(plan, structuredClone(plan))).toEqual([])
  })

  it("name the field, where it is, and what each says", () => {
    const theirs = structuredClone(plan)
    theirs.name = "Door 8"
    theirs.form.outside = 16
    theirs.layers[1]!.tail = "7 in"
    expect(differences(plan, theirs)).toEqual([
      { what: "name", mine: "Door 7", theirs: "Door 8" },
      { what: "form: outside", mine: "14", theirs: "16" },
      { what: "layers: bow: tail", mine: "6 in", theirs: "7 in" },
    ])
  })

  it("know what is there on one side only, and another order", () => {
    const less = { ...plan, layers: plan.layers.slice(0, 1) }
    expect(differences(plan, less)).toEqual([{ what: "layers: bow", mine: "there", theirs: "–" }])
    expect(differences({ ...plan, put: true }, plan)).toEqual([{ what: "put", mine: "yes", theirs: "–" }])
    const turned = { ...plan, layers: plan.layers.toReversed() }
    expect(differences(plan, turned)).toEqual([
      { what: "layers: order", mine: "rope coil, bow", theirs: "bow, rope coil" },
    ])
  })

  it("are cut short when there are very many, and say how many more", () => {
    const many = (offset: number) => Object.fromEntries(Array.from({ length: 40 }, (_, i) => [`f${i}`, i + offset]))
    const found = differences(many(0), many(1))
    expect(found).toHaveLength(13)
    expect(found.at(-1)!.what).toBe("28 more")
  })
})
