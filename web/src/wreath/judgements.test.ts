import { expect, it } from "vitest"
import type { Advice, Covering, Finding, Plan } from "../keep/client"
import { changeSays, ofAdvice, ofFinding, ranked } from "./judgements"

const plan: Plan = {
  format: "crisp-lantern/plan",
  version: 1,
  units: "in",
  form: { base: "wire", shape: "ring" },
  layers: [{ id: "base", method: "rope_coil", material: "rope" }],
}
const coil = {
  method: "rope_coil",
  title: "Rope coil",
  options: [
    { name: "accepted_gap", kind: "length", label: "Gap you accept outside", required: false },
    {
      name: "school",
      kind: "choice",
      label: "Lie of the coils",
      required: false,
      choices: [{ value: "even", says: "Even" }],
    },
  ],
} as Covering
const finding = (level: Finding["level"], code: string): Finding => ({ level, code, says: code })

it("says a change in the words of the field itself", () => {
  expect(changeSays({ accepted_gap: "1/4 in" }, coil.options)).toBe("Set gap you accept outside to 1/4 in")
  expect(changeSays({ school: "even" }, coil.options)).toBe("Set lie of the coils to Even")
  expect(changeSays({ some_thing: 2 }, [])).toBe("Set some thing to 2")
})

it("puts what cannot be first, then what is wrong, then what saves most", () => {
  const of = (each: Finding) => ofFinding(each, "layers.0", plan, [coil], [])
  const advice = (key: string, saves: string): Advice => ({ key, code: "stash_first", says: key, saves })
  const said = [of(finding("note", "n")), ofAdvice(advice("a", "1.00"), plan, [coil], (p) => p)]
  const more = [
    ofAdvice(advice("b", "9.00"), plan, [coil], (p) => p),
    of(finding("warn", "w")),
    of(finding("stop", "s")),
  ]
  expect(ranked([...said, ...more]).map(({ says }) => says)).toEqual(["s", "w", "b", "a", "n"])
})

it("makes the plan that an advice is about, and folds what saves nothing among the notes", () => {
  const one = ofAdvice(
    { key: "one_fewer.rope", code: "one_fewer", says: "", saves: "1.75", try: { base: { accepted_gap: "1/4 in" } } },
    plan,
    [coil],
    (changed) => changed,
  )
  expect(one.mend?.plan.layers?.[0]).toEqual({ ...plan.layers![0], accepted_gap: "1/4 in" })
  expect(one.mend?.says).toBe("Set gap you accept outside to 1/4 in")
  expect(one.level).toBe("advice")
  const none = ofAdvice({ key: "one_fewer.rope", code: "one_fewer", says: "needed" }, plan, [coil], (p) => p)
  expect([none.level, none.mend]).toEqual(["note", undefined])
})

it("adds the layer that a finding offers, by the layer's own title", () => {
  const bare = { ...finding("note", "stem_bare"), add: { method: "rope_coil", material: "rope" } }
  const { mend } = ofFinding(bare, "layers.0", plan, [coil], [])
  expect(mend?.says).toBe("Add: rope coil")
  expect(mend?.plan.layers).toHaveLength(2)
})
