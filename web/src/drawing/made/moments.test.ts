import { expect, it } from "vitest"
import type { Step } from "../../keep/client"
import fixture from "../../../../spec/support/moments.json"
import { inParts, laidAt, lastMoment, momentAt, momentOf } from "./moments"

const step = (id: string, count?: number) => ({ id, count }) as Step
const steps = [step("ready"), step("coil", 3), step("check"), step("bow", 2)]

it("goes from the bare form to the finished wreath, piece by piece, in the order of the steps", () => {
  expect(lastMoment(steps)).toBe(7)
  const all = Array.from({ length: 8 }, (_, i) => momentAt(steps, i))
  expect(all.map(({ current, counts }) => [current, counts.coil ?? 0, counts.bow ?? 0])).toEqual([
    [0, 0, 0],
    [1, 0, 0],
    [1, 1, 0],
    [1, 2, 0],
    [2, 3, 0],
    [3, 3, 0],
    [3, 3, 1],
    [4, 3, 2],
  ])
})

it("finds the moment again at which the bench stands", () => {
  for (let i = 0; i < 7; i += 1) expect(momentOf(steps, momentAt(steps, i))).toBe(i)
  // What was counted beyond what was planned is no later moment.
  expect(momentOf(steps, { current: 1, counts: { coil: 9 } })).toBe(4)
})

it("holds what lies outside", () => {
  expect(momentAt(steps, -5)).toEqual(momentAt(steps, 0))
  expect(momentAt(steps, 99)).toEqual(momentAt(steps, 7))
})

interface Fixture {
  name: string
  last: number
  steps: Step[]
  layers: { layer: string; key: string; materials: string[]; front: number; back: number }[]
  moments: Record<string, unknown[]>
}

const fixtures: unknown = fixture
it.each(fixtures as Fixture[])("lays the pieces of $name as the film does", ({ last, steps, layers, moments }) => {
  const items = (count: number) => Array.from({ length: count }, (_, i) => ({ points: [i], colour: 0 }))
  const lies = layers.map((lie) => ({ ...lie, front: items(lie.front), back: items(lie.back) }) as unknown)
  expect(lastMoment(steps)).toBe(last)
  for (const [after, said] of Object.entries(moments)) {
    const laid = (lies as Parameters<typeof laidAt>[0][]).flatMap((lie) =>
      laidAt(lie, steps, momentAt(steps, Number(after))),
    )
    expect(
      laid.map(({ layer, key, materials, front, back }) => [
        layer,
        key,
        materials,
        front.length === 0 ? [] : [front[0]!.points[0], front.at(-1)!.points[0]],
        back.length,
      ]),
    ).toEqual(said)
  }
})

it("keeps the parts that are whole, so that only what grows is drawn anew", () => {
  const whole: unknown = {
    layer: "a",
    key: "coils",
    front: Array.from({ length: 130 }, (_, i) => ({ points: [i], colour: 0 })),
    back: [],
  }
  const lie = whole as Parameters<typeof inParts>[0]
  const [one, two] = [inParts(lie, 100), inParts(lie, 101)]
  expect(two[0]).toBe(one[0])
  expect(two[1]).toBe(one[1])
  expect(two.flatMap(({ front }) => front)).toEqual(lie.front.slice(0, 101))
  expect(inParts(lie, 7).flatMap(({ front }) => front)).toEqual(lie.front.slice(0, 7))
})
