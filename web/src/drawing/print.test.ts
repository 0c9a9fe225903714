import { expect, test } from "vitest"
import type { Look } from "../keep/client"
import { degreesOf, lightOn } from "./fill"
import fixture from "../../../spec/support/looks.json?raw"
import { DIRECTIONS, print, type Item } from "./print"

interface Laid {
  kind: string
  far: boolean
  width: number
  look: Look
  items: Item[]
  printed: [string, string][]
}

const { lies } = JSON.parse(fixture) as { lies: Laid[] }

test.each(lies)("$kind is drawn as it is printed on paper, far $far", (laid) => {
  const printed = print(laid.look, laid.width, laid.items, (colour, along) => `${colour}/${along}`, laid.far)
  expect(printed.map(({ paint, path }) => [paint, path])).toEqual(laid.printed)
})

test("light lies across a cord that runs from the lower left to the upper right, not along one that faces it", () => {
  const at = (degrees: number) => Math.round((degrees * DIRECTIONS) / 180)
  expect(lightOn(at(135))).toBeGreaterThan(12)
  expect(lightOn(at(45))).toBe(0)
  expect(degreesOf(at(45))).toBe(45)
})
