import { describe, expect, it } from "vitest"
import { alongOf, isOfWay, wayOptions } from "./along"

const option = (name: string, kind: string) => ({ name, kind, label: name, required: false })
const covering = (...options: ReturnType<typeof option>[]) => ({ options })
const worked = (form: { closed: boolean; members?: number }) => ({ form: { run: 25.1 }, drawing: { form } })

describe("along a form", () => {
  const coil = covering(
    option("from", "stop"),
    option("to", "stop"),
    option("part", "count"),
    option("lap", "length"),
  )

  it("knows the options of a covering that runs along the band, and of no other", () => {
    expect(Object.keys(wayOptions(coil) ?? {})).toEqual(["from", "to", "part"])
    expect(coil.options.map((field) => isOfWay(coil, field))).toEqual([true, true, true, false])
    expect(wayOptions(covering(option("lap", "length")))).toBeUndefined()
    expect(wayOptions(undefined)).toBeUndefined()
  })

  it("begins with hours on a form that goes round, and with lengths on one that is open", () => {
    expect(alongOf(worked({ closed: true }))).toEqual([12, 6])
    expect(alongOf(worked({ closed: false, members: 2 }))).toEqual([12, 6])
    expect(alongOf(worked({ closed: false }))).toEqual([0, 12.5])
    expect(alongOf(undefined)).toEqual([12, 6])
  })
})
