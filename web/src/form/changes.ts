import type { Declarations, Plan } from "../keep/client"
import { put } from "../wreath/places"

/** The plan on another shape of the same base: the sizes of the old shape go, typical ones come. */
export function onShape(plan: Plan, { bases, shapes }: Declarations["forms"], name: string): Plan {
  const base = bases.find((each) => each.name === plan.form.base)
  const kept = keeping(plan, (key) => base?.fields.some((field) => field.name === key) ?? false)
  const typical = shapes.find((each) => each.name === name)?.typical
  return { ...plan, form: { ...kept, base: plan.form.base, shape: name, ...typical } }
}

/** The plan on another base of the same shape: what the old base had goes, the sizes and strings stay. */
export function onBase(plan: Plan, { shapes }: Declarations["forms"], name: string): Plan {
  const shape = shapes.find((each) => each.name === plan.form.shape)
  const kept = keeping(
    plan,
    (key) => key === "measured" || (shape?.fields.some((field) => field.name === key) ?? false),
  )
  return { ...plan, form: { ...kept, base: name, shape: plan.form.shape } }
}

/** A record of strings with nothing in it is taken out. */
export function tidied(plan: Plan): Plan {
  const strings = plan.form.measured
  return strings && Object.keys(strings).length === 0 ? put(plan, "form.measured", undefined) : plan
}

const keeping = (plan: Plan, keep: (name: string) => boolean) =>
  Object.fromEntries(Object.entries(plan.form).filter(([key]) => keep(key)))
