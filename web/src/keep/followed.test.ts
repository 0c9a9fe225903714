import { expect, test } from "vitest"
import type { Coverage, Finding, WorkedPlan } from "./client"
import { followed, isToBeLookedAt } from "./followed"

const finding = (code: string): Finding => ({ level: "warn", code, says: `It is ${code}.` })
const gap = (says: string) => ({ from: [0, 0], to: [1, 0], width: 1, says })

const first = JSON.parse(
  JSON.stringify({
    form: { run: 30 },
    layers: [
      { id: "base", findings: [finding("tight")] },
      { id: "bow", findings: [] },
    ],
    stages: { form: true, trim: true },
    drawing: { gaps: [gap("gap 1 in")] },
  }),
) as WorkedPlan

const coverage: Coverage = {
  form: { covered: 0.8 },
  layers: { base: { covered: 0.9, bare: [], findings: [finding("tight"), finding("bare")] } },
  stages: { form: false, cover: false, trim: true },
  gaps: [gap("bare 2 in")],
}

test("the second part is put in where it belongs", () => {
  const worked = followed(first, coverage, true)
  expect(worked.layers[0]).toMatchObject({ covered: 0.9, findings: [{ code: "tight" }, { code: "bare" }] })
  expect(worked.layers[1]).toEqual(first.layers[1])
  expect(worked.form).toMatchObject({ run: 30, covered: 0.8 })
  expect(worked.stages).toEqual(coverage.stages)
  expect(worked.drawing.gaps.map(({ says }) => says)).toEqual(["gap 1 in", "bare 2 in"])
})

test("until it is there, that of the plan before keeps its room, and points nowhere", () => {
  const worked = followed(first, coverage, false)
  expect(worked.layers[0]).toMatchObject({ covered: 0.9, findings: [{ code: "tight" }, { code: "bare" }] })
  expect(worked.stages).toEqual({ form: true, cover: false, trim: true })
  expect(worked.drawing.gaps.map(({ says }) => says)).toEqual(["gap 1 in"])
  expect(followed(first, undefined, false)).toBe(first)
})

test("a plan is looked at as long as a stage waits for it", () => {
  expect(isToBeLookedAt(first)).toBe(true)
  expect(isToBeLookedAt(followed(first, coverage, true))).toBe(false)
})
