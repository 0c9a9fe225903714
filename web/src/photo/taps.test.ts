import { expect, test } from "vitest"
import { measurable, nextTarget, tapped, targetsOf, untapped, type Taps } from "./taps"

const ring = targetsOf(
  [
    { name: "outside", label: "Outside" },
    { name: "face", label: "Face" },
  ],
  false,
)
const corners: Taps = {
  corners: [
    [0, 0],
    [9, 0],
    [9, 9],
    [0, 9],
  ],
}

test("taps go to their target, and beyond what it takes the nearest moves", () => {
  const face = ring[2]!
  const two = tapped(tapped({}, face, [1, 1]), face, [8, 8])
  expect(tapped(two, face, [7, 9]).face).toEqual([
    [1, 1],
    [7, 9],
  ])
  expect(untapped(two, "face").face).toEqual([[1, 1]])
  expect(untapped({}, "face").face).toEqual([])
})

test("the next target is the first that wants taps, once this one has all", () => {
  expect(nextTarget(ring, { corners: [[0, 0]] }, "corners")).toBe("corners")
  expect(nextTarget(ring, corners, "corners")).toBe("outside")
  // All round a circle may be tapped as often as the maker likes.
  expect(
    nextTarget(
      ring,
      {
        ...corners,
        outside: [
          [1, 1],
          [2, 2],
          [3, 3],
        ],
      },
      "outside",
    ),
  ).toBe("outside")
})

test("nothing is measured before the sheet's corners and one size are there", () => {
  expect(
    measurable(ring, {
      face: [
        [1, 1],
        [2, 2],
      ],
    }),
  ).toBeUndefined()
  expect(measurable(ring, corners)).toBeUndefined()
  expect(
    measurable(ring, {
      ...corners,
      face: [
        [1, 1],
        [2, 2],
      ],
      outside: [[1, 1]],
    })?.sizes,
  ).toEqual([
    {
      name: "face",
      taps: [
        [1, 1],
        [2, 2],
      ],
    },
  ])
  const own = targetsOf([], true)
  expect(
    measurable(own, {
      ...corners,
      outline: [
        [1, 1],
        [2, 2],
        [3, 5],
      ],
    })?.outline,
  ).toHaveLength(3)
})
