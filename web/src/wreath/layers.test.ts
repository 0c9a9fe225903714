import { expect, it } from "vitest"
import type { Covering, Material, Plan } from "../keep/client"
import { covered, freshId, knownMaterials, layersOf, namesOf, withMaterials } from "./layers"

const material = (id: string, kind = "rope"): Material => ({ id, kind, name: id })
const covering = (method: string, stage: Covering["stage"]): Covering => ({
  method,
  title: method,
  takes: ["rope"],
  several: false,
  stage,
  options: [],
  figures: [],
})
const coverings = [
  covering("rope_coil", "cover"),
  covering("weave", "cover"),
  covering("bow", "trim"),
  covering("hanger", "hang"),
]
const plan = (layers: Plan["layers"], materials: Material[] = []): Plan => ({
  format: "crisp-lantern/plan",
  version: 1,
  units: "in",
  form: { base: "wire", shape: "ring" },
  layers,
  materials,
})

it("keeps the materials that a layer names in any option, and the glue", () => {
  const known = [material("rope"), material("tape"), material("unused"), material("sticks", "glue")]
  const layers = [{ id: "a", method: "row_of", material: "rope", recipe: [{ material: "tape" }] }]
  expect(withMaterials(plan(layers, [material("sticks", "glue")]), known).materials?.map((each) => each.id)).toEqual([
    "rope",
    "tape",
    "sticks",
  ])
})

it("knows the plan's own materials before those of the stash", () => {
  const own = { ...material("rope"), name: "As it was" }
  const stash = [material("rope"), material("tape")].map((each) => ({
    id: 1,
    version: 1,
    updated_at: "",
    units: "in" as const,
    material: each,
    lengths: {},
    pieces: [],
  }))
  expect(knownMaterials(plan([], [own]), stash).map((each) => each.name)).toEqual(["As it was", "tape"])
})

it("calls what was bought by its name", () => {
  const making = {
    name: "making",
    kind: "choice",
    label: "How",
    required: false,
    choices: [{ value: "bought", says: "As it is" }],
  }
  const piece = { ...covering("piece", "trim"), options: [making] }
  const bought = [
    { id: "a", method: "piece", making: "bought", parts: [{ material: "sign" }] },
    { id: "b", method: "piece", making: "bought", material: "sign" },
    { id: "c", method: "piece", making: "bought", name: "My sign" },
  ]
  const sign = { ...material("sign"), name: "Oak sign" }
  expect(namesOf(bought, [piece], [sign]).map(({ says }) => says)).toEqual(["Oak sign", "Oak sign 2", "My sign"])
})

it("gives a layer an id that none has", () => {
  expect(freshId([])).toBe("layer-1")
  expect(freshId([{ id: "layer-2", method: "bow" }])).toBe("layer-3")
})

it("puts another covering in the place of the first, and keeps what trims it and what it hangs by", () => {
  const before = plan([
    { id: "h", method: "hanger" },
    { id: "a", method: "rope_coil" },
    { id: "b", method: "bow" },
  ])
  const after = covered(before, { id: "base", method: "weave" }, coverings)
  expect(after.layers?.map((layer) => layer.method)).toEqual(["hanger", "weave", "bow"])
  expect(covered(plan([]), { id: "base", method: "weave" }, coverings).layers?.map((layer) => layer.id)).toEqual([
    "base",
  ])
  expect(layersOf(after, "trim", coverings)).toEqual([{ layer: { id: "b", method: "bow" }, index: 2 }])
})

it("keeps ties and wire that no layer names: the steps take from them", () => {
  const known = [material("rope"), material("cable", "tie"), material("other", "tie"), material("thin", "wire")]
  const own = [material("cable", "tie"), material("thin", "wire")]
  const layers = [{ id: "base", method: "rope_coil", material: "rope" }]
  const kept = withMaterials(plan(layers, own), known).materials?.map((each) => each.id)
  expect(kept).toEqual(["rope", "cable", "thin"])
})
