import type { Plan, WorkedPlan } from "../keep/client"
import { MaterialRow } from "./LayerMaterials"
import { withMaterials } from "./layers"
import { useKnownMaterials } from "./useKnownMaterials"
import { put } from "./places"
import { money } from "../pieces/money"

interface Props {
  plan: Plan
  worked?: WorkedPlan
  problem?: string
  onChange: (plan: Plan) => void
}

/** Which form of the stash it is, so that it is counted and paid for like everything else. */
export function FormStock({ plan, worked, problem, onChange }: Props) {
  const known = useKnownMaterials(plan)
  const forms = known.filter((material) => material.kind === "form")
  return (
    <MaterialRow
      label="The form itself"
      says={worked?.form.cost === undefined ? "Not counted into the money" : `${money(worked.form.cost)} a form`}
      none="None of the stash"
      fits={forms}
      value={typeof plan.form.material === "string" ? plan.form.material : undefined}
      problem={problem}
      adding={{
        kinds: ["form"],
        units: plan.units,
        onAdded: (form) => onChange(withMaterials(put(plan, "form.material", form.id), [...known, form])),
      }}
      onChange={(id) => onChange(withMaterials(put(plan, "form.material", id), known))}
    />
  )
}
