import { expect, test } from "vitest"
import fixture from "../../../spec/support/looks.json?raw"
import type { Lie, Look } from "../keep/client"
import { pieceAt } from "./pieceAt"

const looks = Object.fromEntries(
  (JSON.parse(fixture) as { lies: { kind: string; look: Look }[] }).lies.map(({ kind, look }) => [kind, look]),
)

const lie = (kind: string, layer: string, ...pieces: number[][]): Lie => ({
  layer,
  key: kind,
  unit: kind,
  what: kind,
  kind,
  materials: [],
  width: 1,
  front: pieces.map((points) => ({ points, colour: 0 })),
  back: [],
})

const lies = [
  lie("cord", "base", [0, 0, 10, 0], [0, 2, 10, 2]),
  lie("panel", "sign", [4, -1, 6, -1, 6, 3, 4, 3]),
  lie("disc", "bloom", [5, 2]),
  lie("wash", "paint", [0, 0, 10, 0, 10, 10]),
]

const at = (x: number, y: number, hidden: string[] = [], side: "front" | "back" = "front") => {
  const found = pieceAt(lies, looks, side, hidden, [x, y])
  return found && `${found.lie.layer} ${found.number}`
}

test("what lies on top is found, by where it lies", () => {
  expect(at(1, 0.4)).toBe("base 1")
  expect(at(1, 1.6)).toBe("base 2")
  expect(at(1, 1)).toBeUndefined()
  expect(at(4.2, 1)).toBe("sign 1")
  expect(at(5, 2.4)).toBe("bloom 1")
})

test("what is hidden, or on the other side, is not seen", () => {
  expect(at(4.2, 2, ["sign"])).toBe("base 2")
  expect(at(1, 0, [], "back")).toBeUndefined()
})
